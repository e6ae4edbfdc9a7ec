import { expect, test } from 'vitest';
import { sayInAddress, sortedBy, sortIn } from './sort';

const rows = [
  { id: 'K-10', price: 5 },
  { id: 'k-9', price: null },
  { id: 'K-2', price: 5 },
  { id: 'K-1', price: 12 },
];
const value = (r: (typeof rows)[number], by: string): string | number | null => (by === 'id' ? r.id : r.price);
const ids = (text: string): readonly string[] => sortedBy(rows, sortIn(text, ['id', 'price']), value).map((r) => r.id);

test.each([
  ['id', ['K-1', 'K-2', 'k-9', 'K-10']],
  ['-id', ['K-10', 'k-9', 'K-2', 'K-1']],
  // Equals keep their order; what is not known is last, whichever way.
  ['price', ['K-10', 'K-2', 'K-1', 'k-9']],
  ['-price', ['K-1', 'K-10', 'K-2', 'k-9']],
  ['colour', ['K-10', 'k-9', 'K-2', 'K-1']],
  ['', ['K-10', 'k-9', 'K-2', 'K-1']],
])('sorted by “%s”', (text, order) => expect(ids(text)).toEqual(order));

test.each(['id', '-price', ''])('an address says it back: “%s”', (text) => expect(sayInAddress(sortIn(text, ['id', 'price']))).toBe(text));
