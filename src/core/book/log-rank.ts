import { chiSquareTail } from '../statistics/gamma';
import { byGroup, comebackDays, type Life, risingByDays } from './lives';

export type LogRank = { readonly chi2: number; readonly df: number; readonly p: number };

/** A pivot below this share of the largest variance is none. */
const NONE = 1e-12;

/**
 * Whether groups hold alike: what came back in each, against what would have if all were one. Null with fewer than two groups, where nothing
 * came back, or where nothing can be told.
 * @source Mantel 1966; covariance of the multivariate hypergeometric distribution
 */
export const logRank = (lives: readonly Life[]): LogRank | null => {
  const names = [...byGroup(lives).keys()];
  const place = new Map(names.map((name, i) => [name, i]));
  const rising = risingByDays(lives);
  const groupOf = rising.map((l) => place.get(l.group) ?? 0);
  const out = names.map((name) => rising.filter((l) => l.group === name).length);
  const [u, risked] = [names.map(() => 0), names.map(() => 0)];
  const v = names.map(() => names.map(() => 0));
  let next = 0;
  for (const { events: d, from } of comebackDays(rising)) {
    // Those whose days ended before are no longer out.
    for (; next < from; next++) out[groupOf[next] as number] = (out[groupOf[next] as number] ?? 0) - 1;
    const n = rising.length - from;
    const back = names.map(() => 0);
    for (let i = from, left = d; left > 0; i++)
      if (rising[i]?.cameBack === true) {
        const g = groupOf[i] as number;
        back[g] = (back[g] ?? 0) + 1;
        left -= 1;
      }
    const spread = n > 1 ? (d * (n - d)) / (n - 1) : 0;
    for (const [g, ng] of out.entries()) {
      u[g] = (u[g] ?? 0) + (back[g] ?? 0) - (ng * d) / n;
      risked[g] = (risked[g] ?? 0) + ng;
      const row = v[g] as number[];
      if (ng > 0 && spread > 0)
        for (const [h, nh] of out.entries()) row[h] = (row[h] ?? 0) + spread * (ng / n) * ((g === h ? 1 : 0) - nh / n);
    }
  }
  const left = names.flatMap((_, g) => ((risked[g] ?? 0) > 0 ? [g] : []));
  if (left.length < 2 || left.every((g) => (v[g]?.[g] ?? 0) === 0)) return null;
  const kept = left.slice(0, -1);
  const chi2 = quadratic(
    kept.map((g) => kept.map((h) => v[g]?.[h] ?? 0)),
    kept.map((g) => u[g] ?? 0),
  );
  const df = kept.length;
  return { chi2, df, p: chiSquareTail(chi2, df) };
};

/** Uᵀ V⁻ U of a covariance, which may be singular: eliminated by its largest pivots until none is left. */
const quadratic = (covariance: readonly (readonly number[])[], of: readonly number[]): number => {
  const v = covariance.map((row) => [...row]);
  const u = [...of];
  const open = new Set(u.keys());
  const largest = Math.max(...v.map((row, i) => row[i] ?? 0));
  let sum = 0;
  while (open.size > 0) {
    const at = [...open].reduce((best, i) => ((v[i]?.[i] ?? 0) > (v[best]?.[best] ?? 0) ? i : best));
    const pivot = v[at]?.[at] ?? 0;
    if (pivot <= NONE * largest) break;
    open.delete(at);
    const [row, ua] = [v[at] as number[], u[at] ?? 0];
    sum += ua ** 2 / pivot;
    for (const i of open) {
      const by = (v[i]?.[at] ?? 0) / pivot;
      u[i] = (u[i] ?? 0) - by * ua;
      const own = v[i] as number[];
      for (const j of open) own[j] = (own[j] ?? 0) - by * (row[j] ?? 0);
    }
  }
  return sum;
};
