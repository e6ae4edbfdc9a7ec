import type { Family } from '../family';
import { bleedScrew, cup, port, running, slot, span } from './parts';

/** Two opposed pistons in a through bore; the slots in the pistons face the shoes, and only the boots keep them in. */
export const wheelDouble: Family = {
  name: 'wheel-double',
  label: 'Wheel cylinder, double',
  bore: 'through',
  brake: true,
  hasGap: false,
  proof: 'rig',
  chambers: [
    { id: 'outside-left', pressure: 'none' },
    { id: 'pressure', pressure: 'working' },
    { id: 'outside-right', pressure: 'none' },
  ],
  slots: [
    slot('left-boot', 'left boot', 'boot'),
    slot('left-piston', 'left piston', 'piston'),
    cup('left-cup', 'left cup', 'outside-left', 'pressure'),
    slot('expander', 'expander spring', 'spring'),
    cup('right-cup', 'right cup', 'pressure', 'outside-right'),
    slot('right-piston', 'right piston', 'piston'),
    slot('right-boot', 'right boot', 'boot'),
    ...bleedScrew(),
  ],
  drawing: {
    atMm: 22.225,
    lengthMm: 62,
    wallMm: 4.5,
    ports: [port('bleed', 'bleed', 31, 2, 'top'), port('inlet', 'inlet', 31, 4, 'bottom')],
    grooves: [],
    seals: [running('left-cup', 'pressure', 24, -6), running('right-cup', 'pressure', 38, 6)],
    spans: {
      'left-boot': span(-6, 3),
      'left-piston': span(3, 22.2),
      'left-cup': span(22.4, 27),
      expander: span(27, 35),
      'right-cup': span(35, 39.6),
      'right-piston': span(39.8, 59),
      'right-boot': span(59, 68),
      'bleed-screw': span(28.6, 33.4),
      'bleed-cap': span(27.8, 34.2),
    },
  },
};
