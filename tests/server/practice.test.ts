import { beforeAll, expect, test } from 'vitest';
import type { Answer, Level } from '@/core/practice/exercise';
import { exerciseOf } from '@/core/practice/kinds';
import { UP_AFTER } from '@/core/practice/path';
import { customerFile } from '@/db/customer/customer-file';
import { members } from '@/db/people/staff';
import { answerExercise, sitsOf } from '@/db/practice/practice';
import { openShop, PEOPLE, type Shop, START } from './shop';

// What somebody practised, and when it is met again.

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

let serial = 0;
const DAY_MS = 86_400_000;
const answer = (
  level: Level,
  how: 'right' | 'wrong',
  more: { readonly at?: number; readonly hints?: number; readonly id?: string; readonly personId?: string } = {},
) => {
  serial += 1;
  const seed = 1000 + serial;
  const { right } = exerciseOf('gap', level, seed);
  const given: Answer = how === 'right' ? right : (right as number) + 5;
  const { at = START + serial * 60_000, hints = 0, id = `try-${serial}`, personId = PEOPLE.tech.id } = more;
  return answerExercise(shop.db, { personId, at }, { id, kind: 'gap', level, seed, answer: given, hints, family: null });
};
const sits = async (personId: string = PEOPLE.tech.id) => (await sitsOf(shop.db, personId)).find((s) => s.kind === 'gap');

test('what is right waits for its day, what is wrong comes back at once; each person has their own', async () => {
  expect(await sits()).toBeUndefined();
  expect(await answer(1, 'wrong')).toEqual({ right: false });
  const wrong = await sits();
  expect([wrong?.tried, wrong?.right]).toEqual([1, 0]);
  expect((wrong?.dueAt ?? 0) - START).toBeLessThan(DAY_MS / 24);
  await answer(1, 'right', { personId: PEOPLE.other.id, at: START });
  await answer(1, 'right', { personId: PEOPLE.other.id, at: START + DAY_MS });
  expect(((await sits(PEOPLE.other.id))?.dueAt ?? 0) - START).toBeGreaterThan(DAY_MS);
  expect((await sits())?.tried).toBe(1);
});

test('the same try sent twice counts once', async () => {
  const before = (await sits())?.tried ?? 0;
  await answer(1, 'right', { id: 'once' });
  await answer(1, 'right', { id: 'once' });
  expect((await sits())?.tried).toBe(before + 1);
});

test('the next level comes after some right ones in a row without a hint, and goes again', async () => {
  const personId = PEOPLE.lead.id;
  for (let n = 0; n < UP_AFTER; n++) await answer(1, 'right', { personId, hints: n === 1 ? 1 : 0 });
  expect((await sits(personId))?.level).toBe(1);
  for (let n = 0; n < UP_AFTER; n++) await answer(1, 'right', { personId });
  expect((await sits(personId))?.level).toBe(2);
  await answer(2, 'wrong', { personId });
  expect((await sits(personId))?.level).toBe(2);
  await answer(2, 'wrong', { personId });
  expect((await sits(personId))?.level).toBe(1);
});

test('none of it is in what is kept of a customer, nor in what is told of the people of the shop', async () => {
  const unitId = await shop.book();
  const { job } = await shop.record(unitId);
  expect(JSON.stringify([await customerFile(shop.db, job.customerId, START), await members(shop.db, START)])).not.toContain('gap');
});
