import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { seeded } from '../../../devices/hand/random';
import { METRIC } from '../quantity/units';
import { STANDARD_RULES } from '../rules/rule-set';
import { circuitStates, pedalCurve, type SplitInput } from './circuits';
import { clutchRelease } from './clutch';
import { gapRecordOf, sayGapRecord } from './gap-record';
import { DEPTH_PAIRS, type GapSheet, gapQuestion } from './gap-sheet';
import { hydraulics } from './hydraulics';
import { saySecond } from './say-gap';
import { secondReadings } from './second-readings';
import { gapWarm, type SetupInput, setup } from './setup';

const tandem: SplitInput = {
  pedalForceN: 300,
  pedalRatio: 5,
  masterDiaMm: 20,
  cylinders: [
    { id: 'front', diaMm: 20, count: 2, travelMm: 2, circuit: 'front' },
    { id: 'rear', diaMm: 20, count: 2, travelMm: 3, circuit: 'rear' },
  ],
  strokeMm: { rear: 18, front: 14 },
};

describe('a tandem with a circuit lost', () => {
  test('equal bores, nothing that gives: strokes add up as the pistons travel', () => {
    // Each circuit moves as much as its two cylinders do: 2 × 2 and 2 × 3 mm on the same bore.
    const [both, rearLost, frontLost] = circuitStates(tandem);
    expect([both?.strokeUsedMm, rearLost?.strokeUsedMm, frontLost?.strokeUsedMm].map((mm) => Number(mm?.toFixed(9)))).toEqual([10, 22, 20]);
    expect([both?.pedalTravelMm, rearLost?.pedalTravelMm].map((mm) => Number(mm?.toFixed(9)))).toEqual([50, 110]);
    expect([both?.forceLeftPct, rearLost?.forceLeftPct, frontLost?.forceLeftPct]).toEqual([100, 50, 50]);
    expect(rearLost?.reservePct).toBeCloseTo((100 * (14 - 4)) / 14, 9);
  });

  test('a chamber that is too short for its own circuit is at its end first', () => {
    const [, , frontLost] = circuitStates({ ...tandem, strokeMm: { rear: 5, front: 14 } });
    expect(frontLost?.reservePct).toBeCloseTo(-20, 9);
  });

  property.prop([
    fc.double({ min: 12, max: 40, noNaN: true }),
    fc.double({ min: 0, max: 2, noNaN: true }),
    fc.double({ min: 0, max: 3, noNaN: true }),
  ])('both circuits together take what the whole system takes, and losing one never takes less', (masterDiaMm, hoseMlPerMPa, airMl) => {
    const input = { ...tandem, masterDiaMm, hoseMlPerMPa, airMl };
    const [both, rearLost, frontLost] = circuitStates(input);
    expect(both?.strokeUsedMm).toBeCloseTo(hydraulics({ ...input, masterStrokeMm: 32 }).rows[0]?.strokeUsedMm ?? 0, 9);
    const roomy = { ...input, strokeMm: { rear: 500, front: 500 } };
    for (const lost of circuitStates(roomy).slice(1)) expect(lost.strokeUsedMm).toBeGreaterThan(circuitStates(roomy)[0]?.strokeUsedMm ?? 0);
    expect((rearLost?.forceLeftPct ?? 0) + (frontLost?.forceLeftPct ?? 0)).toBeCloseTo(100, 9);
  });

  property.prop([fc.double({ min: 12, max: 40, noNaN: true })])('the pedal’s curve ends at the table’s row and never goes back', (dia) => {
    const question = { ...tandem, masterStrokeMm: 32, hoseMlPerMPa: 0.4, airMl: 0.3 };
    const curve = pedalCurve(question, dia);
    expect(curve.at(-1)?.travelMm).toBeCloseTo(hydraulics({ ...question, masterDiaMm: dia }).rows[0]?.pedalTravelMm ?? 0, 9);
    for (const [i, p] of curve.slice(1).entries()) expect(p.travelMm).toBeGreaterThanOrEqual(curve[i]?.travelMm ?? 0);
  });
});

describe('a clutch', () => {
  const plain = { masterDiaMm: 20, slaveDiaMm: 20, pedalTravelMm: 120, pedalRatio: 6 };
  test('equal bores: the slave moves as the master does, the bearing by the fork', () => {
    const a = clutchRelease({ ...plain, gapMm: 1, forkRatio: 2, neededMm: 9 });
    expect([a.masterStrokeMm, a.slaveTravelMm, a.releaseTravelMm, a.spareMm].map((mm) => Number(mm?.toFixed(9)))).toEqual([
      19, 19, 9.5, 0.5,
    ]);
  });
  test('hose and air take theirs', () => {
    const a = clutchRelease({ ...plain, releaseForceN: 1000, hoseMlPerMPa: 0.1, airMl: 1 });
    const p = 1000 / (Math.PI * 100);
    expect(a.swallowedMl).toBeCloseTo(0.1 * p + p / (p + 0.1013), 9);
    expect(a.slaveTravelMm).toBeCloseTo(20 - (1000 * a.swallowedMl) / (Math.PI * 100), 9);
    expect(a.pedalForceN).toBeCloseTo(1000 / 6, 9);
  });
  property.prop([fc.double({ min: 0, max: 60, noNaN: true })])('never less than nothing arrives, and more air never helps', (airMl) => {
    const a = clutchRelease({ ...plain, releaseForceN: 2000, airMl });
    expect(a.slaveTravelMm).toBeGreaterThanOrEqual(0);
    expect(clutchRelease({ ...plain, releaseForceN: 2000, airMl: airMl + 1 }).slaveTravelMm).toBeLessThanOrEqual(a.slaveTravelMm);
  });
});

const depths = fc.record({
  standOff: fc.double({ min: 0, max: 10, noNaN: true }),
  socket: fc.double({ min: 10, max: 30, noNaN: true }),
  edge: fc.double({ min: 5, max: 30, noNaN: true }),
  reading: fc.double({ min: 1, max: 60, noNaN: true }),
  aim: fc.double({ min: 0.4, max: 1.1, noNaN: true }),
});
const asked = ({
  standOff,
  socket,
  edge,
  reading,
  aim,
}: {
  readonly standOff: number;
  readonly socket: number;
  readonly edge: number;
  readonly reading: number;
  readonly aim: number;
}): SetupInput => ({
  master: { rimStandOffMm: standOff, socketDepthMm: socket, uMm: 0.02 },
  booster: { straightEdgeMm: edge, readingMm: reading, uMm: 0.02 },
  targetMm: aim,
});

property.prop([depths])('gap, target and rod change give the same answer, whichever is asked first', (d) => {
  const first = setup(asked(d), STANDARD_RULES);
  // The rod is changed by what was told, and read again: its tip stands nearer by as much.
  const after = setup(asked({ ...d, reading: d.reading - first.rodChangeMm }), STANDARD_RULES);
  expect(after.gapMm).toBeCloseTo(d.aim, 9);
  expect(after.rodChangeMm).toBeCloseTo(0, 9);
  // Asked the other way: a wanted change gives its target, and that target the change.
  const wanted = first.gapMm - first.rodChangeMm;
  expect(setup({ ...asked(d), targetMm: wanted }, STANDARD_RULES).rodChangeMm).toBeCloseTo(first.rodChangeMm, 9);
});

property.prop([depths, fc.double({ min: 1, max: 40, noNaN: true }), fc.double({ min: 20, max: 300, noNaN: true })])(
  'the gap over temperature meets nought where it is said to close',
  (d, alpha, rodLengthMm) => {
    const thermal = { rodLengthMm, rodAlphaPerK: alpha / 1e6, bodyAlphaPerK: 0 };
    const { gapMm, closesAtC } = setup({ ...asked(d), thermal }, STANDARD_RULES);
    expect(gapWarm(gapMm, thermal, 20)).toBeCloseTo(gapMm, 12);
    if (closesAtC !== null) expect(gapWarm(gapMm, thermal, closesAtC)).toBeCloseTo(0, 9);
    else expect(gapMm <= 1e-9 || gapWarm(gapMm, thermal, 200) > -1e-9).toBe(true);
  },
);

describe('a gap for the record', () => {
  const once = { standOff: 4.8, socket: 12.9, edge: 20, reading: 12.6 };
  const sheet = { ...once, standOff2: 4.82, socket2: 12.9, edge2: 20, reading2: 12.62 };
  test('from four depths, as the worksheet gives it', () => {
    const record = gapRecordOf('depths', sheet, STANDARD_RULES);
    expect(record).toMatchObject({ verdict: 'ok', windowMinMm: 0.4, windowMaxMm: 1.1 });
    expect(record?.gapMm).toBeCloseTo(0.7, 9);
    expect(sayGapRecord(record as never, METRIC)).toBe(
      'Pushrod gap 0.70 ± 0.10 mm (from four depths, read twice; 0.40 to 1.10 allowed): right',
    );
    expect(gapRecordOf('depths', { standOff: 4.8 }, STANDARD_RULES)).toBeUndefined();
  });
  test('read once, or twice with a slip in one of them, is not right yet', () => {
    const said = (more: object) => gapRecordOf('depths', { ...once, ...more }, STANDARD_RULES)?.verdict;
    expect(said({})).toBe('measure-again');
    expect(said({ standOff2: 4.8, socket2: 12.9, edge2: 20 })).toBe('measure-again');
    // 2√2·√(0.02² + 0.05²/12) is 0.0698: a pair may be 0.06 apart, not 0.08.
    expect(said({ ...sheet, socket2: 12.96 })).toBe('ok');
    expect(said({ ...sheet, socket2: 12.98 })).toBe('measure-again');
    expect(said({ ...sheet, socket2: 12.98, step: 0.1 })).toBe('ok');
    // What has to be turned is measured anew: it is not asked for twice.
    expect(said({ reading: 13.4 })).toBe('too-loose');
    expect(saySecond(secondReadings({ ...sheet, socket2: 13.21, edge2: undefined }, DEPTH_PAIRS), METRIC)).toEqual([
      'Read a second time before it counts: the straight edge. A slip in a single reading would not show.',
      'Two readings of the socket differ by 0.31 mm, more than the 0.07 that a hand makes: read both again.',
    ]);
  });
  test.each([
    [0, 'binding'],
    [0.3, 'too-tight'],
    [0.42, 'measure-again'],
    [0.7, 'ok'],
    [1.2, 'too-loose'],
  ])('read at the rod: %s mm is %s', (play, verdict) =>
    expect(gapRecordOf('rod-play', { play, play2: play }, STANDARD_RULES)?.verdict).toBe(verdict),
  );
});

test('a slip of 0.1 to 0.5 mm in one reading of fifty hardly ever makes a wrong gap look right', () => {
  const random = seeded(76);
  /** A depth as a hand reads it, to 0.05 mm. */
  const read = (mm: number): number => {
    const slip = random.next() < 0.02 ? random.pick([-1, 1]) * random.between(0.1, 0.5) : 0;
    return Math.round((mm + random.normal(0.02) + slip) / 0.05) * 0.05;
  };
  const FIELDS = ['standOff', 'socket', 'edge', 'reading'] as const;
  let [onceWrong, twiceWrong] = [0, 0];
  const gaps = 20_000;
  for (let i = 0; i < gaps; i++) {
    const gapMm = random.between(0, 1.5);
    const truth = { standOff: 4.8, socket: 12.9, edge: 20, reading: 20 - 8.1 + gapMm };
    const wrong = gapMm < 0.4 || gapMm > 1.1;
    const first = Object.fromEntries(FIELDS.map((f) => [f, read(truth[f])])) as Record<(typeof FIELDS)[number], number>;
    const asked = gapQuestion(first) as SetupInput;
    if (setup(asked, STANDARD_RULES).verdict !== 'ok') continue;
    if (wrong) onceWrong += 1;
    // Read again until each pair agrees, as it is asked for.
    let sheet: GapSheet = first;
    do {
      sheet = { ...sheet, ...Object.fromEntries(FIELDS.map((f) => [`${f}2`, read(truth[f])])) };
      for (const { field } of secondReadings(sheet, DEPTH_PAIRS).apart) {
        const depth = field.slice(0, -1) as (typeof FIELDS)[number];
        sheet = { ...sheet, [depth]: read(truth[depth]) };
      }
    } while (secondReadings(sheet, DEPTH_PAIRS).apart.length > 0);
    if (wrong && gapRecordOf('depths', sheet, STANDARD_RULES)?.verdict === 'ok') twiceWrong += 1;
  }
  expect(onceWrong / gaps).toBeGreaterThan(0.01);
  expect(twiceWrong / gaps).toBeLessThan(0.001);
});
