import type { UnitKind } from '../family/family-name';
import { FEATURES, type Feature, type Features, isLength } from './feature';

/** Where a unit belongs: machine, years, place; what it measures there, and which kits are made for it. */
export type Fitment = {
  readonly id: string;
  readonly machine: string;
  readonly maker: string;
  readonly yearFrom: number | null;
  readonly yearTo: number | null;
  readonly family: UnitKind;
  readonly position: string;
  readonly features: Features;
  /** Numbers of the kits that a catalogue names for it. */
  readonly kits: readonly string[];
  readonly note: string;
};

export const sayFitment = (f: Pick<Fitment, 'machine' | 'maker' | 'yearFrom' | 'yearTo' | 'position'>): string =>
  `${f.maker} ${f.machine}${f.yearFrom === null ? '' : `, ${f.yearFrom}${f.yearTo === null ? ' on' : f.yearTo === f.yearFrom ? '' : `–${f.yearTo}`}`}, ${f.position}`;

/** What released units of a fitment measured, counted by feature and value. */
export type SeenValues = { readonly [F in Feature]?: readonly { readonly value: unknown; readonly n: number }[] };

/** @param counts by what is counted: a feature and its value as JSON */
export const seenValues = (counts: Iterable<readonly [what: string, n: number]>): SeenValues => {
  const seen: { [feature: string]: { value: unknown; n: number }[] } = {};
  for (const [what, n] of counts) {
    const space = what.indexOf(' ');
    if (space === -1 || n <= 0) continue;
    const feature = what.slice(0, space);
    seen[feature] = [...(seen[feature] ?? []), { value: JSON.parse(what.slice(space + 1)), n }];
  }
  return seen;
};

/** What released units of a fitment measured teaches of what its entry leaves open: the middle value; of words, the one met most. What the entry states stays. */
export const withLearned = (features: Features, seen: SeenValues): Features => {
  const learned = Object.fromEntries(
    FEATURES.flatMap((f) => {
      const values = seen[f] ?? [];
      if (values.length === 0) return [];
      return [[f, isLength(f) ? middleOf(values) : [...values].sort((a, b) => b.n - a.n)[0]?.value]];
    }),
  );
  return { ...learned, ...Object.fromEntries(Object.entries(features).filter(([, v]) => v != null)) };
};

/** Median of counted values. */
const middleOf = (values: NonNullable<SeenValues[Feature]>): number => {
  const sorted = values.map((v) => ({ value: v.value as number, n: v.n })).sort((a, b) => a.value - b.value);
  const upTo = sorted.map((_, i) => sorted.slice(0, i + 1).reduce((sum, v) => sum + v.n, 0));
  const all = upTo.at(-1) ?? 0;
  const at = (rank: number): number => sorted[upTo.findIndex((n) => n >= rank)]?.value as number;
  return (at(Math.ceil(all / 2)) + at(Math.floor(all / 2) + 1)) / 2;
};
