'use server';

import { judgedOtherwise } from '@/core/judge/judged-otherwise';
import { fail, ok } from '@/core/result';
import { PreviewRules, SaveRules } from '@/core/rules/rules-schemas';
import { judgedCases, saveRules } from '@/db/rules/rules';
import { act } from '../_server/act';

/** Which units would be judged otherwise under these rules. Nothing is saved. */
export const previewRulesAction = act('rules', PreviewRules, async ({ rules, schools }, { db }) => {
  const cases = await judgedCases(db);
  return ok({ judged: cases.length, otherwise: judgedOtherwise(cases, rules, schools) });
});

/** Saves a new version of the rules. Judgements that were saved keep the version they were made under. */
export const saveRulesAction = act('rules', SaveRules, async (i, { db, person, now }) => {
  const saved = await saveRules(db, person, now, i);
  return saved === undefined
    ? fail({ code: 'refused', reasons: ['Somebody saved other rules meanwhile: load the page again and enter yours on top of them.'] })
    : ok(saved);
});
