import { sayNominal, sayToDiffer } from '../quantity/say';
import type { Units } from '../quantity/units';
import type { Dims } from './dims';

const WORDS: Readonly<Record<string, string>> = {
  boreMm: 'bore',
  idMm: 'inside ⌀',
  odMm: 'outside ⌀',
  csMm: 'section',
  lengthMm: 'length',
  thickMm: 'thickness',
  diaMm: '⌀',
};
export const dimWords = (dim: string): string => WORDS[dim] ?? dim.replace(/Mm$/, '');

/** A dimension with its unit: bores as nominal sizes. */
export const sayDim = (dim: string, value: number | string | null | undefined, units: Units): string => {
  if (typeof value !== 'number') return value ?? 'not stated';
  if (dim === 'boreMm') return sayNominal(value);
  return dim.endsWith('Mm') ? `${sayToDiffer(value, units)} ${units.length}` : String(value);
};

/** All that is stated, short: `⌀ 10 mm, outside ⌀ 28 mm`; empty where nothing is. */
export const sayDims = (dims: Dims, units: Units): string =>
  Object.entries(dims)
    .flatMap(([dim, value]) =>
      value == null ? [] : [`${dim === 'thread' || dim === 'boreMm' ? '' : `${dimWords(dim)} `}${sayDim(dim, value, units)}`],
    )
    .join(', ');
