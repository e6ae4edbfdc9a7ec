import { z } from 'zod';
import { text } from '../schema/text';
import { RULE_NAMES, RULES, type Rules, STANDARD_RULES } from './rule-set';

const valueSchema = (name: keyof typeof RULES) => {
  const { min, max, ...rule } = RULES[name];
  const value = z.number().min(min).max(max);
  return 'counts' in rule ? value.int() : value;
};

/** `rules: {name: value}` of a request: known names only. */
export const RuleOverridesSchema = z
  .strictObject(Object.fromEntries(RULE_NAMES.map((name) => [name, valueSchema(name).nullish()])))
  .nullish()
  .meta({ description: 'Overrides of the shop’s rules for this request.' });

const WholeSet = z.strictObject(
  Object.fromEntries(RULE_NAMES.map((name) => [name, RULES[name].standard === null ? valueSchema(name).nullable() : valueSchema(name)])),
);

/** A rule set that a person has edited: every rule there, within its range, and the pushrod's window a window. Says all that is wrong. */
export const EditedRulesSchema = WholeSet.superRefine((set, context) => {
  const [low, high, aim] = [set.windowMinMm, set.windowMaxMm, set.gapTargetMm];
  if (typeof low !== 'number' || typeof high !== 'number') return;
  if (low >= high) context.addIssue({ code: 'custom', path: ['windowMaxMm'], message: `must be above the least gap, ${low}` });
  else if (typeof aim === 'number' && (aim < low || aim > high))
    context.addIssue({ code: 'custom', path: ['gapTargetMm'], message: `must lie between ${low} and ${high}` });
}) as unknown as z.ZodType<Rules, Rules>;

/** A stored rule set. Rules that the shop has not set are null and take the table; rules that came after it was stored take the standard value. */
export const RulesSchema = z
  .record(text(), z.unknown())
  .transform((stored): Readonly<Record<string, unknown>> => ({ ...STANDARD_RULES, ...stored }))
  .pipe(WholeSet) as unknown as z.ZodType<Rules, Rules>;
