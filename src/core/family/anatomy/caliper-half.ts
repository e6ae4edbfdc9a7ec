import type { Family } from '../family';
import { bleedScrew, groove, port, running, seal, slot, span } from './parts';

/** One pot of a caliper half: the square seal sits in a groove of the bore and rolls the piston back. More pots are a variant with more of the same. */
export const caliperHalf: Family = {
  name: 'caliper-half',
  label: 'Caliper half',
  bore: 'blind',
  brake: true,
  hasGap: false,
  proof: 'rig',
  chambers: [
    { id: 'outside', pressure: 'none' },
    { id: 'pressure', pressure: 'working' },
  ],
  slots: [
    slot('dust-seal', 'dust seal', 'dust-seal', { groove: 'dust' }),
    slot('piston', 'piston', 'piston'),
    seal('pressure-seal', 'pressure seal', 'square-seal', 'outside', 'pressure', { groove: 'seal' }),
    slot('cross-over-seal', 'cross-over seal', 'cross-over-seal', { optional: true }),
    ...bleedScrew(),
  ],
  drawing: {
    atMm: 42.8625,
    lengthMm: 34,
    wallMm: 7,
    ports: [port('bleed', 'bleed', 27, 2.4, 'top'), port('inlet', 'inlet', 27, 4, 'bottom')],
    grooves: [groove('dust', 2, 4, 2.6), groove('seal', 12, 3.8, 3.4)],
    seals: [running('pressure-seal', 'static', 13.9, 0, 3.8)],
    spans: {
      'dust-seal': span(0.6, 6),
      piston: span(-5, 24),
      'pressure-seal': span(12.1, 15.7),
      'cross-over-seal': span(24, 30),
      'bleed-screw': span(24.4, 29.6),
      'bleed-cap': span(23.6, 30.4),
    },
  },
};
