import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { FLUID_NAMES } from '../fluid/fluid';
import { LUBRICANT_NAMES } from '../fluid/lubricant';
import { RUBBER_NAMES } from '../fluid/rubber';
import { METRIC } from '../quantity/units';
import { numbersIn, queryOf } from '../schema/sheet';
import { circuitStates } from '../set/circuits';
import { clutchRelease } from '../set/clutch';
import { GAP_FIELDS, gapQuery, gapSheetOf } from '../set/gap-sheet';
import { hydraulics } from '../set/hydraulics';
import { clutchQuestion, sayClutch } from './clutch-sheet';
import { fluidAsText, fluidQuery, fluidSheetOf } from './fluid-sheet';
import { HYDRAULICS_FIELDS, hydraulicsQuery, hydraulicsQuestion, hydraulicsSheetOf, splitQuestion } from './hydraulics-sheet';
import { samplesOf, samplesQuery } from './pedal-sheets';
import { hydraulicsAsText, sayOption } from './say-hydraulics';

const back = (query: string) => Object.fromEntries(new URLSearchParams(query));
const size = fc.integer({ min: 1, max: 90_000 }).map((n) => n / 1000);
const figures = <F extends string>(fields: readonly F[]) =>
  fc.record(Object.fromEntries(fields.map((f) => [f, size])) as Record<F, typeof size>, { requiredKeys: [] });

describe('a sheet stands in its address, and is the same from there', () => {
  property.prop([figures(GAP_FIELDS), fc.boolean()])('pushrod gap', (sheet, hand) => {
    const whole = { ...sheet, ...(hand ? { oneLeftHanded: true } : {}) };
    expect(gapSheetOf(back(gapQuery(whole)))).toEqual(whole);
  });
  const cylinder = fc.record({
    id: fc.stringMatching(/^[a-z ]{1,12}$/),
    diaMm: size,
    count: fc.integer({ min: 1, max: 9 }),
    travelMm: size,
    circuit: fc.constantFrom('rear' as const, 'front' as const),
  });
  property.prop([figures(HYDRAULICS_FIELDS), fc.array(cylinder, { minLength: 1, maxLength: 12 }), fc.array(size, { maxLength: 12 })])(
    'hydraulics',
    (sheet, cylinders, others) => {
      expect(hydraulicsSheetOf(back(hydraulicsQuery({ ...sheet, cylinders, others })))).toEqual({ ...sheet, cylinders, others });
    },
  );
  property.prop([
    fc.record({
      fluid: fc.option(fc.constantFrom(...FLUID_NAMES)),
      wasFluid: fc.option(fc.constantFrom(...FLUID_NAMES)),
      flush: fc.constantFrom('flushed' as const, 'to-flush' as const, 'no' as const),
      rubber: fc.option(fc.constantFrom(...RUBBER_NAMES)),
      swell: fc.option(fc.record({ beforeMm: size, afterMm: size })),
      lubricant: fc.constantFrom(...LUBRICANT_NAMES),
    }),
  ])('what touches what', (touch) => {
    expect(fluidSheetOf(back(fluidQuery(touch)))).toEqual({ ...touch, swell: touch.swell === null ? null : { ...touch.swell } });
  });
  property.prop([fc.uniqueArray(fc.integer({ min: 0, max: 600 }), { maxLength: 60 })])('a vacuum hold', (times) => {
    const samples = times.map((tS) => ({ tS, kPa: (tS * 7) % 100 }));
    expect(samplesOf(back(samplesQuery(samples)))).toEqual(samples);
  });

  test('a long log is thinned, its ends stay', () => {
    const log = Array.from({ length: 1000 }, (_, i) => ({ tS: i, kPa: 67 - i * 0.01 }));
    const kept = samplesOf(back(samplesQuery(log)));
    expect([kept.length <= 61, kept[0]?.tS, kept.at(-1)?.tS]).toEqual([true, 0, 999]);
  });

  test('rubbish in an address is left out, not shown', () => {
    expect(numbersIn({ a: '1.5', b: 'x', c: '', d: '1e9', e: 'Infinity' }, ['a', 'b', 'c', 'd', 'e'] as const)).toEqual({ a: 1.5 });
    expect(queryOf({ a: 1, b: null, c: '' }, ['a', 'b', 'c'])).toBe('a=1');
    expect(hydraulicsSheetOf({ cylinders: 'x,-1,2,3;rear,22,1.5,1;front,20,2,1,front', others: '20,-3,abc,' })).toEqual({
      cylinders: [{ id: 'front', diaMm: 20, count: 2, travelMm: 1, circuit: 'front' }],
      others: [20],
    });
    expect(fluidSheetOf({ fluid: 'petrol', rubber: 'EPDM', before: '-1', after: '4', flush: 'later' })).toMatchObject({
      fluid: null,
      rubber: null,
      swell: null,
      flush: 'no',
    });
    expect(samplesOf({ samples: '0:67,x:3,-1:4,5:900,10:60' })).toEqual([
      { tS: 0, kPa: 67 },
      { tS: 10, kPa: 60 },
    ]);
  });
});

describe('as text', () => {
  const sheet = hydraulicsSheetOf({ force: '300', ratio: '5', bore: '22.225', stroke: '32', rearStroke: '18', others: '20.6375' });
  test('hydraulics: its numbers are those of the table', () => {
    const question = hydraulicsQuestion(sheet);
    const split = splitQuestion(sheet);
    if (question === undefined || split === undefined) throw new Error('the sheet is whole');
    const { rows } = hydraulics(question);
    const text = hydraulicsAsText(question, rows, circuitStates(split), METRIC);
    expect(text.split('\n').length).toBe(1 + 2 + 1 + 3);
    const [base, other] = rows;
    if (base === undefined || other === undefined) throw new Error('two rows');
    const said = /pressure \+(\d+) %, pedal travel \+(\d+) %/.exec(sayOption(other, base, METRIC));
    expect(said?.slice(1).map(Number)).toEqual([
      Math.round(100 * (other.pressureMPa / base.pressureMPa - 1)),
      Math.round(100 * (other.pedalTravelMm / base.pedalTravelMm - 1)),
    ]);
    expect(splitQuestion({ ...sheet, rearStroke: 32 })).toBeUndefined();
    expect(hydraulicsQuestion({ ...sheet, force: undefined })).toBeUndefined();
  });
  test('a clutch that drags says by how much, one that frees too', () => {
    const question = clutchQuestion({ master: 20, slave: 20, pedal: 120, ratio: 6, fork: 2, needed: 11 });
    if (question === undefined) throw new Error('the sheet is whole');
    expect(sayClutch(question, clutchRelease(question), METRIC).at(-1)).toMatch(/^That is 1 mm too little: the clutch drags\./);
    const less = { ...question, neededMm: 9 };
    expect(sayClutch(less, clutchRelease(less), METRIC).at(-1)).toBe('That is 1 mm more than is needed: the clutch frees.');
    expect(clutchQuestion({ master: 20 })).toBeUndefined();
  });
  test('what stops is marked so', () => {
    expect(fluidAsText({ ...fluidSheetOf({}), fluid: 'mineral', rubber: 'epdm' })).toMatch(/STOP: EPDM swells in mineral brake fluid/);
  });
});

test('an address carries a figure as it was meant, not what a binary fraction leaves behind it', () => {
  expect(hydraulicsQuery({ cylinders: [], others: [0.1 + 0.2, 0.875 * 25.4], bore: (13 / 16) * 25.4 })).toBe(
    'bore=20.6375&others=0.3%2C22.225',
  );
});
