import type { OpenQuestion } from './judge';

/** The verdict asks for readings that the grid can take. */
export const asksForGauging = (toDo: readonly OpenQuestion[]): boolean => toDo.some((t) => t.what === 'gauge' || t.what === 'gauge-again');

/** The gauge grid, going on from the last gauging; what its lanes lack it finds itself, other depths are named. */
export const goOnAddress = (tag: string, toDo: readonly OpenQuestion[], pot: number): string => {
  const named = toDo.flatMap((t) => (t.what === 'gauge' && t.sealId === undefined ? (t.xMm ?? []) : []));
  return `/units/${tag}/gauge?${pot === 1 ? '' : `pot=${pot}&`}go-on=${named.join(',')}`;
};

/** The depths that such an address names, mm; undefined where it asks for no going on. */
export const goOnDepths = (named: string | readonly string[] | undefined, lengthMm: number): readonly number[] | undefined =>
  typeof named === 'string'
    ? named
        .split(',')
        .filter((t) => t !== '')
        .map(Number)
        .filter((x) => x > 0 && x < lengthMm)
    : undefined;
