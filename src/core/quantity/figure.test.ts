import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { localeOf, STANDARD_SHOP } from '../shop/settings';
import { figures, fixed, plain, upTo } from './figure';
import { parseLength, parseNumber } from './parse';
import { sayDepth, sayDia, sayFlow, sayLength, sayNominal, sayPressure, sayTemperature, sayVolume } from './say';
import { METRIC } from './units';

test('with decimal points', () => {
  expect([fixed(22.2, 3), upTo(4.5, 2), upTo(4, 2), figures(0.0512, 2), plain(0.25)]).toEqual(['22.200', '4.5', '4', '0.051', '0.25']);
});

describe('with decimal commas', () => {
  beforeEach(() => {
    globalThis.eddrinLocale = localeOf({ ...STANDARD_SHOP, decimalMark: ',' }, []);
  });
  afterEach(() => {
    globalThis.eddrinLocale = undefined;
  });

  test('every quantity is said by them, with one comma at most', () => {
    expect([fixed(22.2, 3), upTo(4.5, 2), upTo(4, 2), figures(0.0512, 2), plain(0.25)]).toEqual(['22,200', '4,5', '4', '0,051', '0,25']);
    expect([sayDia(22.236, METRIC), sayLength(41.5, METRIC), sayNominal(22.2), sayDepth(12.5, METRIC)]).toEqual([
      '22,236',
      '41,5',
      '22,2 mm',
      '12,5 µm',
    ]);
    expect([sayPressure(80, METRIC), sayVolume(0.3), sayFlow(-0.0001), sayTemperature(21.5, METRIC)]).toEqual([
      '80,00 bar',
      '0,3 ml',
      '0,000',
      '21,5 °C',
    ]);
  });

  test('what is said is read back as what it was', () => {
    for (const mm of [22.236, 0.5, 1234.5]) expect(parseLength(fixed(mm, 3), 'mm')).toEqual({ ok: true, value: mm });
    expect(parseNumber(plain(0.25), { above: 0 })).toEqual({ ok: true, value: 0.25 });
  });
});
