import { z } from 'zod';
import { RULE_NAMES, RULES, type Rules } from './rule-set';

const valueDoor = (name: keyof typeof RULES) => z.number().min(RULES[name].min).max(RULES[name].max);

/** `rules: {name: value}` of a request: known names only. */
export const RuleOverridesDoor = z
  .strictObject(Object.fromEntries(RULE_NAMES.map((name) => [name, valueDoor(name).nullish()])))
  .nullish()
  .meta({ description: 'Overrides of the shop’s rules for this request.' });

/** A whole stored rule set; rules that the shop has not set are null and take the table or the standard value. */
export const RulesDoor = z.strictObject(
  Object.fromEntries(RULE_NAMES.map((name) => [name, RULES[name].standard === null ? valueDoor(name).nullable() : valueDoor(name)])),
) as unknown as z.ZodType<Rules>;
