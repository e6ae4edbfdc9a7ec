'use server';

import { BookIn, Correct, Find, SaveCauses } from '@/core/book-in/book-in-schemas';
import { CAUSES } from '@/core/book-in/cause';
import { TESTS } from '@/core/book-in/cause-test';
import { fail, ok } from '@/core/result';
import { bookIn } from '@/db/book-in/book-in';
import { correct, sayCorrection } from '@/db/book-in/correct';
import { find, saveCauseModel } from '@/db/book-in/findings';
import { loadUnit } from '@/db/engine/load-unit';
import { variantById } from '@/db/family/variants';
import { firstLife } from '@/db/unit/lives';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const bookInAction = act('book-in', BookIn, async (b, { db, person, now }) => {
  const variant = b.variantId == null ? null : await variantById(db, b.variantId);
  if (variant === undefined || (variant !== null && variant.variant.base !== b.family))
    return fail({ code: 'refused', reasons: ['That variant is not there any more: choose the family again.'] });
  const first = await firstLife(db, b.comebackTag, b.family);
  return first.ok ? bookIn(db, person, now, { ...b, variant, comesBackFrom: first.value }) : first;
});

/** Puts right what was entered at the counter. */
export const correctAction = act('correct', Correct, async (i, { db, person, now }) => {
  const variant = i.variantId == null ? null : await variantById(db, i.variantId);
  const record = await loadUnit(db, i.unitId);
  if (record === undefined) return fail({ code: 'no-such-unit' });
  if (variant === undefined || (variant !== null && variant.variant.base !== i.family))
    return fail({ code: 'refused', reasons: ['That variant is not there any more: choose the family again.'] });
  const entered = { ...i, variant };
  const note = sayCorrection(record, entered);
  return correct(db, changeOf(i, person, now, 'corrected', note.slice(0, 500)), entered);
});

/** Notes what a test said, or what a unit's trouble was. */
export const findAction = act('book-in', Find, (i, { db, person, now }) =>
  find(
    db,
    changeOf(i, person, now, 'found', `${i.about === 'cause' ? CAUSES[i.name].label : TESTS[i.name]} ${i.answer ?? 'taken back'}`),
    i,
  ),
);

export const saveCausesAction = act('rules', SaveCauses, async (i, { db, person, now }) => {
  const saved = await saveCauseModel(db, person, now, i);
  return saved === undefined
    ? fail({ code: 'refused', reasons: ['Somebody else saved these numbers meanwhile: load the page again.'] })
    : ok(saved);
});
