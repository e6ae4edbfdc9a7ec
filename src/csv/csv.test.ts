import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Reading } from '@/core/gauge/reading';
import { readMarks, writeMarks } from './marks-csv';
import { readReadings, writeReadings } from './readings-csv';

const problems = (read: ReturnType<typeof readReadings> | ReturnType<typeof readMarks>) => (read.ok ? [] : read.error);

describe('readings', () => {
  test.each([
    ['as they are written', 'xMm,clockDeg,diaMm\n10,0,22.236\n', 'comma', false],
    ['in any order, with a byte order mark', '\uFEFFdiaMm,xMm,clockDeg\r\n22.236,10,0\r\n', 'comma', false],
    ['in inches', 'xIn,clockDeg,diaIn\n0.3937007874,0,0.8754330709\n', 'comma', false],
    ['with semicolons and decimal commas', 'xMm;clockDeg;diaMm\n10;0;22,236\n\n', 'semicolon', true],
    ['with tabs', 'xMm\tclockDeg\tdiaMm\n10\t0\t22.236', 'tab', false],
  ])('%s', (_, text, separator, decimalComma) => {
    const read = readReadings(text);
    expect(read).toMatchObject({ ok: true, value: { dialect: { separator, decimalComma } } });
    const [reading] = read.ok ? read.value.rows : [];
    expect(reading?.xMm).toBeCloseTo(10, 6);
    expect(reading?.diaMm).toBeCloseTo(22.236, 6);
  });

  test('everything wrong is said, with its line and column, and nothing is taken', () => {
    expect(problems(readReadings('xMm,clockDeg,diaMm\n10,top,22.2\n11,0,\n12,0,-3\n'))).toEqual([
      { line: 2, column: 'clockDeg', message: '“top” is not a number' },
      { line: 3, column: 'diaMm', message: '“” is not a number' },
      { line: 4, column: 'diaMm', message: expect.any(String) },
    ]);
    expect(problems(readReadings('depth,clockDeg\n1,2\n')).map((p) => p.column)).toEqual(['xMm or xIn', 'diaMm or diaIn']);
    expect(problems(readReadings('xMm,clockDeg,diaMm\n')).map((p) => p.line)).toEqual([2]);
    expect(problems(readReadings(`xMm,clockDeg,diaMm\n${'1,0,22\n'.repeat(5001)}`))[0]?.message).toContain('5000');
    expect(problems(readReadings(''))).not.toEqual([]);
  });

  test('what was written is read as it was', () => {
    const reading = fc.record<Reading>({
      xMm: fc.double({ min: -5, max: 200, noNaN: true }),
      clockDeg: fc.integer({ min: 0, max: 359 }),
      diaMm: fc.double({ min: 5, max: 80, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(reading, { minLength: 1, maxLength: 30 }), (readings) => {
        const read = readReadings(writeReadings(readings));
        expect(read.ok && read.value.rows).toEqual(readings.map((r) => ({ ...r, xMm: r.xMm + 0 })));
      }),
    );
  });
});

describe('marks', () => {
  const mark = {
    id: 'x',
    name: 'm1',
    kind: 'pit',
    x0Mm: 10,
    x1Mm: 11.5,
    clock0Deg: 170,
    clock1Deg: 182,
    depthUm: 14,
    depthUncertaintyUm: null,
    cleaned: true,
    note: 'by the port, "deep", two',
    seenAt: 5,
  } as const;

  test('what was written is read as it was, by its name on the map', () => {
    const read = readMarks(writeMarks([mark, { ...mark, id: 'y', name: 'm2', cleaned: false, depthUm: null, note: '' }]));
    const { id: _, name: __, seenAt: ___, ...rest } = mark;
    expect(read.ok && read.value.rows).toEqual([
      { ...rest, id: 'm1' },
      { ...rest, id: 'm2', cleaned: false, depthUm: null, note: '' },
    ]);
  });

  test('a note that a spreadsheet would run is written so that it does not', () => {
    expect(writeMarks([{ ...mark, note: '=HYPERLINK("http://x")' }])).toContain(`"'=HYPERLINK`);
  });

  test('everything wrong is said: a kind that there is not, an end before its start, a name twice', () => {
    const text =
      'id,kind,x0Mm,x1Mm,clock0Deg,clock1Deg,depthUm,cleaned\nm1,hole,1,2,0,5,3,yes\nm2,pit,5,4,0,5,x,perhaps\nm2,pit,5,6,0,5,,no\n';
    expect(problems(readMarks(text)).map((p) => [p.line, p.column])).toEqual([
      [2, 'kind'],
      [3, 'depthUm'],
      [3, 'cleaned'],
      [3, 'x1Mm'],
      [4, 'id'],
    ]);
    expect(problems(readMarks('id,kind\nm1,pit\n')).map((p) => p.column)).toEqual(['x0Mm', 'x1Mm', 'clock0Deg', 'clock1Deg']);
  });
});
