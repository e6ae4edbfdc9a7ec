import { contactsOf, NO_TOUCH, sayContact, type Touch, weightOf } from '../../fluid/contact';
import { FLUID_NAMES, FLUIDS } from '../../fluid/fluid';
import { LUBRICANT_NAMES, LUBRICANTS } from '../../fluid/lubricant';
import { RUBBER_NAMES, RUBBERS } from '../../fluid/rubber';
import type { Random } from '../../statistics/random';
import { oneOf } from '../draw';
import type { Exercise, Level } from '../exercise';

/** What touches what: may it be closed up so? */
export const touches = (random: Random, level: Level): Exercise => {
  const fluid = oneOf(random, level === 1 ? (['dot-4', 'mineral'] as const) : FLUID_NAMES);
  const touch: Touch = {
    ...NO_TOUCH,
    fluid,
    wasFluid: level < 3 ? fluid : oneOf(random, FLUID_NAMES),
    rubber: oneOf(random, RUBBER_NAMES),
    lubricant: level === 1 ? 'fresh-fluid' : oneOf(random, LUBRICANT_NAMES),
  };
  const contacts = contactsOf(touch, [], []);
  const stops = contacts.filter((c) => weightOf(c) === 'stop');
  const about = (codes: readonly string[]): boolean => stops.some((c) => codes.includes(c.code));
  const items = ['the rubber in this fluid', 'what it is wetted with', 'what the system held before'];
  const wrong = [about(['rubber-fluid']), about(['lubricant']), about(['mixed'])];
  return {
    asks: 'What must be put right before it is closed up? None, if it may be closed up so.',
    facts: [
      `Cups of ${touch.rubber === null ? '?' : RUBBERS[touch.rubber]}, wetted with ${LUBRICANTS[touch.lubricant].label}.`,
      `The system is filled with ${FLUIDS[fluid].label}; before it held ${touch.wasFluid === null ? '?' : FLUIDS[touch.wasFluid].label}, and nobody has flushed it.`,
    ],
    picture: null,
    form: { kind: 'pick', items },
    right: wrong.flatMap((w, i) => (w ? [i] : [])),
    hints: ['Three questions: does this rubber bear this fluid, does it bear what it is wetted with, and do the two fluids mix?'],
    because: stops.length === 0 ? ['Everything here bears everything else.'] : stops.map(sayContact),
  };
};
