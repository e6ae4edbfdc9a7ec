import { beforeAll, describe, expect, test } from 'vitest';
import { newestOf } from '@/core/bench/bench-record';
import { assemblyOrder } from '@/core/close-up/order';
import { sideOf } from '@/core/close-up/side';
import type { Touch } from '@/core/fluid/contact';
import { NO_TOUCH } from '@/core/fluid/contact';
import { stateRelease } from '@/core/release/statement';
import type { Result } from '@/core/result';
import { stationNow } from '@/core/route/route';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { factsOf, routeOfUnit } from '@/core/unit/facts-of';
import { type Forgotten, findForgotten } from '@/db/close-up/forgotten';
import { noteTorque, torquesOf } from '@/db/close-up/torques';
import type { ChangeError } from '@/db/engine/change-unit';
import { findCured, putOnFinish } from '@/db/finish/finish';
import { finishWaitId } from '@/db/finish/finish-wait';
import { setAside } from '@/db/kit/take';
import { recordPart } from '@/db/strip/tray';
import { noteAtBench, saveGap, saveVacuum } from '@/db/unit/bench';
import { signOff } from '@/db/unit/sign-off';
import { undoLast } from '@/db/unit/undo';
import { endWait } from '@/db/unit/waits';
import { SOUND } from '../../devices/rig/chamber';
import { openShop, PEOPLE, type Shop, START } from './shop';

// Close up and Set through the real database: what touches what, which way round, forgotten parts, finishes, screws, gaps, boosters.

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const reasons = (result: Result<unknown, ChangeError>): readonly string[] => {
  if (result.ok || result.error.code !== 'refused') throw new Error(`not refused: ${JSON.stringify(result)}`);
  return result.error.reasons;
};
const done = (station: 'close-up' | 'set' | 'prove') => ({ station, note: '', override: null });
const sign = async (unitId: string, station: 'close-up' | 'set' | 'prove') =>
  signOff(shop.db, await shop.change(unitId, 'signed-off'), done(station));
const putIn = async (unitId: string, slot: string, piece: 'same' | 'new', faces: 'open' | 'blind' | null) =>
  recordPart(shop.db, await shop.change(unitId, 'part-in'), `${unitId}-${slot}`, { goesIn: { piece, faces } });
const touch = async (unitId: string, more: Partial<Touch> = {}) =>
  noteAtBench(shop.db, await shop.change(unitId, 'touch-noted'), {
    kind: 'touch',
    ...NO_TOUCH,
    fluid: 'dot-4',
    wasFluid: 'dot-4',
    rubber: 'epdm',
    ...more,
  });
const stroke = async (unitId: string, returns: 'by-itself' | 'sticks') =>
  noteAtBench(shop.db, await shop.change(unitId, 'stroked'), { kind: 'stroked', returns });
const doneAt = async (unitId: string) => (await shop.record(unitId)).steps.map((s) => s.station);
const tandem = { family: 'master-tandem', nominalMm: 22.225 } as const;

describe('a part going in', () => {
  test('refuses old rubber, a piece meant for the bin, an unseen lip and a wrong one, each with its reason', async () => {
    const unitId = await shop.at('close-up');
    await touch(unitId);
    expect(reasons(await putIn(unitId, 'left-cup', 'same', 'blind'))).toEqual(['The old left cup is never used again: a new one goes in.']);
    expect(reasons(await putIn(unitId, 'left-boot', 'same', null))[0]).toMatch(/not to be used again: its fate is “replaced”/);
    expect(reasons(await putIn(unitId, 'left-cup', 'new', null))).toEqual(['Say which way the lip of the left cup faces.']);
    expect(reasons(await putIn(unitId, 'left-cup', 'new', 'open'))[0]).toMatch(/wrong way: turn it round\. .* stands to its right/);
    expect(reasons(await putIn(unitId, 'right-cup', 'new', 'blind'))[0]).toMatch(/stands to its left/);
    expect((await putIn(unitId, 'left-cup', 'new', 'blind')).ok).toBe(true);
    expect((await shop.record(unitId)).tray.find((p) => p.slotId === 'left-cup')?.goesIn?.at).toBeGreaterThan(START);
  });

  test('new rubber waits until fluid and rubber are known to bear each other; metal does not', async () => {
    const unitId = await shop.at('close-up');
    expect(reasons(await putIn(unitId, 'left-cup', 'new', 'blind'))).toEqual([
      'Say which fluid the system is filled with: the cap or the handbook names it.',
    ]);
    expect((await putIn(unitId, 'expander', 'same', null)).ok).toBe(true);
    await touch(unitId, { fluid: 'mineral', wasFluid: 'mineral' });
    expect(reasons(await putIn(unitId, 'left-cup', 'new', 'blind'))[0]).toMatch(/^EPDM swells in mineral brake fluid/);
    await touch(unitId, { rubber: 'nbr' });
    expect(reasons(await putIn(unitId, 'left-cup', 'new', 'blind'))[0]).toMatch(/^A bag set aside holds EPDM, and NBR goes into this unit/);
    await touch(unitId, { rubber: null });
    expect((await putIn(unitId, 'left-cup', 'new', 'blind')).ok).toBe(true);
  });

  test('is refused out of a bag that is past its date', async () => {
    const unitId = await shop.at('close-up');
    await touch(unitId);
    const [bag] = (await shop.record(unitId)).setAside;
    const late = await shop.change(unitId, 'part-in', PEOPLE.tech, { at: (bag?.expiresAt ?? 0) + 1 });
    const goesIn = { piece: 'new', faces: 'blind' } as const;
    expect(reasons(await recordPart(shop.db, late, `${unitId}-left-cup`, { goesIn }))).toEqual([
      `The left cup of ${bag?.number}, lot ${bag?.lotCode}, is past its date: take another bag at Kit.`,
    ]);
  });

  test('nothing is closed while anything stays on the tray, is not tight, or has not been stroked', async () => {
    const unitId = await shop.at('close-up');
    await touch(unitId);
    for (const slot of ['expander', 'bleed-screw']) await putIn(unitId, slot, 'same', null);
    await putIn(unitId, 'right-boot', 'new', null);
    expect(reasons(await stroke(unitId, 'by-itself'))[0]).toMatch(/^Not in yet: left boot, left piston/);
    expect(reasons(await sign(unitId, 'close-up'))).toEqual([
      'Not in yet: left boot, left piston, left cup, right cup, right piston.',
      'Say how it was tightened: bleed screw.',
      'Stroke it by hand: is it free, and does it return by itself?',
    ]);
    const { family, tray } = await shop.record(unitId);
    for (const p of assemblyOrder(family, tray).filter((x) => x.goesIn === null))
      await putIn(unitId, p.slotId, p.fate === 'refitted' ? 'same' : 'new', sideOf(family, tray, p)?.toward ?? null);
    expect(reasons(await stroke(unitId, 'by-itself'))).toEqual(['Say how it was tightened: bleed screw.']);
    const fastened = { how: 'by-feel', hand: 'right', reason: 'no figure in the manual' } as const;
    const tighten = async (slot: string) => recordPart(shop.db, await shop.change(unitId, 'part-in'), `${unitId}-${slot}`, { fastened });
    expect(reasons(await tighten('left-boot'))).toEqual(['The left boot is not tightened.']);
    expect((await tighten('bleed-screw')).ok).toBe(true);
    await stroke(unitId, 'sticks');
    expect(reasons(await sign(unitId, 'close-up'))).toEqual(['It does not return by itself: take it apart again and find out why.']);
    await stroke(unitId, 'by-itself');
    expect((await sign(unitId, 'close-up')).ok).toBe(true);
    expect(reasons(await touch(unitId))[0]).toMatch(/signed off/);
  });
});

describe('a forgotten part', () => {
  const forget = async (unitId: string, forgotten: Forgotten) =>
    findForgotten(shop.db, await shop.change(unitId, 'part-forgotten'), forgotten);
  const listed = (unitId: string, slot: string): Forgotten => ({ what: 'listed', partId: `${unitId}-${slot}` });
  const outOf = async (unitId: string) =>
    (await shop.record(unitId)).tray.filter((p) => p.found !== 'absent' && p.goesIn === null).map((p) => p.slotId);

  test('a thin washer of a tandem that was proved: what is in its way comes out, and gap and proof are asked for again', async () => {
    const unitId = await shop.at('release', tandem);
    expect((await forget(unitId, listed(unitId, 'protector'))).ok).toBe(true);
    expect(await outOf(unitId)).toEqual(['boot', 'circlip', 'stop-washer', 'rear-piston', 'protector']);
    expect(await doneAt(unitId)).toEqual(expect.not.arrayContaining(['close-up', 'set', 'prove']));
    expect(await doneAt(unitId)).toEqual(expect.arrayContaining(['kit', 'strip']));
    const facts = factsOf(await shop.record(unitId));
    expect(facts).toMatchObject({ gap: null, stroked: null });
    expect(new Set(facts.proof.map((p) => p.stands))).toEqual(new Set(['open']));
  });

  test('a boot opens close-up alone: gap and proof stand, and count again once it is closed', async () => {
    const unitId = await shop.at('release', tandem);
    const before = factsOf(await shop.record(unitId));
    await forget(unitId, listed(unitId, 'boot'));
    expect(await doneAt(unitId)).toEqual(expect.arrayContaining(['set', 'prove']));
    expect(stationNow(routeOfUnit(await shop.record(unitId)))).toBe('close-up');
    await putIn(unitId, 'boot', 'new', null);
    expect((await sign(unitId, 'close-up')).ok).toBe(true);
    const after = factsOf(await shop.record(unitId));
    expect(after.proof).toEqual(before.proof);
    expect(new Set(after.proof.map((p) => p.stands))).toEqual(new Set(['pass']));
    expect([after.gap, stationNow(routeOfUnit(await shop.record(unitId)))]).toEqual(['ok', 'release']);
  });

  test('one that was never on the list lies where it is said to, and all in front of it comes out', async () => {
    const unitId = await shop.at('prove', tandem);
    const unlisted = {
      what: 'unlisted',
      partId: `${unitId}-shim`,
      kind: 'stop-washer',
      name: 'shim',
      behindId: `${unitId}-circlip`,
    } as const;
    expect((await forget(unitId, unlisted)).ok).toBe(true);
    expect(await outOf(unitId)).toEqual(['boot', 'circlip', expect.stringMatching(/^added-/)]);
    expect(reasons(await forget(unitId, { ...unlisted, partId: 'other' }))).toEqual([
      'There is a shim on this tray already: give it a name of its own.',
    ]);
  });

  test('an unlisted part goes back in by its own turn, and the unit closes without a lead', async () => {
    const unitId = await shop.at('prove', tandem);
    const shim = { what: 'unlisted', partId: `${unitId}-shim`, kind: 'stop-washer', name: 'shim', behindId: `${unitId}-circlip` } as const;
    await forget(unitId, shim);
    const { family, tray } = await shop.record(unitId);
    const order = assemblyOrder(family, tray).filter((p) => p.goesIn === null);
    expect(order.map((p) => p.name)).toEqual(['shim', 'circlip', 'boot']);
    expect(order[0]).toMatchObject({ condition: 'good', fate: 'refitted', note: 'found on the bench after closing up' });
    for (const p of order) {
      const goesIn = { piece: p.fate === 'refitted' ? 'same' : 'new', faces: null } as const;
      expect((await recordPart(shop.db, await shop.change(unitId, 'part-in'), p.id, { goesIn })).ok).toBe(true);
    }
    await stroke(unitId, 'by-itself');
    expect((await sign(unitId, 'close-up')).ok).toBe(true);
    const cup = { ...shim, partId: `${unitId}-cup2`, kind: 'cup', name: 'second cup' } as const;
    await forget(unitId, cup);
    expect((await shop.record(unitId)).tray.find((p) => p.name === 'second cup')?.fate).toBe('replaced');
  });

  test('is refused while nothing is in, for what is not in, and for what is not there; and can be undone', async () => {
    const fresh = await shop.at('close-up');
    expect(reasons(await forget(fresh, listed(fresh, 'left-cup')))).toEqual(['Nothing has been put in yet.']);
    const unitId = await shop.at('release');
    expect(reasons(await forget(unitId, { what: 'listed', partId: 'nobody' }))).toEqual(['There is no such part on this tray.']);
    await forget(unitId, listed(unitId, 'left-cup'));
    expect(reasons(await forget(unitId, listed(unitId, 'left-cup')))[0]).toMatch(/is not in yet/);
    await undoLast(shop.db, await shop.change(unitId, 'undone'));
    expect([await outOf(unitId), await doneAt(unitId)]).toEqual([[], expect.arrayContaining(['close-up', 'prove'])]);
  });
});

describe('finishes', () => {
  const paint = { finish: 'paint-air', minutes: 60, plugs: 4, note: 'grey' } as const;
  const putOn = async (unitId: string, f: Parameters<typeof putOnFinish>[2]) => {
    const change = await shop.change(unitId, 'finish-started');
    return [change.eventId, await putOnFinish(shop.db, change, f)] as const;
  };
  test('paint holds close-up until its time is over, it is looked at and its plugs are counted', async () => {
    const unitId = await shop.at('close-up');
    await touch(unitId);
    const [, lacking] = await putOn(unitId, { ...paint, plugs: 1 });
    expect(reasons(lacking)).toEqual(['1 of 4 openings are plugged: paint in a drilling ends up in the bore.']);
    const [finishId, on] = await putOn(unitId, paint);
    expect(on.ok).toBe(true);
    expect(reasons(await putIn(unitId, 'expander', 'same', null))).toEqual([
      'It cures: paint, air cure. Look at it when its time is over, and say so.',
    ]);
    expect(reasons(await endWait(shop.db, await shop.change(unitId, 'wait-ended'), finishWaitId(finishId)))[0]).toMatch(
      /say that it has cured/,
    );
    const cured = async (plugsOut: number, later: number) =>
      findCured(shop.db, await shop.change(unitId, 'finish-cured', PEOPLE.tech, { at: Date.now() + later }), { finishId, plugsOut });
    const early = await shop.change(unitId, 'finish-cured');
    expect(reasons(await findCured(shop.db, early, { finishId, plugsOut: 3 })).length).toBe(2);
    expect(reasons(await cured(3, 0))).toEqual(['4 plugs went in and 3 came out: find the others before anything goes in.']);
    expect((await cured(4, 0)).ok).toBe(true);
    const record = await shop.record(unitId);
    expect([newestOf(record.bench, 'finish')?.curedAt, record.timers.find((t) => t.id === finishWaitId(finishId))?.doneAt]).toEqual([
      expect.any(Number),
      expect.any(Number),
    ]);
    expect((await putIn(unitId, 'expander', 'same', null)).ok).toBe(true);
  });

  test('a low bake is refused with rubber in the body, and with petroleum', async () => {
    const unitId = await shop.at('prove');
    const [, refusal] = await putOn(unitId, { ...paint, finish: 'paint-bake' });
    expect(reasons(refusal)[0]).toMatch(/^A low bake ruins rubber and plastic, and these are in the body: left boot/);
  });

  test('thread locker holds the rig and not the gap', async () => {
    const unitId = await shop.at('prove', tandem);
    await putOn(unitId, { finish: 'thread-locker', minutes: 30, plugs: 0, note: '' });
    expect(reasons(await sign(unitId, 'prove'))[0]).toMatch(/^It cures: thread locker/);
  });
});

test('a torque is entered once: for its place of its machine, and for its fitment once that is known', async () => {
  const [first, second, other] = [
    await shop.at('close-up'),
    await shop.at('close-up'),
    await shop.at('close-up', { machine: 'Tram works car' }),
  ];
  const torque = { slotId: 'bleed-screw', nm: 9, hand: 'left', source: 'manual, table 3' } as const;
  expect(reasons(await noteTorque(shop.db, await shop.change(first, 'torque-noted'), { ...torque, slotId: 'left-cup' }))).toEqual([
    'There is no such screw on this tray.',
  ]);
  await noteTorque(shop.db, await shop.change(first, 'torque-noted'), { ...torque, nm: 7 });
  await noteTorque(shop.db, await shop.change(first, 'torque-noted'), torque);
  expect(await torquesOf(shop.db, await shop.record(second))).toEqual([torque]);
  expect(await torquesOf(shop.db, await shop.record(other))).toEqual([]);
});

describe('the gap', () => {
  const once = { standOff: 4.8, socket: 12.9, edge: 20, reading: 12.6 };
  const right = { ...once, standOff2: 4.8, socket2: 12.91, edge2: 20, reading2: 12.6 };
  const save = async (unitId: string, sheet: object, way: 'depths' | 'rod-play' = 'depths') =>
    saveGap(shop.db, await shop.change(unitId, 'gap-saved'), { way, sheet });
  test('is on record with its verdict; only a right one signs Set off', async () => {
    const unitId = await shop.at('close-up', tandem);
    await shop.worker(unitId).closeUp();
    expect(reasons(await sign(unitId, 'set'))).toEqual(['The pushrod gap has not been measured as it is closed up now.']);
    expect(reasons(await save(unitId, { standOff: 1 }))).toEqual(['The gap needs all four depths.']);
    expect(reasons(await save(unitId, { ...once, reading: 0 }))[0]).toMatch(/stand out past the straight edge/);
    expect(reasons(await save(unitId, { ...once, target: 9 }))[0]).toMatch(/^The gap aimed at must lie in the window/);
    await save(unitId, { ...once, reading: 11.9 });
    expect(reasons(await sign(unitId, 'set'))).toEqual([
      'There is no pushrod gap: the brakes would apply themselves. Shorten the rod and measure again.',
    ]);
    await save(unitId, once);
    expect(reasons(await sign(unitId, 'set'))[0]).toMatch(/^The pushrod gap is not certain: it was read once only/);
    await save(unitId, right);
    expect(newestOf((await shop.record(unitId)).bench, 'gap')).toMatchObject({ way: 'depths', verdict: 'ok', sheet: right });
    expect((await sign(unitId, 'set')).ok).toBe(true);
    expect(reasons(await save(unitId, right))[0]).toMatch(/Set is signed off/);
  });

  test('without a booster it is read at the rod', async () => {
    const unitId = await shop.at('close-up', tandem);
    await shop.worker(unitId).closeUp();
    expect(reasons(await save(unitId, {}, 'rod-play'))).toEqual(['Read the rod’s play first.']);
    await save(unitId, { play: 0.8, play2: 0.81 }, 'rod-play');
    expect((await sign(unitId, 'set')).ok).toBe(true);
  });
});

describe('a booster', () => {
  test('is proved by what was tried; a hold that leaks, or too short a one, does not do', async () => {
    const unitId = await shop.book({ family: 'booster', nominalMm: null });
    const work = shop.worker(unitId);
    await work.strip();
    await work.clean();
    await setAside(shop.db, await shop.change(unitId, 'kit-set-aside'), { articleId: 'art-K-190', qty: 1 });
    await work.kit();
    await work.closeUp();
    const hold = async (rod: 'at-rest' | 'pressed', perS: number, times = [0, 10, 20]) =>
      saveVacuum(shop.db, await shop.change(unitId, 'tried-by-hand'), { rod, samples: times.map((tS) => ({ tS, kPa: 67 - perS * tS })) });
    await hold('at-rest', 0.1);
    await hold('pressed', 1);
    expect(reasons(await sign(unitId, 'prove'))).toEqual([
      'Not tried yet: the check valve.',
      'vacuum held with the rod pressed: It loses 15.0 kPa in 15 s, at most 3.3 kPa: it leaks.',
    ]);
    await noteAtBench(shop.db, await shop.change(unitId, 'tried-by-hand'), { kind: 'check-valve', holds: 'holds', passes: 'passes' });
    await hold('pressed', 0.1, [0, 8]);
    expect(reasons(await sign(unitId, 'prove'))[0]).toMatch(/at least two readings over 15 s/);
    await hold('pressed', 0.1);
    expect((await sign(unitId, 'prove')).ok).toBe(true);
    const statement = stateRelease(await shop.record(unitId), { number: 1, at: START, nameOf: (id) => id, rules: STANDARD_RULES });
    expect(statement.proved).toEqual([
      'The check valve holds one way and passes the other.',
      'Vacuum, rod at rest: It loses 1.5 kPa in 15 s, at most 3.3 kPa: it holds.',
      'Vacuum, rod pressed: It loses 1.5 kPa in 15 s, at most 3.3 kPa: it holds.',
    ]);
  });
});

test('a hole of the pedal end keeps what it was, what was done, and what it is', async () => {
  const unitId = await shop.book({ family: 'linkage', nominalMm: null });
  const note = async (longMm: number) =>
    noteAtBench(shop.db, await shop.change(unitId, 'tried-by-hand'), {
      kind: 'hole',
      partId: `${unitId}-clevis`,
      before: { longMm, shortMm: 8.3, pinMm: 7.9 },
      pedalRatio: 5,
      remedy: 'welded-redrilled',
      after: { longMm: 8.05, shortMm: 8.04, pinMm: 8 },
      note: 'by the licensed welder',
    });
  expect(reasons(await note(8.1))).toEqual(['The longest measure across a hole is not less than the shortest.']);
  expect((await note(8.6)).ok).toBe(true);
  const statement = stateRelease(await shop.record(unitId), { number: 1, at: START, nameOf: (id) => id, rules: STANDARD_RULES });
  expect(statement.work).toContain('Hole of the clevis, 8.60 mm: welded up and drilled again, now 8.05 mm.');
});

test('the certificate tells fluid, rubber, screws and gap, and warns whoever fits it of another fluid', async () => {
  const unitId = await shop.at('close-up', tandem);
  const work = shop.worker(unitId);
  await work.closeUp();
  await work.set();
  await work.prove(SOUND);
  const { bench, ...record } = await shop.record(unitId);
  const mixed = bench.map((b) => (b.kind === 'touch' ? { ...b, wasFluid: 'dot-5' as const, flush: 'to-flush' as const } : b));
  const statement = stateRelease({ ...record, bench: mixed }, { number: 1, at: START, nameOf: (id) => id, rules: STANDARD_RULES });
  const work1 = statement.work.join('\n');
  expect(work1).toMatch(/Closed up for DOT 4, rubber EPDM, wetted with fresh fluid of this system\./);
  expect(work1).toMatch(/Tightened: stop screw: tightened by feel: no figure in the manual\./);
  expect(work1).toMatch(/Pushrod gap 0\.\d\d ± 0\.10 mm \(from four depths, read twice; .*\): right\./);
  expect(statement.cautions[0]).toMatch(/^It held DOT 5, which does not mix with DOT 4: whoever fits it flushes/);
});
