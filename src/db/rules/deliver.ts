import { STANDARD_RULES } from '@/core/rules/rule-set';
import type { Db } from '../engine/connection';
import { ruleSets } from '../tables';

/** Gives a shop without rules the standard ones as its version 1; a shop that has rules keeps them. @param at ms since 1970 */
export const deliverRules = async (
  db: Db,
  at: number,
  by: { readonly personId: string; readonly note: string } = DELIVERED,
): Promise<void> => {
  await db
    .insert(ruleSets)
    .values({ id: 'rules-1', version: 1, at, rules: STANDARD_RULES, schools: {}, ...by })
    .onConflictDoNothing();
};
const DELIVERED = { personId: '', note: 'As delivered.' };
