import type { UnitKind } from '../family/family-name';
import type { Features, Measured } from './feature';

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

/** What released units of a fitment measured teaches of what its entry leaves open: the middle value; of words, the one met most. What the entry states stays. */
export const withLearned = (features: Features, seen: readonly Measured[]): Features => {
  const learned: Record<string, unknown> = {};
  for (const f of ['boreMm', 'strokeMm', 'bodyLengthMm', 'studPitchMm'] as const) {
    const values = seen.flatMap((m) => (m[f] == null ? [] : [m[f].value])).sort((a, b) => a - b);
    const middle = values.length / 2;
    if (values.length > 0) learned[f] = ((values[Math.ceil(middle) - 1] as number) + (values[Math.floor(middle)] as number)) / 2;
  }
  for (const f of ['portThreads', 'outletCount', 'castingMark'] as const) {
    const counts = new Map<string, { readonly value: unknown; readonly n: number }>();
    for (const m of seen) {
      if (m[f] == null) continue;
      const key = JSON.stringify(m[f]);
      counts.set(key, { value: m[f], n: (counts.get(key)?.n ?? 0) + 1 });
    }
    const most = [...counts.values()].sort((a, b) => b.n - a.n)[0];
    if (most !== undefined) learned[f] = most.value;
  }
  const stated = Object.fromEntries(Object.entries(features).filter(([, v]) => v != null));
  return { ...learned, ...stated };
};
