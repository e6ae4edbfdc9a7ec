import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import type { FileProblem } from '@/core/schema/file-problem';
import { readVacuum } from './vacuum-csv';

const rows = (text: string) => {
  const read = readVacuum(text);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value.rows;
};
const faults = (text: string): readonly FileProblem[] => {
  const read = readVacuum(text);
  return read.ok ? [] : read.error;
};

describe('a vacuum gauge’s log', () => {
  test.each([
    ['kPa', 60, 60],
    ['mbar', 600, 60],
    ['bar', -0.6, 60],
    ['inHg', 20, 67.7278],
    ['mmHg', -500, 66.661],
  ])('in %s, its sign does not matter', (unit, value, kPa) => {
    const [first] = rows(`tS,${unit}\n0,${value}\n`);
    expect(first?.kPa).toBeCloseTo(kPa, 6);
  });

  test('semicolons, decimal commas, columns in any order and times in any order are taken', () => {
    expect(rows('kPa;note;tS\n60,5;x;10\n61,0;y;0\n')).toEqual([
      { tS: 0, kPa: 61 },
      { tS: 10, kPa: 60.5 },
    ]);
  });

  test('everything wrong is told at once, by line and column', () => {
    expect(faults('time,pressure\n1,2\n').map((p) => [p.line, p.column])).toEqual([
      [1, 'tS'],
      [1, 'kPa or mbar or bar or inHg or mmHg'],
    ]);
    expect(faults('tS,kPa\n0,67\nx,66\n10,y\n15,400\n')).toEqual([
      { line: 3, column: 'tS', message: '“x” is not a number' },
      { line: 4, column: 'kPa', message: '“y” is not a number' },
      { line: 5, column: 'kPa', message: 'is more vacuum than there is air' },
    ]);
    expect(faults('tS,kPa\n')).toEqual([{ line: 2, column: '', message: 'there are no readings in it' }]);
  });

  property.prop([
    fc.array(fc.record({ tS: fc.integer({ min: 0, max: 900 }), kPa: fc.integer({ min: 0, max: 100 }) }), { minLength: 1, maxLength: 40 }),
  ])('gives every reading back, in order of time', (samples) => {
    const read = rows(`tS,kPa\n${samples.map((s) => `${s.tS},${s.kPa}`).join('\n')}\n`);
    expect(read.map((s) => s.tS)).toEqual(samples.map((s) => s.tS).sort((a, b) => a - b));
    expect(read.reduce((sum, s) => sum + s.kPa, 0)).toBe(samples.reduce((sum, s) => sum + s.kPa, 0));
  });
});
