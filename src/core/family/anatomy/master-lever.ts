import type { Family } from '../family';
import { clip, cup, groove, port, running, slot, span } from './parts';

/** Hand lever or foot lever, banjo outlet; the boot sits in the first of two grooves, the clip in the second. */
export const masterLever: Family = {
  name: 'master-lever',
  label: 'Lever master',
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
    slot('boot', 'boot', 'boot', { groove: 'first' }),
    clip('second'),
    slot('piston', 'piston', 'piston'),
    cup('secondary', 'secondary cup', 'outside', 'feed'),
    cup('primary', 'primary cup', 'feed', 'pressure'),
    slot('spring', 'spring', 'spring'),
    slot('banjo-bolt', 'banjo bolt', 'banjo-bolt'),
    slot('sealing-washers', 'sealing washers', 'sealing-washer', { qty: 2 }),
  ],
  drawing: {
    atMm: 15.875,
    lengthMm: 48,
    wallMm: 4,
    ports: [
      port('feed', 'feed', 25, 2, 'top'),
      port('compensating', 'compensating', 30.4, 0.6, 'top'),
      port('outlet', 'outlet', 48, 4, 'end'),
    ],
    grooves: [groove('first', 1.2, 1.8), groove('second', 4.6, 1.3)],
    seals: [running('secondary', 'secondary', 11.5, 11), running('primary', 'pressure', 28, 11)],
    spans: {
      boot: span(-9, 2.8),
      circlip: span(4.7, 5.8),
      piston: span(-3, 25.6),
      secondary: span(9.5, 13.5),
      primary: span(26, 30),
      spring: span(30.4, 47.6),
      'banjo-bolt': span(50, 74),
      'sealing-washers': span(56, 66.4),
    },
  },
};
