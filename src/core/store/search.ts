import { NUMBER_FEATURES } from '../identify/feature';
import type { Fitment } from '../identify/fitment';
import { parseLength } from '../quantity/parse';
import { normalThread } from '../quantity/thread';
import type { Units } from '../quantity/units';
import type { Article } from './article';

/** One thing that can be found: its words, and its lengths in mm in order. */
export type Indexed<T> = { readonly what: T; readonly text: string; readonly lengthsMm: readonly number[] };

export const indexArticle = (a: Article): Indexed<Article> => {
  const dims = a.items.flatMap((i) => Object.values(i.dims));
  const words = [a.number, a.name, a.note, a.supersededBy ?? '', ...a.items.flatMap((i) => [i.name, i.kind])];
  return indexed(a, words, dims);
};

export const indexFitment = (f: Fitment): Indexed<Fitment> => {
  const { castingMark, portThreads } = f.features;
  const years =
    f.yearFrom === null
      ? []
      : Array.from({ length: Math.min(80, (f.yearTo ?? f.yearFrom) - f.yearFrom + 1) }, (_, i) => `${(f.yearFrom as number) + i}`);
  const words = [f.maker, f.machine, f.position, f.note, castingMark ?? '', ...f.kits, ...years];
  return indexed(f, words, [...NUMBER_FEATURES.map((n) => f.features[n]), ...(portThreads ?? [])]);
};

const indexed = <T>(what: T, words: readonly string[], dims: readonly (number | string | null | undefined)[]): Indexed<T> => ({
  what,
  text: [...words.map(plain), ...dims.flatMap((d) => (typeof d === 'string' ? [normalThread(d), plain(d)] : []))].join('\n'),
  lengthsMm: dims.flatMap((d) => (typeof d === 'number' ? [d] : [])).sort((a, b) => a - b),
});

const plain = (text: string): string => text.toLowerCase().replace(/\s+/g, ' ').trim();

/** A word of a query: text that must stand somewhere, or a length that some dimension must have; a bare number may be either. */
export type Term = { readonly text: string; readonly mm: readonly [number, number] | null };

/** Least that a length may be off and still be meant, mm: kits are listed at 19 for 19.05. */
const NEAR_MM = 0.06;

/**
 * What a query asks for. `7/8 boot` is a length and a word; `22.2 mm`, `0.875in` and `M10 x 1` are one term each.
 * A length is met within half of the last digit typed.
 * @param unit what a bare number means
 */
export const termsOf = (query: string, unit: Units['length']): readonly Term[] => {
  const found =
    plain(query).match(
      /m\d+(?:[.,]\d+)? ?[x×] ?\d+(?:[.,]\d+)?|\d+ \d+\/\d+ ?(?:in\b|")?|\d+\/\d+-\d+|\d+\/\d+ ?(?:in\b|")?|\d*[.,]?\d+ ?(?:mm\b|in\b|")|\S+/g,
    ) ?? [];
  return found.map((match) => {
    const word = match.trim();
    if (/^m\d+.*[x×]/.test(word)) return { text: normalThread(word), mm: null };
    const read = /^[\d.,]/.test(word) && !/^\d+\/\d+-/.test(word) ? parseLength(word, unit) : undefined;
    if (read?.ok !== true) return { text: word, mm: null };
    const half = halfDigitMm(word, unit);
    return { text: word, mm: [read.value - half, read.value + half] };
  });
};

const halfDigitMm = (word: string, unit: Units['length']): number => {
  const decimals = /[.,](\d+)/.exec(word)?.[1]?.length ?? 0;
  const inch = /in|"/.test(word) || (unit === 'in' && !/mm/.test(word));
  return word.includes('/') ? NEAR_MM : Math.max(NEAR_MM, (inch ? 25.4 : 1) * Math.min(0.3, 0.5 * 10 ** -decimals));
};

/** All that meets every term, best first: a number or name that begins with the first word, then the order given. */
export const search = <T>(
  index: readonly Indexed<T>[],
  terms: readonly Term[],
  most: number,
): { readonly found: readonly T[]; readonly inAll: number } => {
  const hits = candidates(index, terms).filter((entry) => terms.every((t) => meets(entry, t)));
  const first = terms[0]?.text ?? '';
  const begins = hits.filter((h) => h.text.startsWith(first));
  const ordered = begins.length === 0 || first === '' ? hits : [...begins, ...hits.filter((h) => !h.text.startsWith(first))];
  return { found: ordered.slice(0, most).map((h) => h.what), inAll: hits.length };
};

const meets = ({ text, lengthsMm }: Indexed<unknown>, t: Term): boolean =>
  (t.mm !== null && lengthsMm.some((l) => l >= (t.mm as readonly [number, number])[0] && l <= (t.mm as readonly [number, number])[1])) ||
  text.includes(t.text);

/** All texts of an index as one, and where each begins: one search through it is many times quicker than one through each. */
type Whole = { readonly text: string; readonly starts: readonly number[] };
const SEAM = '\u0000';
const wholes = new WeakMap<readonly Indexed<unknown>[], Whole>();
const wholeOf = (index: readonly Indexed<unknown>[]): Whole => {
  const known = wholes.get(index);
  if (known !== undefined) return known;
  let at = 0;
  const starts = index.map(({ text }) => {
    const start = at;
    at += text.length + SEAM.length;
    return start;
  });
  const whole = { text: index.map((e) => e.text).join(SEAM), starts };
  wholes.set(index, whole);
  return whole;
};

/** Entries that hold the longest word of a query, in their order; all where only lengths are asked for. */
const candidates = <T>(index: readonly Indexed<T>[], terms: readonly Term[]): readonly Indexed<T>[] => {
  const word = terms.filter((t) => t.mm === null).reduce((longest, t) => (t.text.length > longest.length ? t.text : longest), '');
  if (word === '') return index;
  const { text, starts } = wholeOf(index);
  const found: Indexed<T>[] = [];
  let entry = 0;
  for (let at = text.indexOf(word); at !== -1; at = text.indexOf(word, starts[entry] ?? text.length)) {
    while (entry < starts.length && (starts[entry] as number) <= at) entry += 1;
    found.push(index[entry - 1] as Indexed<T>);
  }
  return found;
};
