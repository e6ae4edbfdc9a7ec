import { describe, expect, test } from 'vitest';
import { dimsOfKind } from '../family/dims-of-kind';
import { sayDim, sayDims } from '../family/say-dims';
import { IMPERIAL, METRIC } from '../quantity/units';
import { isLow, isShown, SHOW_NAMES, type Show, type StoreLine } from './store-line';

const NOW = 1_000_000_000_000;
const line = (more: Partial<StoreLine>): StoreLine => ({
  id: 'a',
  number: 'K-1',
  type: 'kit',
  name: 'kit',
  price: 1,
  leadDays: 3,
  note: '',
  supersededBy: null,
  reorderAt: null,
  items: [],
  lots: [],
  stock: 5,
  withUnits: 0,
  onOrder: 0,
  madeFor: null,
  orderAt: 2,
  ...more,
});
const lot = (qty: number, expiresAt: number | null, fault = '') => ({
  id: 'l',
  articleId: 'a',
  code: 'L',
  receivedAt: 0,
  expiresAt,
  fault,
  qty,
});

describe('what of the store is shown', () => {
  test.each<[string, Partial<StoreLine>, boolean]>([
    ['enough on the shelf', { stock: 3 }, false],
    ['down to where it is ordered', { stock: 2 }, true],
    ['with one on its way', { stock: 2, onOrder: 1 }, false],
    ['what is never used', { stock: 0, orderAt: 0 }, false],
    ['what has a successor', { stock: 0, supersededBy: 'K-2' }, false],
  ])('low: %s', (_, more, low) => expect(isLow(line(more))).toBe(low));

  test.each<[string, Partial<StoreLine>, readonly Show[]]>([
    ['a kit', {}, ['all', 'kits']],
    ['a sundry', { type: 'sundry' }, ['all', 'sundries']],
    ['past its date', { lots: [lot(1, NOW - 1)] }, ['all', 'kits', 'expired']],
    ['past its date, and gone', { lots: [lot(0, NOW - 1)] }, ['all', 'kits']],
    ['with a faulty lot', { lots: [lot(1, null, 'small boot')] }, ['all', 'kits', 'faulty']],
    ['to order', { stock: 0 }, ['all', 'kits', 'low']],
  ])('%s', (_, more, shows) => expect(SHOW_NAMES.filter((s) => isShown(line(more), s, NOW))).toEqual(shows));
});

describe('dimensions in words', () => {
  test.each([
    ['boreMm', 22.225, '7/8 in', '7/8 in'],
    ['odMm', 28, '28 mm', '1.1024 in'],
    ['thread', 'M10x1', 'M10x1', 'M10x1'],
    ['lengthMm', null, 'not stated', 'not stated'],
  ] as const)('%s %s', (dim, value, mm, inch) => expect([sayDim(dim, value, METRIC), sayDim(dim, value, IMPERIAL)]).toEqual([mm, inch]));

  test('together, and nothing where nothing is stated', () => {
    expect(sayDims({ boreMm: 19, lengthMm: 7, thread: null }, METRIC)).toBe('19 mm, length 7 mm');
    expect(sayDims({}, METRIC)).toBe('');
    // Two pistons, and two rings, that differ are told apart.
    expect([22.18, 22.164].map((diaMm) => sayDims({ diaMm }, METRIC))).toEqual(['⌀ 22.18 mm', '⌀ 22.164 mm']);
    expect(sayDims({ csMm: 5.33 }, METRIC)).toBe('section 5.33 mm');
  });

  test('a kind asks for what tells its pieces apart, each once', () => {
    expect(dimsOfKind('cup')).toEqual(['boreMm', 'lengthMm', 'rubber']);
    expect(dimsOfKind('bleed-screw')).toEqual(['thread', 'lengthMm', 'tip']);
    expect(dimsOfKind('sealing-washer')).toEqual(['idMm', 'odMm', 'thickMm']);
    for (const kind of ['cup', 'boot', 'circlip', 'square-seal', 'wire-ring', 'dust-seal', 'spring', 'o-ring'] as const)
      expect(new Set(dimsOfKind(kind)).size).toBe(dimsOfKind(kind).length);
  });
});
