import type { Family } from '../family';
import { bleedScrew, cup, port, running, slot, span } from './parts';

export const wheelSingle: Family = {
  name: 'wheel-single',
  label: 'Wheel cylinder, single',
  bore: 'blind',
  brake: true,
  hasGap: false,
  proof: 'rig',
  chambers: [
    { id: 'outside', pressure: 'none' },
    { id: 'pressure', pressure: 'working' },
  ],
  slots: [
    slot('boot', 'boot', 'boot'),
    slot('piston', 'piston', 'piston'),
    cup('cup', 'cup', 'outside', 'pressure'),
    slot('spring', 'spring', 'spring'),
    ...bleedScrew(),
  ],
  drawing: {
    atMm: 19.05,
    lengthMm: 42,
    wallMm: 4.5,
    ports: [port('bleed', 'bleed', 37, 2, 'top'), port('inlet', 'inlet', 37, 4, 'bottom')],
    grooves: [],
    seals: [running('cup', 'pressure', 23, -8)],
    spans: {
      boot: span(-6, 3),
      piston: span(3, 21),
      cup: span(21.2, 25.4),
      spring: span(25.8, 41.6),
      'bleed-screw': span(34.6, 39.4),
      'bleed-cap': span(33.8, 40.2),
    },
  },
};
