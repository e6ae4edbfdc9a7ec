import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../family/families';
import { geometryAt } from '../family/family';
import { METRIC, type Units } from '../quantity/units';
import { STANDARD_RULES } from '../rules/rule-set';
import { cellAfter, type Draft, goneOnFrom, gridOf, inUnits, readGrid, withSent } from './gauge-draft';
import type { Gauging } from './gauging';

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
    expect([read.keys, read.unread]).toEqual([['0-0', '0-1'], ['2-1']]);
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

describe('the next cell', () => {
  const bore = { ports: [{ id: 'p', kind: 'inlet' as const, xMm: 20, diaMm: 6, side: 'top' as const }], nominalMm: 22.225 };
  const grid = draft({ depths: ['10', '20', 'x'], clocks: [0, 90] });
  test.each<[at: readonly [number, number], next: string | undefined]>([
    [[0, 0], '0-1'],
    // The port lies at twelve o'clock of the second row: a gauge's foot finds nothing there.
    [[0, 1], '1-1'],
    [[1, 1], '2-0'],
    [[2, 1], undefined],
  ])('after %j', (at, next) => expect(cellAfter(grid, at, [10, 20, undefined], bore)).toBe(next));
});

test('a gauging is gone on from where its lanes lack a reading, or at the reading that does not belong', () => {
  const family = FAMILIES['wheel-double'];
  const bore = geometryAt(family.drawing as NonNullable<typeof family.drawing>, 22.225);
  const readings = [0, 60, 120].map((clockDeg) => ({ xMm: 20, clockDeg, diaMm: 22.24 }));
  const before = { id: 'g', at: 0, readings, bodyTempC: 20, gaugeTempC: null } as unknown as Gauging;
  const on = { bore, material: 'cast-iron' as const, rules: STANDARD_RULES, also: [31.5] };
  const { draft: next, cell } = goneOnFrom(draft(), before, on, METRIC);
  expect(next.depths[0]).toBe('20');
  expect(next.depths).toContain('31.5');
  expect([next.cells['0-0'], next.bodyTemp, cell]).toEqual(['22.240', '20', '1-0']);
  const wrong = { ...before, readings: [...readings, { xMm: 20, clockDeg: 90, diaMm: 23.9 }] } as unknown as Gauging;
  const all = goneOnFrom(draft(), wrong, { ...on, also: [] }, METRIC);
  expect(all.draft.depths.length).toBeGreaterThan(1);
});
