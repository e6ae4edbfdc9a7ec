import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../../family/families';
import { PART_KINDS } from '../../family/part-kind';
import { STANDARD_RULES } from '../../rules/rule-set';
import { randomFrom } from '../../statistics/random';
import type { UnitRecord } from '../../unit/unit-record';
import { compared, isMended } from './compare';
import { inTheBag } from './seen';
import {
  cutByMm,
  JOB_FAMILIES,
  type JobTruth,
  jobTruth,
  judgedTruly,
  marksAfter,
  narrowestMm,
  readDiaMm,
  rigTruth,
  trueDiaMm,
} from './truth';

const truths = (n: number): readonly JobTruth[] =>
  JOB_FAMILIES.flatMap((family) => Array.from({ length: n }, (_, seed) => jobTruth(seed + 1, family, STANDARD_RULES)));

describe('a hidden truth', () => {
  const all = truths(150);

  test('is decided by its seed, and is of a bore that is worth saving', () => {
    expect(jobTruth(7, 'slave', STANDARD_RULES)).toEqual(jobTruth(7, 'slave', STANDARD_RULES));
    const outcomes = all.map((t) => judgedTruly(t, STANDARD_RULES).outcome);
    expect(new Set(outcomes).size).toBeGreaterThan(1);
    expect(outcomes.filter((o) => !['reuse', 'polish', 'hone'].includes(o))).toEqual([]);
  });

  test('has bad parts that wear, a bag that is right or wrong, a lip that is nicked or not', () => {
    for (const t of all) {
      const { slots } = FAMILIES[t.family];
      for (const id of Object.keys(t.bad)) expect(PART_KINDS[slots.find((s) => s.id === id)?.kind ?? 'piston'].policy).toBe('never');
      expect(Object.keys(t.bad).length).toBeGreaterThan(0);
    }
    for (const of of [(t: JobTruth) => t.wrongPiece, (t: JobTruth) => t.leak]) {
      const share = all.filter((t) => of(t) !== null).length / all.length;
      expect(share).toBeGreaterThan(0.35);
      expect(share).toBeLessThan(0.65);
    }
  });

  test('reads wider where it is worn, and a cut evens it: what was narrowest gains what the stones took', () => {
    const t = all.find((x) => x.wornMm > 0.015);
    if (t === undefined) throw new Error('none is worn');
    // The nominal, 12 µm all over, the wear, and no oval along the short axis.
    expect(trueDiaMm(t, t.wornAtMm, 170)).toBeCloseTo(t.geometry.nominalMm + 0.012 + t.wornMm, 9);
    expect(trueDiaMm(t, t.wornAtMm, 80) - trueDiaMm(t, t.wornAtMm, 170)).toBeCloseTo(t.ovalMm, 9);
    expect(trueDiaMm(t, t.wornAtMm, 170, 0.05)).toBeCloseTo(t.geometry.nominalMm + 0.062, 9);
    const random = randomFrom(1);
    const reads = Array.from({ length: 400 }, () => readDiaMm(t, t.wornAtMm, 170, 0, random));
    const mean = reads.reduce((a, b) => a + b) / reads.length;
    expect(mean).toBeCloseTo(trueDiaMm(t, t.wornAtMm, 170), 3);
    expect(Math.max(...reads) - Math.min(...reads)).toBeGreaterThan(0.003);
    expect(Math.abs(narrowestMm(t, 0.03, random) - (t.geometry.nominalMm + 0.042))).toBeLessThan(0.006);
    // 60 strokes at 450 turns and 60 strokes a minute are 450 turns of 4.2 µm a hundred.
    expect(cutByMm({ material: 'cast-iron', cuts: 1 }, [{ grit: 320, strokes: 60, strokesPerMin: 60, rpm: 450 }])).toBeCloseTo(0.0189, 6);
    const pit = { id: 'a', kind: 'pit', x0Mm: 1, x1Mm: 2, clock0Deg: 0, clock1Deg: 9, depthUm: 12, cleaned: true } as const;
    expect(marksAfter([pit], 0.01)[0]?.depthUm).toBe(7);
    expect(marksAfter([pit], 0.024)).toEqual([]);
  });
});

/** A record that says what an attentive person would have found. */
const foundAll = (t: JobTruth): UnitRecord => {
  const readings = [10, 20, 30, 40, 50]
    .concat(t.wornAtMm)
    .flatMap((xMm) => [80, 170].map((clockDeg) => ({ xMm, clockDeg, diaMm: trueDiaMm(t, xMm, clockDeg) })));
  return {
    gaugings: [{ readings }],
    marks: t.marks,
    verdicts: [{ answer: { outcome: judgedTruly(t, STANDARD_RULES).outcome } }],
    tray: FAMILIES[t.family].slots.map((s) => ({ slotId: s.id, condition: t.bad[s.id] ?? 'good' })),
    setAside: [
      {
        openedAt: 1,
        items: [{ kind: t.wrongPiece?.kind ?? 'cup', qty: 1, dims: {}, name: 'x' }],
        findings: t.wrongPiece === null ? [] : [{ what: 'wrong', item: 0, dims: {}, note: '' }],
      },
    ],
    runs: [{ outcome: t.leak === null ? 'pass' : 'fail', endedAt: 5 }],
    steps: [],
  } as unknown as UnitRecord;
};
const NOTHING = { gaugings: [], marks: [], verdicts: [], tray: [], setAside: [], runs: [], steps: [] } as unknown as UnitRecord;

describe('the truth beside what was found', () => {
  test('agrees with whoever found all of it, and says of nothing looked at that it was not', () => {
    for (const t of truths(40)) {
      expect(compared(t, foundAll(t), STANDARD_RULES).filter((c) => c.verdict !== 'found')).toEqual([]);
      expect(new Set(compared(t, NOTHING, STANDARD_RULES).map((c) => c.verdict))).toEqual(new Set(['not looked at']));
    }
  });

  test('tells what was taken for something else', () => {
    const t = truths(40).find((x) => x.leak !== null && x.wrongPiece !== null && x.marks.some((m) => m.kind === 'pit'));
    if (t === undefined) throw new Error('none has all of it');
    const right = foundAll(t);
    const wrong = (r: UnitRecord) =>
      compared(t, r, STANDARD_RULES)
        .filter((c) => c.verdict === 'otherwise')
        .map((c) => c.what);
    expect(wrong({ ...right, runs: [{ outcome: 'pass' }] } as never)).toEqual(['How it held']);
    expect(wrong({ ...right, setAside: right.setAside.map((b) => ({ ...b, findings: [] })) })).toEqual(['What lay in the bag']);
    expect(wrong({ ...right, marks: right.marks.map((m) => (m.kind === 'pit' ? { ...m, depthUm: 60 } : m)) })).toHaveLength(1);
    const [slotId] = Object.keys(t.bad);
    const tray = right.tray.map((p) => (p.slotId === slotId ? { ...p, condition: 'good' as const } : p));
    expect(wrong({ ...right, tray })).toHaveLength(1);
  });

  test('a nicked lip leaks on the rig until it was closed up again after a run that failed', () => {
    const t = { leak: { mlPerMin: 0.5 } };
    expect([rigTruth(t, 'nicked').leakMlPerMinAt80, rigTruth(t, 'mended').leakMlPerMinAt80]).toEqual([0.5, 0.008]);
    expect(rigTruth({ leak: null }, 'nicked').leakMlPerMinAt80).toBe(0.008);
    const run = { outcome: 'fail', endedAt: 100 };
    const closedAt = (at: number) => ({ ...NOTHING, runs: [run], steps: [{ station: 'close-up', at }] }) as unknown as UnitRecord;
    expect([isMended(closedAt(50)), isMended(closedAt(150)), isMended({ ...closedAt(150), runs: [] })]).toEqual([false, true, false]);
  });

  test('the wrong piece in a bag is off by what rubber does not forgive', () => {
    const item = { kind: 'boot', qty: 1, name: 'boot', dims: { idMm: 10, odMm: 28, thread: 'M10' } };
    expect(inTheBag({ wrongPiece: { kind: 'boot', byMm: 3.2 } } as JobTruth, item).dims).toEqual({ idMm: 13.2, odMm: 31.2, thread: 'M10' });
    expect(inTheBag({ wrongPiece: { kind: 'cup', byMm: 3.2 } } as JobTruth, item)).toBe(item);
    expect(inTheBag({ wrongPiece: null } as JobTruth, item)).toBe(item);
  });
});
