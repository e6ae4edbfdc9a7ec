import loadHighs from 'highs';
import { type BestSet, bestSet } from '@/core/kit/best-set';
import { fitOf } from '@/core/kit/fit';
import type { Need, Store } from '@/core/kit/need';
import type { KitItem } from '@/core/store/article';
import { seeded } from '../../devices/hand/random';
import { type Line, median, timed } from './line';

const KINDS = ['cup', 'boot', 'circlip', 'grommet', 'spring', 'sealing-washer', 'o-ring', 'dust-seal'] as const;

/** A unit with twelve needs and a store of kits and sundries of which some fit: the same for the same seed. */
export const coverCase = (seed: number, kits = 200, sundries = 300): { readonly needs: readonly Need[]; readonly store: Store } => {
  const random = seeded(seed);
  const some = (n: number): number => Math.floor(random.next() * n);
  const dims = (kind: string) => ({ [kind === 'cup' ? 'boreMm' : 'idMm']: 10 + some(4) });
  const needs = Array.from({ length: 12 }, (_, i): Need => {
    const kind = KINDS[i % KINDS.length] as string;
    return { id: `n${i}`, kind, qty: 1 + some(2), dims: dims(kind), policy: 'replace' };
  });
  const item = (): KitItem => {
    const kind = random.pick(KINDS);
    return { kind, qty: 1 + some(3), dims: dims(kind) };
  };
  const price = (pieces: number): number => Math.round(100 * pieces * (1 + 2 * random.next())) / 100;
  const supply = () => ({ stock: some(3), leadDays: some(3) === 0 ? null : some(9) });
  return {
    needs,
    store: {
      kits: Array.from({ length: kits }, (_, i) => {
        const items = Array.from({ length: 2 + some(6) }, item);
        return { id: `k${i}`, items, price: price(items.reduce((n, x) => n + x.qty, 0) * 0.6), ...supply() };
      }),
      sundries: Array.from({ length: sundries }, (_, i) => {
        const { kind, dims: its } = item();
        return { id: `s${i}`, kind, dims: its, price: price(1), ...supply() };
      }),
      promiseDays: 5,
      allowUnverified: false,
    },
  };
};

/** Price of a piece left open, that nothing in the store comes near. */
const OPEN = 100_000;

/** The covering problem of one case as HiGHS reads it: least uncovered by a price that nothing in the store reaches, then the least price. */
export const coverModel = (needs: readonly Need[], store: Store): string => {
  const options = [...store.kits, ...store.sundries.map((s) => ({ ...s, items: [{ kind: s.kind, qty: 1, dims: s.dims }] }))].map((o) => ({
    ...o,
    most: o.leadDays != null && o.leadDays <= (store.promiseDays ?? Infinity) ? 24 : (o.stock ?? 0),
  }));
  const covers = needs.map(() => [] as string[]);
  const lines: string[] = [];
  const whole: string[] = [];
  for (const [o, option] of options.entries())
    for (const [i, item] of option.items.entries()) {
      const gives = needs.flatMap((n, k) => (fitOf(n, item)?.kind === 'verified' ? [k] : []));
      if (gives.length === 0 || option.most === 0) continue;
      for (const k of gives) {
        covers[k]?.push(`y${o}_${i}_${k}`);
        whole.push(`y${o}_${i}_${k}`);
      }
      lines.push(`${gives.map((k) => `y${o}_${i}_${k}`).join(' + ')} - ${item.qty} x${o} <= 0`);
    }
  const used = options.flatMap((o, i) => (lines.some((l) => l.includes(` x${i} `)) ? [{ ...o, name: `x${i}` }] : []));
  return `Minimize\nobj: ${used.map((o) => `${o.price} ${o.name}`).join(' + ')} + ${needs.map((_, k) => `${OPEN} u${k}`).join(' + ')}
Subject To\n${needs.map((n, k) => `${[...(covers[k] ?? []), `u${k}`].join(' + ')} = ${n.qty}`).join('\n')}\n${lines.join('\n')}
Bounds\n${used.map((o) => `0 <= ${o.name} <= ${o.most}`).join('\n')}
General\n${[...used.map((o) => o.name), ...whole, ...needs.map((_, k) => `u${k}`)].join(' ')}\nEnd`;
};

const CASES = 9;

/** The best set for 12 needs from 200 kits and 300 sundries, beside HiGHS alone on the same model, which knows no shorter wait and no fewer pieces. */
export async function coverLine(): Promise<Line> {
  const highs = await loadHighs();
  const [ours, theirs]: [number[], number[]] = [[], []];
  let same = true;
  // The first few only warm both.
  for (let seed = -3; seed < CASES; seed++) {
    const { needs, store } = coverCase(seed + 3);
    const model = coverModel(needs, store);
    const found: { best?: BestSet; value?: number } = {};
    const mine = await timed(async () => {
      found.best = await bestSet(needs, store);
    });
    const peer = await timed(() => {
      found.value = highs.solve(model, { output_flag: false, mip_rel_gap: 0 }).ObjectiveValue;
    });
    const open = found.best?.uncovered.reduce((n, u) => n + u.qty, 0) ?? 0;
    same &&= Math.abs((found.best?.price ?? 0) + OPEN * open - (found.value ?? 0)) < 1e-4;
    if (seed < 0) continue;
    ours.push(mine);
    theirs.push(peer);
  }
  const [a, b] = [median(ours), median(theirs)];
  return {
    what: `kit cover: 12 needs, 200 kits, 300 sundries${same ? '' : ', NOT THE SAME OPTIMUM'}`,
    ours: `${a.toFixed(0)} ms`,
    peer: `HiGHS ${b.toFixed(0)} ms, ${(a / b).toFixed(2)}×`,
    bar: 'same optimum, ≤ 1×',
    holds: same && a <= b,
  };
}
