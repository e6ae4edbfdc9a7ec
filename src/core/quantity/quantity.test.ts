import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import type { Result } from '../result';
import { parseLength, parsePressure, parseTemperature, parseVolume } from './parse';
import { sayDia, sayLength, sayNominal, sayPressure, sayTemperature } from './say';
import { IMPERIAL, METRIC } from './units';

describe('lengths as people type them', () => {
  test.each([
    ['22.2', 'mm', 22.2],
    ['22,2 mm', 'in', 22.2],
    ['7/8', 'mm', 22.225],
    ['1 1/8"', 'mm', 28.575],
    ['1-1/8 in', 'mm', 28.575],
    ['0.875in', 'mm', 22.225],
    ['.875', 'in', 22.225],
    ['-3 mm', 'mm', -3],
  ] as const)('%s (%s) is %f mm', (text, unit, mm) => {
    const read = parseLength(text, unit);
    expect(read.ok && read.value).toBeCloseTo(mm, 9);
  });

  test.each([
    ['', 'empty'],
    ['abc', 'not-a-number'],
    ['1/0', 'not-a-number'],
    ['22 bar', 'wrong-unit'],
    ['2.2.2', 'not-a-number'],
  ] as const)('%j is refused as %s', (text, code) => {
    const read = parseLength(text, 'mm');
    expect(read.ok === false && read.error.code).toBe(code);
  });

  property.prop([fc.integer({ min: 8_000, max: 60_000 })])('a printed diameter reads back to what it shows', (um) => {
    const back = parseLength(sayDia(um / 1000, METRIC), 'mm');
    expect(back.ok && back.value).toBe(um / 1000);
    const inch = parseLength(sayDia(um / 1000, IMPERIAL), 'in');
    expect(inch.ok && Math.abs(inch.value - um / 1000)).toBeLessThan(0.0013);
  });
});

test('other quantities', () => {
  const value = <E>(r: Result<number, E>): number | undefined => (r.ok ? r.value : undefined);
  expect(value(parsePressure('1160 psi', 'bar'))).toBeCloseTo(79.979, 3);
  expect(value(parsePressure('8 MPa', 'bar'))).toBe(80);
  expect(value(parseTemperature('70 F', 'C'))).toBeCloseTo(21.111, 3);
  expect(value(parseTemperature('21 °C', 'F'))).toBe(21);
  expect(value(parseVolume('0,3 cc'))).toBe(0.3);
});

test('printing', () => {
  expect([15.875, 20.6375, 22.225, 25.4, 28.575, 19, 17.5].map(sayNominal)).toEqual([
    '5/8 in',
    '13/16 in',
    '7/8 in',
    '1 in',
    '1 1/8 in',
    '19 mm',
    '17.5 mm',
  ]);
  expect([sayDia(22.29, METRIC), sayDia(22.225, IMPERIAL)]).toEqual(['22.290', '0.8750']);
  expect([sayLength(41.84, METRIC), sayLength(41.84, IMPERIAL)]).toEqual(['41.8', '1.65']);
  expect([sayPressure(79.32, METRIC), sayPressure(79.32, IMPERIAL)]).toEqual(['79.32 bar', '1150 psi']);
  expect([sayTemperature(21.44, METRIC), sayTemperature(21, IMPERIAL)]).toEqual(['21.4 °C', '69.8 °F']);
});
