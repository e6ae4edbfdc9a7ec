import { describe, expect, test } from 'vitest';
import { normalThread } from '../quantity/thread';
import { assignItems } from './assign';
import { bestSet } from './best-set';
import { fitOf } from './fit';
import type { Kit, Need, Policy, Sundry } from './need';

/** Park and Miller's generator: the same cases every time. */
const random = (seed: number) => {
  let state = seed;
  return (below: number): number => {
    state = (state * 48271) % 2147483647;
    return state % below;
  };
};

const POLICIES: readonly Policy[] = ['replace', 'prefer', 'reuse-ok'];
const someNeeds = (next: (n: number) => number, count: number): readonly Need[] =>
  Array.from({ length: count }, (_, i) => ({
    id: `n${i}`,
    kind: next(2) ? 'cup' : 'boot',
    qty: 1 + next(2),
    dims: next(4) ? { idMm: 10 + next(3) * 0.25 } : {},
    policy: POLICIES[next(3)] as Policy,
  }));
const someItems = (next: (n: number) => number, count: number) =>
  Array.from({ length: count }, () => ({
    kind: next(2) ? 'cup' : 'boot',
    qty: 1 + next(2),
    dims: next(3) ? { idMm: 10 + next(3) * 0.25 } : {},
  }));

describe('assignment', () => {
  /** Every way to hand pieces to needs, the best score by brute force. */
  const bruteScore = (needs: readonly Need[], items: ReturnType<typeof someItems>): readonly number[] => {
    const left = items.map((i) => i.qty);
    const wants = needs.flatMap((n) => Array.from({ length: n.qty }, () => n));
    let best: readonly number[] = [0, 0, 0, 0, 0, 0];
    const walk = (at: number, score: readonly number[]): void => {
      const need = wants[at];
      if (need === undefined) {
        if (compare(score, best) > 0) best = score;
        return;
      }
      walk(at + 1, score);
      for (const [i, item] of items.entries()) {
        const fit = fitOf(need, item);
        if ((left[i] as number) === 0 || fit === undefined || fit.kind === 'misfit') continue;
        left[i] = (left[i] as number) - 1;
        const level = POLICIES.indexOf(need.policy);
        walk(
          at + 1,
          score.map((s, l) => s + (l === level || (l === level + 3 && fit.kind === 'verified') ? 1 : 0)),
        );
        left[i] = (left[i] as number) + 1;
      }
    };
    walk(0, best);
    return best;
  };
  const compare = (a: readonly number[], b: readonly number[]): number => a.map((v, i) => v - (b[i] as number)).find((d) => d !== 0) ?? 0;

  test('is the best there is, on 150 random cases', () => {
    const next = random(7);
    for (let round = 0; round < 150; round++) {
      const [needs, items] = [someNeeds(next, 3), someItems(next, 3)];
      const score = [0, 0, 0, 0, 0, 0];
      for (const a of assignItems(needs, items)) {
        const level = POLICIES.indexOf((needs[a.need] as Need).policy);
        score[level] = (score[level] as number) + a.qty;
        if (a.verified) score[level + 3] = (score[level + 3] as number) + a.qty;
      }
      expect(score).toEqual(bruteScore(needs, items));
    }
  });
});

describe('best set', () => {
  /** Least uncovered, price, wait, pieces over every multiset of at most `most` copies of each option. */
  const brute = (needs: readonly Need[], kits: readonly Kit[], sundries: readonly Sundry[], promiseDays: number): readonly number[] => {
    const must = needs.filter((n) => n.policy === 'replace');
    const wanted = must.reduce((s, n) => s + n.qty, 0);
    const options = [...kits, ...sundries.map((s) => ({ ...s, items: [{ kind: s.kind, qty: 1, dims: s.dims }] }))];
    let best: readonly number[] = [Infinity];
    const counts = options.map(() => 0);
    const walk = (o: number): void => {
      const option = options[o];
      if (option === undefined) {
        const items = options
          .flatMap((x, i) => x.items.map((item) => ({ ...item, qty: item.qty * (counts[i] as number) })))
          .filter((i) => i.qty > 0);
        const covered = assignItems(must, items)
          .filter((a) => a.verified)
          .reduce((s, a) => s + a.qty, 0);
        const price = options.reduce((s, x, i) => s + x.price * (counts[i] as number), 0);
        const lead = Math.max(0, ...options.map((x, i) => ((counts[i] as number) > (x.stock ?? 0) ? (x.leadDays ?? 0) : 0)));
        const found = [wanted - covered, price, lead, counts.reduce((a, b) => a + b, 0)];
        const ahead = best.map((v, i) => (found[i] as number) - v).find((d) => Math.abs(d) > 1e-9) ?? 0;
        if (best[0] === Infinity || ahead < 0) best = found;
        return;
      }
      const orderable = option.leadDays != null && option.leadDays <= promiseDays;
      for (let c = 0; c <= (orderable ? 2 : Math.min(2, option.stock ?? 0)); c++) {
        counts[o] = c;
        walk(o + 1);
      }
      counts[o] = 0;
    };
    walk(0);
    return best;
  };

  test('is the optimum of every multiset, on 200 random small cases', { timeout: 60_000 }, async () => {
    const next = random(412);
    for (let round = 0; round < 200; round++) {
      // All dimensions stated: brute force counts verified pieces only, as the set does.
      const needs = someNeeds(next, 3).map((n) => ({ ...n, qty: 1 }));
      const store = (i: number) => ({
        id: `o${i}`,
        // In cents, and in parts of them that no till knows.
        price: round % 2 === 0 ? 1 + next(6) : (1 + next(6)) / 3,
        stock: [0, 1, null, 2][next(4)] as number | null,
        leadDays: [1, 3, 9, null][next(4)] as number | null,
      });
      const kits = [0, 1].map((i) => ({
        ...store(i),
        items: someItems(next, 2).map((item) => ({ ...item, dims: { idMm: 10 + next(3) * 0.25 } })),
      }));
      const sundries = [2, 3].map((i) => ({ ...store(i), kind: next(2) ? 'cup' : 'boot', dims: { idMm: 10 + next(3) * 0.25 } }));
      const found = await bestSet(needs, { kits, sundries, promiseDays: 4, allowUnverified: false });
      const uncovered = found.uncovered.reduce((s, u) => s + u.qty, 0);
      const pieces = found.picks.reduce((s, p) => s + p.qty, 0);
      const [open, price, lead, copies] = brute(needs, kits, sundries, 4);
      expect([uncovered, found.leadDays, pieces]).toEqual([open, lead, copies]);
      expect(found.price).toBeCloseTo(price as number, 9);
    }
  });
});

test('threads are one however they are written', () => {
  expect(['M10x1', 'm10 × 1.00', 'M10X1.0', 'm10.0x1'].map(normalThread)).toEqual(['m10x1', 'm10x1', 'm10x1', 'm10x1']);
  expect(normalThread('M12 x 1.250')).toBe('m12x1.25');
  expect(normalThread('M12x1.5')).not.toBe(normalThread('M12x1.25'));
});
