import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import type { Result } from '../result';
import { scannedTag } from '../unit/scanned-tag';
import { type NumberRange, parseDepth, parseLength, parseNumber, parsePressure, parseTemperature, parseVolume } from './parse';
import { sayDepth, sayDia, sayLength, sayNominal, sayPressure, sayTemperature } from './say';
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

test.each(['0.6x', '1e9', '0x10', '1,2,3', '--1', '5 mm', '7/0', 'Infinity', '1_000'])('%j is no plain number', (text) => {
  expect(parseNumber(text, { above: 0 }).ok).toBe(false);
});
test.each<[string, NumberRange, number | undefined]>([
  ['1,5', { above: 0 }, 1.5],
  ['0', { above: 0 }, undefined],
  ['0', { above: -1e-9 }, 0],
  ['3', { from: 1, to: 20 }, 3],
  ['2.5', { from: 1, to: 20 }, undefined],
  ['21', { from: 1, to: 20 }, undefined],
])('%j, %j: %s', (text, range, want) => {
  const read = parseNumber(text, range);
  expect(read.ok ? read.value : undefined).toBe(want);
});
test.each(['0.6x', '1e9', '22.2 bar'])('a length that ends in %j is wrong, however it begins', (text) =>
  expect(parseLength(text, 'mm').ok).toBe(false),
);

test('a depth in inches is read and shown in inches, a bare one too', () => {
  const um = (text: string, unit: 'mm' | 'in') => {
    const read = parseDepth(text, unit);
    return read.ok ? Number(read.value.toFixed(3)) : undefined;
  };
  expect([um('12', 'mm'), um('0.0005', 'in'), um('0.0005 in', 'mm'), um('12 µm', 'in'), um('-1', 'in')]).toEqual([
    12,
    12.7,
    12.7,
    12,
    undefined,
  ]);
  expect([sayDepth(12.7, METRIC), sayDepth(12.7, IMPERIAL)]).toEqual(['12.7 µm', '0.00050 in']);
});
test.each([
  ['SQ-0042', 'SQ-0042'],
  ['sq-0042', 'SQ-0042'],
  ['http://bench.shop:3000/units/SQ-10042', 'SQ-10042'],
  ['SQ-42', undefined],
  ['x SQ-0042', undefined],
  ['http://bench.shop/verify/SQ-0042', undefined],
  ['22.241', undefined],
  ['https://shop.example/fitting/SQ-0044/0123456789abcdef0123456789abcdef', 'SQ-0044'],
  ['https://shop.example/fitting/SQ-0044/0123', undefined],
])('a scanner that types %j means %s', (typed, tag) => expect(scannedTag(typed)).toBe(tag));

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
