import loadHighs from 'highs';
import type { Cover } from './cover';

type Highs = Awaited<ReturnType<typeof loadHighs>>;
export type Solved = {
  /** Copies of each option. */
  readonly counts: readonly number[];
  /** Pieces of each need that stay open. */
  readonly open: readonly number[];
};
/** What is made least: so much for a unit of money, for each step of a longer wait, for a copy. */
export type Weights = { readonly price: number; readonly wait: number; readonly copy: number };

let loading: Promise<Highs> | undefined;
/** The solver, loaded once; it takes a moment the first time. */
export const solver = (): Promise<Highs> => {
  loading ??= loadHighs();
  return loading;
};

const EXACT = { output_flag: false, mip_rel_gap: 0, mip_abs_gap: 1e-7, mip_feasibility_tolerance: 1e-8 };

/**
 * The cover of least weight that leaves so many pieces open.
 * @param open pieces that stay open, in all: the fewest that can
 */
export const leastCover = (highs: Highs, cover: Cover, open: number, weights: Weights, atMostPrice?: number): Solved => {
  const { Status, Columns } = highs.solve(modelOf(cover, open, weights, atMostPrice), EXACT);
  if (Status !== 'Optimal') throw new Error(`The solver ended with ${Status}`);
  const whole = (name: string): number => Math.round((Columns[name] as { readonly Primal?: number } | undefined)?.Primal ?? 0);
  return { counts: cover.options.map((_, o) => whole(`x${o}`)), open: cover.needs.map((_, n) => whole(`u${n}`)) };
};

/** Waits that something in the store would take, the shortest first. */
export const waitsOf = ({ options }: Cover): readonly number[] =>
  [...new Set(options.flatMap((o) => (o.most > o.inStock && o.leadDays > 0 ? [o.leadDays] : [])))].sort((a, b) => a - b);

/** The programme as text: x copies of an option, y of its pieces given to a need, u pieces of a need left open, z whether a wait is reached. */
const modelOf = (cover: Cover, open: number, weights: Weights, atMostPrice: number | undefined): string => {
  const { needs, options } = cover;
  const waits = weights.wait > 0 ? waitsOf(cover) : [];
  const given = needs.map((_, n): string[] => (open === 0 ? [] : [`u${n}`]));
  const uses = options.flatMap((o, i) =>
    o.gives.map(({ serves, qty }, k) => {
      const names = serves.map((n) => `y${i}_${k}_${n}`);
      for (const [at, n] of serves.entries()) given[n]?.push(names[at] as string);
      return `${names.join(' + ')} - ${qty} x${i} <= 0`;
    }),
  );
  const ordered = options.flatMap((o, i) => {
    const wait = waits.indexOf(o.leadDays);
    return wait < 0 || o.most <= o.inStock ? [] : [`x${i} - ${o.most - o.inStock} z${wait} <= ${o.inStock}`];
  });
  const prices = options.map((o, i) => `${o.price} x${i}`).join(' + ');
  const left = needs.map((_, n) => `u${n}`);
  const reached = waits.map((_, w) => `z${w}`);
  return [
    'Minimize',
    `weight: ${[...options.map((o, i) => `${weights.price * o.price + weights.copy} x${i}`), ...reached.map((z) => `${weights.wait} ${z}`)].join(' + ')}`,
    'Subject To',
    ...given.map((names, n) => `${names.join(' + ')} >= ${needs[n]?.qty}`),
    ...uses,
    ...ordered,
    ...reached.slice(1).map((z, w) => `${z} - ${reached[w]} <= 0`),
    ...(open === 0 ? [] : [`${left.join(' + ')} = ${open}`]),
    ...(atMostPrice === undefined ? [] : [`${prices} <= ${atMostPrice}`]),
    'Bounds',
    ...options.map((o, i) => `0 <= x${i} <= ${o.most}`),
    ...reached.map((z) => `0 <= ${z} <= 1`),
    'General',
    [...options.map((_, i) => `x${i}`), ...(open === 0 ? [] : left), ...reached].join(' '),
    'End',
  ].join('\n');
};
