import { z } from 'zod';
import { RuleOverridesSchema } from '../rules/rule-schema';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';

/** More than any of it costs, in any money. */
const Money = z.number().min(0).max(1e9);
const Count = z.number().int().min(0).max(1_000_000);
const Seen = z.strictObject({ good: Count.nullish(), bad: Count.nullish() });
const Days = z.number().min(0).max(10_000);

/** What chapter 13 is asked. Money in the shop's own. */
export const RouteCostRequest = z.object({
  options: uniqueIds(
    z
      .array(
        z.strictObject({
          id: text().min(1).max(100),
          parts: Money,
          outside: Money.nullish(),
          minutes: z.number().min(0).max(1e6),
          days: Days,
          /** Of units that went this way: proved at once or not, kept or came back. */
          proved: Seen.nullish(),
          kept: Seen.nullish(),
          /** What it costs where it is not proved; the labour where nobody says. */
          failCost: Money.nullish(),
          returnCost: Money.nullish(),
          /** False: given back as it is. */
          restores: z.boolean().nullish(),
        }),
      )
      .min(1)
      .max(100),
  ),
  returnCost: Money.nullish(),
  /** Below 0: late already. */
  neededInDays: z.number().min(-10_000).max(10_000).nullish(),
  latePerDay: Money.nullish(),
  hard: z.boolean().nullish(),
  rules: RuleOverridesSchema,
});
export type RouteCostRequest = z.output<typeof RouteCostRequest>;
