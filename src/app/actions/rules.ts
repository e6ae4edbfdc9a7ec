'use server';

import { z } from 'zod';
import { judgedOtherwise } from '@/core/judge/judged-otherwise';
import { fail, ok } from '@/core/result';
import { EditedRulesDoor } from '@/core/rules/rule-door';
import { SchoolsDoor } from '@/core/rules/schools-door';
import { judgedCases, saveRules } from '@/db/rules/rules';
import { act } from '../_server/act';

/** Which units would be judged otherwise under these rules. Nothing is saved. */
export const previewRulesAction = act(
  'rules',
  z.object({ rules: EditedRulesDoor, schools: SchoolsDoor }),
  async ({ rules, schools }, { db }) => {
    const cases = await judgedCases(db);
    return ok({ judged: cases.length, otherwise: judgedOtherwise(cases, rules, schools) });
  },
);

const Entry = z.object({
  after: z.number().int().nonnegative(),
  note: z.string().trim().min(3, 'say why the rules change').max(300),
  rules: EditedRulesDoor,
  schools: SchoolsDoor,
});

/** Saves a new version of the rules. Judgements that were saved keep the version they were made under. */
export const saveRulesAction = act('rules', Entry, async (i, { db, person, now }) => {
  const saved = await saveRules(db, person, now, i);
  return saved === undefined
    ? fail({ code: 'refused', reasons: ['Somebody saved other rules meanwhile: load the page again and enter yours on top of them.'] })
    : ok(saved);
});
