import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { CALCULATIONS } from '../api/compute';
import { SEAT_NAMES } from '../quantity/thread';
import { STANDARD_RULES } from '../rules/rule-set';
import { FLARE_NAMES, FLARES, flaresFor } from './flare';
import { lineOf, lineProblems } from './line';
import { drawLine } from './line-drawing';
import { lineSheetOf } from './line-of-query';
import { LineRequest } from './line-schema';
import { FIRST_LINE, type LineSheet, lineQuery, lineQuestion, withLeg, withoutLeg } from './line-sheet';
import { ticketMarks, ticketPieces } from './ticket';
import { nextQuestion, UNION_QUESTION_NAMES, UNION_QUESTIONS, type UNION_SUSPECTS, type UnionAnswers, unionSuspects } from './union-leak';

const base = { tubeOdMm: 5, legs: [100, 200], bends: [{ angleDeg: 90, radiusMm: 20 }], flares: ['double', 'double'] };
const line = (more: object = {}) => lineOf(LineRequest.parse({ ...base, ...more }), STANDARD_RULES);
const wrong = async (more: object): Promise<readonly string[]> => {
  const answer = await CALCULATIONS.get('line')?.run({ ...base, ...more }, STANDARD_RULES);
  return answer === undefined || answer.ok ? [] : answer.error.map((e) => e.path);
};

describe('a tube, by hand', () => {
  test('a right angle of 20 mm takes 20 from each leg and gives a quarter of a circle', () => {
    const l = line();
    expect(l.straightsMm.map((s) => Number(s.toFixed(9)))).toEqual([80, 180]);
    expect(l.arcsMm[0]).toBeCloseTo(31.4159265, 6);
    // 80 + 180 + 31.416 + 2·3.
    expect(l.cutMm).toBeCloseTo(297.4159265, 6);
    expect(l.bendStartsMm[0]).toBeCloseTo(83, 9);
  });

  test('one leg needs no bends; without a flare nothing is taken for one', () => {
    const l = line({ legs: [120], bends: undefined, flares: ['none', 'none'] });
    expect([l.cutMm, l.bendStartsMm, l.warnings]).toEqual([120, [], []]);
    expect(line({ legs: [40], bends: null }).warnings.map((w) => w.code)).toEqual(['nut-room']);
    expect(line({ legs: [40], bends: null, flares: ['double', 'none'] }).warnings).toEqual([]);
  });

  test('a coil lies in its leg and pushes on the bends after it only', () => {
    const coil = { turns: 2, coreMm: 35 };
    const round = 2 * Math.PI * 40;
    const [first, second] = [line({ coils: [{ leg: 0, ...coil }] }), line({ coils: [{ leg: 1, ...coil }] })];
    expect([first.coilsMm[0], first.cutMm - line().cutMm, second.cutMm - line().cutMm].map((x) => Number(x?.toFixed(6)))).toEqual(
      [round, round, round].map((x) => Number(x.toFixed(6))),
    );
    expect(first.bendStartsMm[0]).toBeCloseTo(83 + round, 6);
    expect(second.bendStartsMm[0]).toBeCloseTo(83, 6);
    expect(first.straightsMm).toEqual(line().straightsMm);
  });

  test('a leg that is just used up by its bends may stand; a hair less is refused at it', async () => {
    expect(await wrong({ legs: [20, 200], flares: ['none', 'none'] })).toEqual([]);
    expect(await wrong({ legs: [19.9, 19.9] })).toEqual(['legs[0]', 'legs[1]']);
  });

  test('what is minded, in its order', () => {
    const warned = line({
      legs: [30, 30, 45],
      bends: [
        { angleDeg: 90, radiusMm: 9.9 },
        { angleDeg: 90, radiusMm: 15 },
      ],
      ports: [{ seat: 'flat' }, { seat: 'cone-out', thread: 'M10x1' }],
      nuts: [null, { thread: '3/8-24' }],
    }).warnings;
    expect(warned.map((w) => [w.code, 'leg' in w ? w.leg : 'bend' in w ? w.bend : w.end])).toEqual([
      ['short-straight', 1],
      ['nut-room', 0],
      ['tight-bend', 0],
      ['thread', 1],
      ['seat', 0],
    ]);
    expect(
      line({ bends: [{ angleDeg: 90, radiusMm: 10 }], ports: [null, { thread: 'm10 × 1.00' }], nuts: [null, { thread: 'M10x1' }] })
        .warnings,
    ).toEqual([]);
  });

  test.each([
    [{ bends: [] }, ['bends']],
    [{ bends: null }, ['bends']],
    [{ flares: ['double'] }, ['flares']],
    [{ ports: [null] }, ['ports']],
    [{ nuts: [null, null, null] }, ['nuts']],
    [{ coils: [{ leg: 2, turns: 1, coreMm: 10 }] }, ['coils[0].leg']],
    [{ coils: [{ leg: 0.5, turns: 0, coreMm: 10 }] }, ['coils[0].leg', 'coils[0].turns']],
    [{ bends: [{ angleDeg: 180 }] }, ['bends[0].angleDeg']],
    [{ legs: [] }, ['legs']],
    [{ rules: { bendRadiusMm: 0 } }, ['rules.bendRadiusMm']],
  ])('%j is refused at its place', async (more, paths) => expect([...(await wrong(more))].sort()).toEqual(paths));
});

const bentTube = fc.array(fc.tuple(fc.integer({ min: 90, max: 400 }), fc.integer({ min: 5, max: 120 }), fc.boolean()), {
  minLength: 1,
  maxLength: 7,
});
const sheetOf = (parts: readonly (readonly [number, number, boolean])[]): LineSheet => ({
  ...FIRST_LINE,
  legs: parts.map(([leg]) => leg),
  bends: parts.slice(1).map(([, angleDeg, left]) => ({ angleDeg, radiusMm: null, turn: left ? 'left' : 'right' })),
});

test('drawn, its middle lines cross where the legs say: the polygon of the legs ends where the tube does', () => {
  fc.assert(
    fc.property(bentTube, (parts) => {
      const sheet = sheetOf(parts);
      const question = lineQuestion(sheet);
      if (lineProblems(question, STANDARD_RULES).length > 0) return;
      const drawn = drawLine(sheet, lineOf(question, STANDARD_RULES));
      // By corners alone: no arc is known here.
      let [x, y, way] = [0, 0, 0];
      for (const [i, leg] of sheet.legs.entries()) {
        x += leg * Math.cos(way);
        y += leg * Math.sin(way);
        const bend = sheet.bends[i];
        way += bend === undefined ? 0 : ((bend.turn === 'left' ? -1 : 1) * bend.angleDeg * Math.PI) / 180;
      }
      expect([drawn.ends[1].x, drawn.ends[1].y]).toEqual([expect.closeTo(x, 6), expect.closeTo(y, 6)]);
    }),
    { numRuns: 100 },
  );
});

describe('the ticket', () => {
  const sheet: LineSheet = { ...FIRST_LINE, coils: [{ leg: 1, turns: 1, coreMm: 30 }] };
  const cut = lineOf(lineQuestion(sheet), STANDARD_RULES);
  const marks = ticketMarks(sheet, cut);

  test('has every bend’s start where chapter 14 has it, from the start to the cut, in order', () => {
    for (const [i, at] of cut.bendStartsMm.entries()) expect(marks.find((m) => m.what.startsWith(`bend ${i + 1},`))?.atMm).toBe(at);
    const places = marks.map((m) => m.atMm);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect([marks[0]?.what, marks.at(-1)?.what, marks.at(-1)?.atMm]).toEqual(['start', 'cut here', cut.cutMm]);
    // The coil lies between its leg's bends.
    const coil = marks.filter((m) => m.of === 'coil').map((m) => m.atMm);
    expect((coil[0] ?? 0) > (cut.bendStartsMm[0] ?? 0) && (coil[1] ?? 0) < (cut.bendStartsMm[1] ?? 0)).toBe(true);
  });

  test('in pieces it is as long as whole, and no mark is lost', () => {
    const pieces = ticketPieces(marks, cut.cutMm, 160);
    expect(pieces.reduce((sum, p) => sum + p.toMm - p.fromMm, 0)).toBeCloseTo(cut.cutMm, 9);
    expect(new Set(pieces.flatMap((p) => p.marks.map((m) => m.what)))).toEqual(new Set(marks.map((m) => m.what)));
  });
});

test('a sheet comes back from its address; what cannot be read starts anew', () => {
  const sheet = withLeg({ ...FIRST_LINE, coils: [{ leg: 0, turns: 2, coreMm: 40 }] });
  expect(lineSheetOf(Object.fromEntries(new URLSearchParams(lineQuery(sheet))))).toEqual(sheet);
  expect(withoutLeg(withLeg(FIRST_LINE))).toEqual(FIRST_LINE);
  for (const bad of ['{', '{}', JSON.stringify({ ...sheet, legs: [1] }), JSON.stringify({ ...sheet, tubeOdMm: -1 })])
    expect(lineSheetOf({ line: bad })).toEqual(FIRST_LINE);
});

test('every seat has a flare that fits it, and every flare a seat', () => {
  for (const seat of SEAT_NAMES) expect(flaresFor(seat).length).toBeGreaterThan(0);
  for (const flare of FLARE_NAMES) expect(FLARES[flare].fits.length).toBeGreaterThan(0);
});

describe('a leak at a union', () => {
  const first = (answers: UnionAnswers) => unionSuspects(answers)[0]?.suspect;

  test.each<[UnionAnswers, keyof typeof UNION_SUSPECTS]>([
    [{ where: 'washer' }, 'washer'],
    [{ where: 'along' }, 'tube'],
    [{ where: 'thread', nut: 'hard' }, 'crossed-thread'],
    [{ where: 'tube', flare: 'split' }, 'cracked-flare'],
    [{ where: 'tube', flare: 'even', seat: 'dirt' }, 'dirt'],
    [{ where: 'thread', nut: 'by-hand', flare: 'other' }, 'wrong-form'],
    [{ where: 'tube', flare: 'aside', seat: 'ring' }, 'aside-flare'],
    [{ where: 'tube', flare: 'even', seat: 'scored', before: 'much-tighter' }, 'scored-seat'],
  ])('%j: %s', (answers, suspect) => expect(first(answers)).toBe(suspect));

  test('chances are chances, whatever is answered; what nobody asked says nothing', () => {
    for (const q of UNION_QUESTION_NAMES)
      for (const a of Object.keys(UNION_QUESTIONS[q].answers)) {
        const all = unionSuspects({ [q]: a });
        expect(all.reduce((sum, s) => sum + s.chance, 0)).toBeCloseTo(1, 9);
        expect(all.every((s) => s.chance > 0)).toBe(true);
      }
    expect(unionSuspects({}).reduce((sum, s) => sum + s.chance, 0)).toBeCloseTo(1, 9);
  });

  test('one looks before one opens; when all is answered nothing is asked', () => {
    expect(nextQuestion({})).toBe('where');
    expect(nextQuestion({ where: 'tube', nut: 'by-hand', seat: 'clean', flare: 'even', before: 'new' })).toBeUndefined();
  });
});
