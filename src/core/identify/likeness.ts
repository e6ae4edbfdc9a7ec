import { normalThread } from '../quantity/thread';
import { atMost } from '../statistics/compare';

/** Share of a mark that reads alike, 0 to 1, case and spaces ignored: 1 − edit distance / the longer's length. @source design, chapter 6 */
export const likeness = (a: string, b: string): number => {
  const [one, other] = [plainMark(a), plainMark(b)];
  const longer = Math.max(one.length, other.length);
  return longer === 0 ? 1 : 1 - editDistance(one, other) / longer;
};
/** Marks read alike, as casting marks that rust has eaten at do. */
export const readsAlike = (share: number): boolean => atMost(0.8, share);

const plainMark = (mark: string): string => mark.replace(/\s+/g, '').toUpperCase();

/** Threads as one text: the same ports in any order give the same. */
export const threadSet = (threads: readonly string[]): string => threads.map(normalThread).sort().join(' ');

/** Letters to change, add or take away. @source Levenshtein 1966, by rows */
const editDistance = (a: string, b: string): number => {
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++)
      next.push(Math.min((next[j - 1] as number) + 1, (row[j] as number) + 1, (row[j - 1] as number) + (a[i - 1] === b[j - 1] ? 0 : 1)));
    row = next;
  }
  return row[b.length] as number;
};
