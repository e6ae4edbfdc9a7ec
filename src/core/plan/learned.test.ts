import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../family/families';
import type { Role } from '../people/role';
import type { Work } from '../people/work';
import { STANDARD_SHOP } from '../shop/settings';
import { BENCH_HOURS } from '../station';
import type { Way } from '../way';
import { aheadOf, skillOf } from './ahead';
import { knownOf } from './known';
import { likeliest, likelyWays, repaired } from './likely-way';
import { type Skill, skillsOf, withSigners } from './skills';
import { heldBy, type Standing, standingOfNew } from './standing';
import type { Taught } from './taught';
import { stationTime } from './times';

const taught = (way: Way, minutes: Taught['minutes'] = {}, more: Partial<Taught> = {}): Taught => ({
  family: 'wheel-double',
  material: 'cast-iron',
  complaints: ['wet-boot'],
  way,
  minutes,
  waits: [],
  ...more,
});
const iron = { family: 'wheel-double', material: 'cast-iron', complaints: ['wet-boot'] } as const;

describe('the way that a unit will go', () => {
  test('is the stated one where a shop has none of its own, and always sums to one', () => {
    expect(likelyWays(iron, [])).toMatchObject({ hone: 0.4, reuse: 0.25, scrap: 0.05 });
    expect(likeliest(likelyWays({ ...iron, material: 'alloy-anodised' }, []))).toBe('reuse');
    const sum = Object.values(likelyWays(iron, [taught('sleeve'), taught('scrap')])).reduce((a, b) => a + b, 0);
    expect(sum).toBeCloseTo(1, 12);
    expect(repaired(likelyWays(iron, [])).reduce((a, w) => a + w.chance, 0)).toBeCloseTo(1, 12);
  });

  test('is learned: of the metal, of the family, of the complaint, each before as five units', () => {
    const five = Array.from({ length: 5 }, () => taught('sleeve'));
    // By hand, sleeve: (5·0.1 + 5)/10 = 0.55, then (5·0.55 + 5)/10 = 0.775, then (5·0.775 + 5)/10 = 0.8875.
    expect(likelyWays(iron, five).sleeve).toBeCloseTo(0.8875, 12);
    expect(likelyWays({ ...iron, complaints: ['hard'] }, five).sleeve).toBeCloseTo(0.775, 12);
    expect(likelyWays({ ...iron, family: 'slave' }, five).sleeve).toBeCloseTo(0.55, 12);
    expect(likelyWays({ ...iron, material: 'alloy' }, five).sleeve).toBeCloseTo(0.2, 12);
    expect(likeliest(likelyWays(iron, five))).toBe('sleeve');
  });

  test('what is scrap for the most is planned as the likeliest that is not', () => {
    const scrapped = Array.from({ length: 40 }, () => taught('scrap'));
    expect(likeliest(likelyWays(iron, scrapped))).toBe('hone');
  });
});

describe('how long a station takes', () => {
  const key = { family: 'wheel-double', way: 'hone', station: 'hone' } as const;
  test('is the standing figure with its spread where nobody taught it', () => {
    expect(stationTime(key, [], [])).toMatchObject({ units: 0, said: 'learned' });
    expect(stationTime(key, [], []).minutes).toBeCloseTo(BENCH_HOURS.hone * 60, 9);
    expect(stationTime(key, [], []).spread).toBeGreaterThan(0.35);
  });

  test('is the median of the shop’s own units with five more by the standing figure', () => {
    const six = [40, 42, 44, 46, 48, 50].map((m) => taught('hone', { hone: m }));
    // By hand: with 30·exp(0.4·z) = 18.0, 24.3, 30, 37.0, 50.1 the sixth of eleven is 42.
    expect(stationTime(key, six, []).minutes).toBeCloseTo(42, 6);
    expect(stationTime(key, six, []).units).toBe(6);
    expect(stationTime({ ...key, way: 'reuse' }, six, []).units).toBe(0);
    expect(stationTime({ ...key, family: 'slave' }, six, []).minutes).toBeCloseTo(30, 9);
    // What was signed off in passing teaches nothing.
    expect(stationTime(key, [taught('hone', { hone: 0.4 })], []).units).toBe(0);
  });

  test('the shop’s word goes before; the spread stays learned', () => {
    const said = [{ ...key, minutes: 77 }];
    expect(stationTime(key, [], said)).toMatchObject({ minutes: 77, said: 'said', spread: stationTime(key, [], []).spread });
  });
});

describe('what is ahead', () => {
  const family = FAMILIES['master-single'];
  const known = knownOf(family, [], []);
  const ops = (way: Way, more: Partial<Standing> = {}, happening = {}) =>
    aheadOf({ ...standingOfNew(family, way), ...more }, way, known, { now: 0, workedMin: 0, atIt: undefined, ...happening });
  const ids = (...of: Parameters<typeof ops>) => ops(...of).map((o) => o.id);

  test('each way has its stations, its waits, and its second gauging where the bore is cut', () => {
    const end = ['kit', 'seal-soak', 'close-up', 'set', 'prove', 'release', 'second'];
    const start = ['strip', 'clean', 'ultrasonic-bath', 'gauge', 'judge'];
    const withLocker = (list: readonly string[]) => list.filter((id) => id !== 'thread-locker');
    expect(withLocker(ids('reuse'))).toEqual([...start, ...end]);
    expect(withLocker(ids('hone'))).toEqual([...start, 'hone', 'gauge-again', 'judge-again', ...end]);
    expect(withLocker(ids('sleeve'))).toEqual([...start, 'ask', 'answer', 'sleeve', 'away', 'gauge-again', 'judge-again', ...end]);
    expect(standingOfNew(FAMILIES.booster, 'no-bore').ahead).not.toContain('gauge');
  });

  test('both gaugings of a cut bore together take what gauging takes', () => {
    const minutes = (of: string) => ops('hone').find((o) => o.id === of)?.minutes ?? 0;
    expect(minutes('gauge') + minutes('gauge-again')).toBeCloseTo(known.timeOf('gauge', 'hone').minutes, 9);
    expect(ops('reuse').find((o) => o.id === 'gauge')?.minutes).toBeCloseTo(known.timeOf('gauge', 'reuse').minutes, 9);
  });

  test('what was worked on already takes what is left, and never nothing', () => {
    const left = (workedMin: number) => ops('reuse', {}, { workedMin })[0]?.minutes;
    const whole = known.timeOf('strip', 'reuse').minutes;
    expect([left(0), left(10), left(500)]).toEqual([whole, whole - 10, 3]);
  });

  test('what somebody is at is begun; a wait that runs holds the station that it is for', () => {
    const [strip] = ops('reuse', {}, { now: 60_000 * 30, atIt: { personId: 'ann', since: 60_000 * 18 } });
    expect(strip).toMatchObject({ id: 'strip', personId: 'ann', startedMin: -12 });
    const soaking = { running: [{ id: 'wait-1', label: 'penetrant soak', since: 0, minutes: 100 }] };
    expect(ops('reuse', soaking, { now: 60_000 * 40 })[0]).toMatchObject({
      id: 'wait-1',
      kind: 'wait',
      startedMin: -40,
      minutes: 100,
      bench: 'bath',
    });
    const ordered = { running: [{ id: 'wait-2', label: 'parts on order', since: 0, minutes: 4000 }] };
    const list = ops('reuse', ordered);
    const at = list.findIndex((o) => o.id === 'wait-2');
    expect(list[at + 1]?.id).toBe('kit');
    // What comes before it is done meanwhile.
    const before = list.slice(0, at).reduce((sum, o) => sum + o.minutes, 0);
    expect(list[at]?.minutes).toBeCloseTo(4000 - before, 6);
    expect(list[at]?.startedMin).toBeUndefined();
  });

  test('an answer or a body that is waited for by a wait of its own is not waited for twice', () => {
    const sleeve = { ahead: ['sleeve', 'kit'] as const, answer: { kind: 'asked' as const, leftMin: 300 } };
    expect(ids('sleeve', sleeve).slice(0, 2)).toEqual(['answer', 'sleeve']);
    const asked = { ...sleeve, running: [{ id: 'wait-3', label: 'answer from Aldwater', since: 0, minutes: 600 }] };
    expect(ids('sleeve', asked).slice(0, 2)).toEqual(['wait-3', 'sleeve']);
    expect(ids('sleeve', { ...sleeve, answer: { kind: 'none' }, away: { kind: 'away', leftMin: 900 } }).slice(0, 3)).toEqual([
      'away',
      'sleeve',
      'gauge-again',
    ]);
    expect([
      heldBy('anything', ['gauge', 'judge']),
      heldBy('thread locker', ['close-up', 'prove']),
      heldBy('penetrant soak', ['kit']),
    ]).toEqual(['gauge', 'prove', 'kit']);
  });

  test('waits are learned: what most units of a family and way waited for is reckoned with', () => {
    const painted = (n: number) =>
      knownOf(
        family,
        Array.from({ length: n }, () => taught('hone', {}, { family: 'master-single', waits: ['paint, air cure'] })),
        [],
      );
    expect([painted(4).waitsFor('paint, air cure', 'hone'), painted(5).waitsFor('paint, air cure', 'hone')]).toEqual([false, true]);
    expect([painted(9).waitsFor('paint, air cure', 'reuse'), painted(9).waitsFor('ultrasonic bath', 'hone')]).toEqual([false, false]);
    expect(known.waitsFor('seal soak', 'hone')).toBe(true);
  });

  test('a weep check on paper stands before the release, as long as the programme says', () => {
    const list = ops('reuse', { weepHours: 14 });
    expect(list.slice(-3, -1).map((o) => [o.id, o.minutes])).toEqual([
      ['overnight-weep-check', 840],
      ['release', known.timeOf('release', 'reuse').minutes],
    ]);
  });

  test('a brake is signed by a technician, then by whoever may sign second; what is signed once waits for that one only', () => {
    const end = (more: Partial<Standing>) => ops('reuse', { ahead: ['release'], ...more }).map((o) => [o.id, skillOf(o)]);
    expect(end({})).toEqual([
      ['release', 'first-signature'],
      ['second', 'second-signature'],
    ]);
    expect(end({ signedBy: ['tech'] })).toEqual([['second', 'second-signature']]);
    expect([end({ signedBy: ['tech', 'lead'] }), end({ signatures: 1 })]).toEqual([[['release', 'release']], [['release', 'release']]]);
    // Two people sign: a lead leaves the first signature to others, where there are any.
    const who = (all: readonly (readonly [string, readonly Skill[]])[], otherwise: readonly string[] = []) =>
      withSigners(
        all.map(([id, skills]) => ({ id, skills })),
        otherwise,
      ).map((p) => `${p.id}: ${p.skills.filter((x) => x.endsWith('-signature')).join()}`);
    const [tech, lead] = [['tech', ['release']] as const, ['lead', ['release', 'second-signature']] as const];
    expect(who([tech, lead])).toEqual(['tech: first-signature', 'lead: second-signature']);
    expect(who([lead])).toEqual(['lead: first-signature,second-signature']);
    expect(who([tech])).toEqual(['tech: first-signature,second-signature']);
    expect(who([tech, ['owner', []]], ['owner'])).toEqual(['tech: first-signature', 'owner: second-signature']);
    const has = (role: Role, work: Work | null = null) => skillsOf({ role }, work).includes('second-signature');
    expect([has('technician'), has('lead'), has('counter'), has('owner')]).toEqual([false, true, false, false]);
    expect(has('owner', { skills: ['release'], hours: STANDARD_SHOP.hours, daysOff: [] })).toBe(true);
  });
});
