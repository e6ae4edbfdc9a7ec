import { beforeAll, describe, expect, test } from 'vitest';
import type { Person } from '@/core/people/role';
import type { Result } from '@/core/result';
import { bookIn, type Entered } from '@/db/book-in/book-in';
import { correct, sayCorrection } from '@/db/book-in/correct';
import { findUnits, knownAtCounter } from '@/db/rack/rack';
import { historyOf } from '@/db/unit/history';
import { leave } from '@/db/unit/sign-off';
import { startWait } from '@/db/unit/waits';
import { openShop, PEOPLE, type Shop, START } from './shop';

// What the counter enters, and puts right.

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const reasons = (r: Result<unknown, { readonly code: string }>): readonly string[] =>
  r.ok ? [] : ((r.error as { readonly reasons?: readonly string[] }).reasons ?? [r.error.code]);

const enteredOf = async (unitId: string): Promise<Entered> => {
  const { job, unit } = await shop.record(unitId);
  return {
    customer: job.customer,
    phone: job.phone,
    machine: job.machine,
    family: unit.family,
    position: unit.position,
    nominalMm: unit.geometry?.nominalMm ?? null,
    material: unit.material,
    complaints: unit.complaints,
    complaintText: unit.complaintText,
    identityMarks: unit.identityMarks,
    promisedAt: job.promisedAt,
  };
};
const put = async (unitId: string, news: Partial<Entered>, person: Person = PEOPLE.counter) => {
  const entered = { ...(await enteredOf(unitId)), ...news };
  const note = sayCorrection(await shop.record(unitId), entered);
  return correct(shop.db, { ...(await shop.change(unitId, 'corrected', person)), note }, entered);
};

describe('several units off one machine', () => {
  test('are one job, each with what is said of it', async () => {
    const first = await shop.book({ machine: 'Barley seeder', complaints: ['spongy'] });
    const second = await shop.book({ machine: 'Barley seeder', complaints: ['pulls'], withUnitId: first });
    const other = await shop.book({ machine: 'Hop trailer', withUnitId: first });
    const [a, b, c] = [await shop.record(first), await shop.record(second), await shop.record(other)];
    expect([a.unit.jobId === b.unit.jobId, a.unit.jobId === c.unit.jobId]).toEqual([true, false]);
    expect([a.unit.complaints, b.unit.complaints]).toEqual([['spongy'], ['pulls']]);
  });

  test('follow when customer, machine or promise is put right, each on its own record, and are found by it', async () => {
    const first = await shop.book({ customer: 'Aldwater Orchard', machine: 'Mower' });
    const second = await shop.book({ customer: 'Aldwater Orchard', machine: 'Mower', withUnitId: first });
    expect((await put(first, { customer: 'Zeltinger Hof', promisedAt: START + 9 * 86_400_000 })).ok).toBe(true);
    for (const id of [first, second]) {
      const { job, unit } = await shop.record(id);
      expect([job.customer, unit.dueAt]).toEqual(['Zeltinger Hof', START + 9 * 86_400_000]);
      const [line] = await historyOf(shop.db, id);
      expect([line?.kind, line?.by, line?.note]).toEqual([
        'corrected',
        'Cas',
        expect.stringMatching(/^customer: Aldwater Orchard → Zeltinger Hof; promised: /),
      ]);
    }
    expect((await findUnits(shop.db, 'zeltinger')).inAll).toBe(2);
    expect((await findUnits(shop.db, 'aldwater mower')).inAll).toBe(0);
  });
});

test('a correction that one unit of a job cannot take is made at none of them; sent twice it is made once', async () => {
  const first = await shop.book({ customer: 'Norrvik Ice Hall', machine: 'Resurfacer' });
  const second = await shop.book({ customer: 'Norrvik Ice Hall', machine: 'Resurfacer', withUnitId: first });
  const entered = { ...(await enteredOf(first)), machine: 'Ice saw' };
  const change = { ...(await shop.change(first, 'corrected', PEOPLE.counter)), note: '' };
  // The number that the second unit's part of it would have is taken by something else.
  const taken = { ...(await shop.change(second, 'wait-started')), eventId: `${change.eventId}-${second}` };
  await startWait(shop.db, taken, { label: 'soak', minutes: 5 });
  await expect(correct(shop.db, change, entered)).rejects.toThrow('cannot change with');
  for (const id of [first, second]) expect((await shop.record(id)).job.machine).toBe('Resurfacer');
  const again = { ...change, eventId: `${change.eventId}-again` };
  const made = await correct(shop.db, again, entered);
  expect([made.ok, await correct(shop.db, again, entered)]).toEqual([true, made]);
  for (const id of [first, second]) expect((await shop.record(id)).job.machine).toBe('Ice saw');
});

test('nothing is promised for a time that is over', async () => {
  const late = {
    unitId: 'late',
    customer: 'C',
    phone: '',
    machine: 'M',
    family: 'wheel-double',
    position: '',
    nominalMm: 19,
    material: 'alloy',
  } as const;
  const rest = { complaints: [], complaintText: '', identityMarks: '', promisedAt: START - 1 };
  expect(reasons(await bookIn(shop.db, PEOPLE.counter, START, { ...late, ...rest }))).toEqual([
    'It cannot be promised for a time that is over.',
  ]);
  const unitId = await shop.book();
  expect(reasons(await put(unitId, { promisedAt: START - 1 }))).toEqual(['It cannot be promised for a time that is over.']);
});

describe('what was entered wrongly', () => {
  test('is put right by the counter or a lead, not by a technician', async () => {
    const unitId = await shop.book();
    expect(reasons(await put(unitId, { position: 'rear' }, PEOPLE.tech))).toEqual(['The counter or a lead corrects what was entered.']);
    expect((await put(unitId, { position: 'rear', complaints: ['drags'], complaintText: 'since May' }, PEOPLE.lead)).ok).toBe(true);
    const { unit } = await shop.record(unitId);
    expect([unit.position, unit.complaints, unit.complaintText]).toEqual(['rear', ['drags'], 'since May']);
  });

  test('a bore is another geometry, until it has been gauged', async () => {
    const unitId = await shop.book();
    const before = (await shop.record(unitId)).unit.geometry;
    expect((await put(unitId, { nominalMm: 25.4 })).ok).toBe(true);
    const after = (await shop.record(unitId)).unit.geometry;
    expect([before?.nominalMm, after?.nominalMm]).toEqual([22.225, 25.4]);
    expect(after?.lengthMm).toBeCloseTo(((before?.lengthMm ?? 0) * 25.4) / 22.225, 0);
    const gauged = await shop.at('judge');
    expect(reasons(await put(gauged, { nominalMm: 25.4 }))[0]).toMatch(/^It has been gauged/);
    expect((await put(gauged, { identityMarks: 'X 7' })).ok).toBe(true);
  });

  test('a family is another tray, until it has been begun to strip', async () => {
    const unitId = await shop.book();
    expect((await put(unitId, { family: 'wheel-single' })).ok).toBe(true);
    const { family, tray, unit } = await shop.record(unitId);
    expect([unit.family, family.name, tray.map((p) => p.slotId)]).toEqual(['wheel-single', 'wheel-single', family.slots.map((s) => s.id)]);
    const begun = await shop.at('clean');
    expect(reasons(await put(begun, { family: 'wheel-single' }))[0]).toMatch(/begun to strip/);
  });

  test('not on a unit that has left', async () => {
    const unitId = await shop.book();
    await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'returned');
    expect(reasons(await put(unitId, { position: 'x' }))).toEqual(['This unit has left the shop: returned.']);
  });
});

test('customers and machines are known as they are typed', async () => {
  await shop.book({ customer: 'Ottoline Verrick', phone: '0171 5', machine: 'Vineyard crawler' });
  await shop.book({ customer: 'Ottoline Verrick', phone: '0171 5', machine: 'Press wagon' });
  const known = await knownAtCounter(shop.db, 'otto', '');
  expect(known.customers).toEqual([{ name: 'Ottoline Verrick', phone: '0171 5' }]);
  expect((await knownAtCounter(shop.db, 'Ottoline Verrick', 'cra')).machines).toEqual(['Vineyard crawler']);
  expect(await knownAtCounter(shop.db, '', '')).toEqual({ customers: [], machines: [] });
});
