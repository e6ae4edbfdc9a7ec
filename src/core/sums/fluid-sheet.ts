import { contactsOf, NO_TOUCH, sayContact, type Touch, weightOf } from '../fluid/contact';
import { FLUID_NAMES, FLUIDS } from '../fluid/fluid';
import { LUBRICANT_NAMES } from '../fluid/lubricant';
import { RUBBER_NAMES, RUBBERS } from '../fluid/rubber';
import { numbersIn, type Query, queryOf } from '../schema/sheet';

const FIELDS = ['fluid', 'was', 'flush', 'rubber', 'before', 'after', 'lubricant'] as const;

/** What touches what, as an address carries it. */
export const fluidQuery = (t: Touch): string =>
  queryOf(
    {
      fluid: t.fluid,
      was: t.wasFluid,
      flush: t.flush === 'no' ? null : t.flush,
      rubber: t.rubber,
      before: t.swell?.beforeMm,
      after: t.swell?.afterMm,
      lubricant: t.lubricant === NO_TOUCH.lubricant ? null : t.lubricant,
    },
    FIELDS,
  );

export const fluidSheetOf = (query: Query): Touch => {
  const { before, after } = numbersIn(query, ['before', 'after'] as const);
  return {
    fluid: FLUID_NAMES.find((n) => n === query.fluid) ?? null,
    wasFluid: FLUID_NAMES.find((n) => n === query.was) ?? null,
    flush: query.flush === 'flushed' || query.flush === 'to-flush' ? query.flush : 'no',
    rubber: RUBBER_NAMES.find((n) => n === query.rubber) ?? null,
    swell: before !== undefined && after !== undefined && before > 0 && after > 0 ? { beforeMm: before, afterMm: after } : null,
    lubricant: LUBRICANT_NAMES.find((n) => n === query.lubricant) ?? NO_TOUCH.lubricant,
  };
};

/** The sheet as text, what stops first. */
export const fluidAsText = (t: Touch): string => {
  const contacts = contactsOf(t, [], []);
  const mark = { stop: 'STOP: ', note: 'Mind: ', good: '' };
  return [
    `What touches what: ${t.fluid === null ? 'no fluid named' : FLUIDS[t.fluid].label} on ${t.rubber === null ? 'unknown rubber' : RUBBERS[t.rubber]}`,
    ...contacts.map((c) => `${mark[weightOf(c)]}${sayContact(c)}`),
  ].join('\n');
};
