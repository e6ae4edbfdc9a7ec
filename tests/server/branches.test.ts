import { eq } from 'drizzle-orm';
import { beforeAll, describe, expect, test } from 'vitest';
import type { Branch } from '@/core/shop/branch';
import { ShopSettings, STANDARD_SHOP } from '@/core/shop/settings';
import { addInstrument, instruments, moveInstrument } from '@/db/gauge/instruments';
import { changeMember } from '@/db/people/staff';
import { queueForRig, rigQueued } from '@/db/prove/rig-queue';
import { findUnits, onTheRack } from '@/db/rack/rack';
import { saveSettings, theShop } from '@/db/shop/settings';
import { people } from '@/db/tables';
import { receiveAtBranch, sendToBranch } from '@/db/unit/branch';
import { undoLast } from '@/db/unit/undo';
import { startWait } from '@/db/unit/waits';
import { openShop, PEOPLE, type Shop, START } from './shop';

// A shop in two places: each unit at one of them, sent and received; the rack of one's own, find over all.

const [NORTH, SOUTH]: [Branch, Branch] = [
  { id: 'north', name: 'North' },
  { id: 'south', name: 'South' },
];
const BY = { personId: PEOPLE.owner.id, at: START };
const set = async (branches: readonly Branch[]) => {
  const { version, settings } = await theShop(shop.db);
  return saveSettings(shop.db, BY, version, { ...settings, name: 'Ferrybank Hydraulics', branches: [...branches] });
};
const rackAt = async (id: string): Promise<readonly string[]> =>
  (await onTheRack(shop.db, { id, among: [NORTH, SOUTH] })).units.map((u) => u.id).sort();
const send = async (unitId: string, to: string, person = PEOPLE.tech) =>
  sendToBranch(shop.db, await shop.change(unitId, 'sent-to-branch', person), to);

let shop: Shop;
let [north, south] = ['', ''];
beforeAll(async () => {
  shop = await openShop();
  north = await shop.book();
  expect((await set([NORTH, SOUTH])).ok).toBe(true);
  await shop.db.update(people).set({ branch: 'south' }).where(eq(people.id, PEOPLE.counter.id));
  south = await shop.book({ machine: 'Southern tractor' }, { ...PEOPLE.counter, branch: 'south' });
});

describe('where a unit is', () => {
  test('one from before there were branches is at the first; one that is booked in is where its person is', async () => {
    expect([(await shop.record(north)).unit.branch, (await shop.record(south)).unit.branch]).toEqual([null, 'south']);
    expect([await rackAt('north'), await rackAt('south')]).toEqual([[north], [south]]);
    expect((await onTheRack(shop.db)).units.length).toBe(2);
  });

  test('find finds it in any of them', async () => {
    expect((await findUnits(shop.db, 'tractor')).units.map((u) => [u.id, u.branch]).sort()).toEqual([
      [north, null],
      [south, 'south'],
    ]);
  });
});

describe('a unit that is sent', () => {
  test('is on both racks, nothing is done to it on its way, and it is received where it was sent', async () => {
    const unitId = await shop.book();
    expect(await send(unitId, 'south')).toMatchObject({ ok: true });
    expect((await shop.record(unitId)).unit).toMatchObject({ branch: null, goesTo: 'south' });
    expect([(await rackAt('north')).includes(unitId), (await rackAt('south')).includes(unitId)]).toEqual([true, true]);
    const meanwhile = await startWait(shop.db, await shop.change(unitId, 'wait-started'), { label: 'soak', minutes: 5 });
    expect(meanwhile).toEqual({
      ok: false,
      error: { code: 'refused', reasons: ['It is on its way to another branch: it is received there first.'] },
    });
    expect(await send(unitId, 'north')).toMatchObject({ ok: false });
    expect(await receiveAtBranch(shop.db, await shop.change(unitId, 'received', PEOPLE.other))).toMatchObject({ ok: true });
    expect((await shop.record(unitId)).unit).toMatchObject({ branch: 'south', goesTo: null });
    expect([(await rackAt('north')).includes(unitId), (await rackAt('south')).includes(unitId)]).toEqual([false, true]);
    expect((await startWait(shop.db, await shop.change(unitId, 'wait-started'), { label: 'soak', minutes: 5 })).ok).toBe(true);
  });

  test('by mistake is taken back by who sent it, and by nobody else', async () => {
    const unitId = await shop.book();
    await send(unitId, 'south');
    expect((await undoLast(shop.db, await shop.change(unitId, 'undone', PEOPLE.other))).ok).toBe(false);
    expect((await undoLast(shop.db, await shop.change(unitId, 'undone', PEOPLE.tech))).ok).toBe(true);
    expect((await shop.record(unitId)).unit.goesTo).toBeNull();
  });

  test.each([
    ['where it is already', 'north', 'It is at North already.'],
    ['to no branch', 'nowhere', 'The shop has no such branch, or not any more. Load the page anew.'],
  ])('%s: refused', async (_, to, why) => {
    expect(await send(north, to)).toEqual({ ok: false, error: { code: 'refused', reasons: [why] } });
  });

  test('waits for the rig of where it is, and for none on its way', async () => {
    const unitId = await shop.at('prove');
    await queueForRig(shop.db, PEOPLE.tech, unitId, START);
    const at = (id: string) => ({ id, among: [NORTH, SOUTH] });
    expect([(await rigQueued(shop.db, at('north'))).length, (await rigQueued(shop.db, at('south'))).length]).toEqual([1, 0]);
    await send(unitId, 'south');
    expect(await rigQueued(shop.db)).toEqual([]);
  });

  test('that has not arrived cannot be received twice', async () => {
    expect(await receiveAtBranch(shop.db, await shop.change(north, 'received'))).toMatchObject({ ok: false });
  });
});

test('a branch at which something is still is not taken away; one that is empty is', async () => {
  const gone = await set([NORTH]);
  expect(gone).toMatchObject({ ok: false, error: { code: 'still-used', branch: 'South', people: 1, gauges: 0 } });
  const third = { id: 'east', name: 'East' };
  expect((await set([NORTH, SOUTH, third])).ok).toBe(true);
  expect(await addInstrument(shop.db, { id: 'g1', name: 'Bore gauge', fromMm: null, toMm: null, branch: 'east' }, START)).toBe(true);
  expect(await set([NORTH, SOUTH])).toMatchObject({ ok: false, error: { code: 'still-used', branch: 'East', gauges: 1 } });
  expect(await moveInstrument(shop.db, 'g1', 'north')).toBe(true);
  expect((await instruments(shop.db))[0]?.branch).toBe('north');
  expect((await set([NORTH, SOUTH])).ok).toBe(true);
});

test('a person’s branch is the owner’s to change, and is written down', async () => {
  const { id, name, role } = PEOPLE.tech;
  const changed = await changeMember(shop.db, BY, { id, name, role, bench: 'Bench 1', branch: 'south', work: null });
  expect(changed.ok).toBe(true);
  expect((await shop.db.select().from(people).where(eq(people.id, id)))[0]?.branch).toBe('south');
});

test('two branches have two names, and a bench stands at one there is', () => {
  const twice = ShopSettings.safeParse({ ...STANDARD_SHOP, name: 'A shop', branches: [NORTH, { id: 'n2', name: 'north ' }] });
  expect(twice.error?.issues.map((i) => [i.path.join('.'), i.message])).toEqual([['branches.1.name', 'is the name of another one']]);
});
