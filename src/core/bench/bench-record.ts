import type { BenchData, BenchKind } from './bench-schema';

/** Something that was noted of a unit at a bench, when and by whom. Never edited but for a finish that cures: the newest of a kind counts. */
export type BenchRecord = BenchData & { readonly id: string; readonly at: number; readonly personId: string };
export type BenchOf<K extends BenchKind> = Extract<BenchRecord, { readonly kind: K }>;

export const benchOf = <K extends BenchKind>(bench: readonly BenchRecord[], kind: K): readonly BenchOf<K>[] =>
  bench.filter((b): b is BenchOf<K> => b.kind === kind);

/** The newest of a kind, made at a time or after; undefined where there is none. */
export const newestOf = <K extends BenchKind>(
  bench: readonly BenchRecord[],
  kind: K,
  since = Number.NEGATIVE_INFINITY,
): BenchOf<K> | undefined => benchOf(bench, kind).findLast((b) => b.at >= since);
