import { z } from 'zod';
import { RuleOverridesSchema } from '../rules/rule-schema';
import { crossCheck, entriesOf, fieldOf } from '../schema/cross-check';
import { text } from '../schema/text';

/** A century. */
const Days = z.number().min(0).max(36_525);
const MOST_GROUPS = 100;

/** What chapter 15 is asked: how long each unit held, by group. */
export const ComebacksRequest = crossCheck(
  z.object({
    units: z
      .array(z.strictObject({ group: text().min(1).max(100), days: Days, cameBack: z.boolean(), releasedDaysAgo: Days.nullish() }))
      .min(1)
      .max(100_000),
    at: z.array(Days).max(100).nullish(),
    level: z.number().min(0.5).max(0.999).nullish(),
    followDays: z.number().gt(0).max(36_525).nullish(),
    rules: RuleOverridesSchema,
  }),
  (value, report) => {
    const groups = new Set<unknown>();
    for (const [i, unit] of entriesOf(fieldOf(value, 'units')).entries()) {
      groups.add(unit.group);
      const { days, releasedDaysAgo: ago } = unit;
      if (typeof days === 'number' && typeof ago === 'number' && ago < days - 1e-9)
        report(['units', i, 'releasedDaysAgo'], 'is less than its days: it cannot have held for longer than it was out');
    }
    if (groups.size > MOST_GROUPS) report(['units'], `are of ${groups.size} groups, at most ${MOST_GROUPS} are told apart`);
  },
);
export type ComebacksRequest = z.output<typeof ComebacksRequest>;
