import type { Family } from '../family';
import { bleedScrew, clip, cup, groove, port, running, slot, span } from './parts';

/** Clutch release. */
export const slave: Family = {
  name: 'slave',
  label: 'Clutch slave',
  bore: 'blind',
  brake: false,
  hasGap: false,
  proof: 'rig',
  chambers: [
    { id: 'outside', pressure: 'none' },
    { id: 'pressure', pressure: 'working' },
  ],
  slots: [
    slot('boot', 'boot', 'boot'),
    slot('boot-clip', 'boot clip', 'wire-ring'),
    slot('pushrod', 'pushrod', 'pushrod'),
    clip('clip', { optional: true }),
    slot('piston', 'piston', 'piston'),
    cup('cup', 'cup', 'outside', 'pressure'),
    slot('spring', 'spring', 'spring', { optional: true }),
    ...bleedScrew(),
  ],
  drawing: {
    atMm: 22.225,
    lengthMm: 60,
    wallMm: 4.5,
    ports: [port('bleed', 'bleed', 55, 2, 'top'), port('inlet', 'inlet', 55, 4, 'bottom')],
    grooves: [groove('clip', 4.6, 1.4)],
    // Released: the pushrod has driven the piston home; pressure moves it toward the open end.
    seals: [running('cup', 'pressure', 38, -18)],
    spans: {
      boot: span(-12, 2.6),
      'boot-clip': span(0.6, 2.2),
      pushrod: span(-34, 19),
      circlip: span(4.7, 5.9),
      piston: span(14, 35.8),
      cup: span(36, 40.6),
      spring: span(41, 59.6),
      'bleed-screw': span(52.6, 57.4),
      'bleed-cap': span(51.8, 58.2),
    },
  },
};
