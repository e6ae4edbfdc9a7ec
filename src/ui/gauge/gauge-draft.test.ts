import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { METRIC, type Units } from '@/core/quantity/units';
import { type Draft, gridOf, inUnits, readGrid, withSent } from './gauge-draft';

const INCH: Units = { ...METRIC, length: 'in', temperature: 'F' };
const draft = (more: Partial<Draft> = {}): Draft => ({
  length: 'mm',
  temperature: 'C',
  depths: ['10', '20'],
  clocks: [0, 90],
  cells: {},
  bodyTemp: '',
  gaugeTemp: '',
  ...more,
});

describe('what is typed into the grid', () => {
  test('is read whole, in the person’s units or any that are written, and every fault is told', () => {
    const read = readGrid(
      draft({ depths: ['10', '', '1 in'], cells: { '0-0': '22,236', '0-1': '7/8', '1-0': '22.2', '2-1': 'wide' }, bodyTemp: 'warm' }),
      METRIC,
    );
    expect(read.readings).toEqual([
      { xMm: 10, clockDeg: 0, diaMm: 22.236 },
      { xMm: 10, clockDeg: 90, diaMm: expect.closeTo(22.225, 9) as number },
    ]);
    expect(read.faults).toEqual([
      'Row 2 has readings but no depth.',
      '1 in at 90°: “wide” is not a length.',
      'Body: “warm” is not a temperature.',
    ]);
    expect(read.keys).toEqual(['0-0', '0-1']);
  });

  test('keeps what it meant when the units are changed', () => {
    const typed = draft({ cells: { '0-0': '22.236', '0-1': '7/8 in' }, bodyTemp: '21' });
    const changed = inUnits(typed, INCH);
    expect([changed.cells['0-0'], changed.cells['0-1'], changed.bodyTemp, changed.depths[0]]).toEqual([
      '22.236 mm',
      '7/8 in',
      '21 C',
      '10 mm',
    ]);
    expect(readGrid(changed, INCH).readings.map((r) => r.diaMm)).toEqual(
      readGrid(typed, METRIC).readings.map((r) => expect.closeTo(r.diaMm, 9)),
    );
    expect(inUnits(typed, METRIC)).toBe(typed);
  });

  property.prop([
    fc.uniqueArray(
      fc.record({ xMm: fc.constantFrom(5, 12.5, 20), clockDeg: fc.constantFrom(0, 45, 90), diaMm: fc.constantFrom(22.231, 22.236, 22.24) }),
      { minLength: 1, maxLength: 9, selector: (r) => `${r.xMm} ${r.clockDeg}` },
    ),
    fc.constantFrom(METRIC, INCH),
  ])('comes out of a table as it went in, in either system', (readings, units) => {
    const read = readGrid({ ...draft({ length: units.length, temperature: units.temperature }), ...gridOf(readings, units) }, units);
    const order = (all: readonly { xMm: number; clockDeg: number; diaMm: number }[]) =>
      [...all].sort((a, b) => a.xMm - b.xMm || a.clockDeg - b.clockDeg).map((r) => [r.xMm.toFixed(4), r.clockDeg, r.diaMm.toFixed(5)]);
    expect(read.faults).toEqual([]);
    expect(order(read.readings)).toEqual(order(readings));
  });
});

describe('what a gauge sends', () => {
  test('goes where it says, and a depth or clock that is not there yet is added', () => {
    const filled = withSent(
      draft(),
      [
        { diaMm: 22.23, xMm: 20.02, clockDeg: 90 },
        { diaMm: 22.24, xMm: 33, clockDeg: 45 },
      ],
      METRIC,
    );
    expect(filled.cells).toEqual({ '1-1': '22.23', '2-2': '22.24' });
    expect([filled.depths, filled.clocks]).toEqual([
      ['10', '20', '33'],
      [0, 90, 45],
    ]);
  });

  test('goes into the next empty cell when it does not say; a full grid takes no more', () => {
    const some = draft({ cells: { '0-0': '22.2', '0-1': ' ' } });
    const filled = withSent(some, [{ diaMm: 22.21 }, { diaMm: 22.22 }, { diaMm: 22.23 }, { diaMm: 22.24 }], METRIC);
    expect(filled.cells).toEqual({ '0-0': '22.2', '0-1': '22.21', '1-0': '22.22', '1-1': '22.23' });
    expect(withSent(draft(), [{ diaMm: 25.4 }], INCH).cells).toEqual({ '0-0': '1' });
  });
});
