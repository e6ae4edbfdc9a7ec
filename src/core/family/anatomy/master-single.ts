import type { Family } from '../family';
import { clip, cup, groove, port, running, slot, span } from './parts';

/** Pedal, screw cap or remote reservoir. */
export const masterSingle: Family = {
  name: 'master-single',
  label: 'Single master',
  bore: 'blind',
  brake: true,
  hasGap: true,
  proof: 'rig',
  chambers: [
    { id: 'outside', pressure: 'none' },
    { id: 'feed', pressure: 'reservoir' },
    { id: 'pressure', pressure: 'working' },
  ],
  slots: [
    slot('boot', 'boot', 'boot'),
    clip('clip'),
    slot('stop-washer', 'stop washer', 'stop-washer'),
    slot('pushrod', 'pushrod', 'pushrod'),
    slot('piston', 'piston', 'piston'),
    cup('secondary', 'secondary cup', 'outside', 'feed'),
    slot('protector', 'thin protector washer', 'protector-washer'),
    cup('primary', 'primary cup', 'feed', 'pressure'),
    slot('spring-seat', 'spring seat', 'spring-seat'),
    slot('spring', 'return spring', 'spring'),
    slot('residual-valve', 'residual valve', 'residual-valve', { optional: true }),
  ],
  drawing: {
    atMm: 20.6375,
    lengthMm: 64,
    wallMm: 4.5,
    // The compensating port opens just ahead of the resting primary cup; the feed stays between the two cups over the whole stroke.
    ports: [
      port('feed', 'feed', 32, 3, 'top'),
      port('compensating', 'compensating', 38.9, 0.8, 'top'),
      port('outlet', 'outlet', 59.5, 5, 'bottom'),
    ],
    grooves: [groove('clip', 2.4, 1.4)],
    seals: [running('secondary', 'secondary', 11, 17), running('primary', 'pressure', 36, 17)],
    spans: {
      boot: span(-13, 1.5),
      circlip: span(2.5, 3.7),
      'stop-washer': span(4.2, 5.6),
      pushrod: span(-34, 9),
      piston: span(6, 33.4),
      secondary: span(9.5, 14),
      protector: span(33.6, 34.2),
      primary: span(34.4, 39),
      'spring-seat': span(39.4, 41),
      spring: span(41, 61.5),
      'residual-valve': span(61.5, 64),
    },
  },
};
