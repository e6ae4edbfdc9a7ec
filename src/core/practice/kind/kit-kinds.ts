import { PART_KINDS } from '../../family/part-kind';
import { matchKit } from '../../kit/match-kit';
import type { Need } from '../../kit/need';
import { fixed } from '../../quantity/figure';
import type { Random } from '../../statistics/random';
import type { KitItem } from '../../store/article';
import { between, oneOf, shuffled, someOf } from '../draw';
import type { Exercise, Level } from '../exercise';

/** What a tray asks for, and how far off a piece of a bag may be before it is the wrong one, mm. */
const PIECES = [
  { kind: 'cup', dim: 'boreMm', from: 15, to: 28, off: 1.6 },
  { kind: 'boot', dim: 'odMm', from: 24, to: 40, off: 3 },
  { kind: 'o-ring', dim: 'odMm', from: 8, to: 20, off: 2 },
  { kind: 'sealing-washer', dim: 'odMm', from: 12, to: 20, off: 2 },
  { kind: 'dust-seal', dim: 'idMm', from: 20, to: 40, off: 2.5 },
] as const;
const DIM_WORDS = { boreMm: 'for a bore of', odMm: 'outside', idMm: 'inside' } as const;

const says = (kind: (typeof PIECES)[number]['kind'], dim: keyof typeof DIM_WORDS, mm: number, qty: number): string =>
  `${qty > 1 ? `${qty} × ` : ''}${PART_KINDS[kind].label}, ${DIM_WORDS[dim]} ${fixed(mm, 1)} mm`;

/** A tray against an opened bag: which of what it needs is not in it. */
export const coversTray = (random: Random, level: Level): Exercise => {
  const wanted = someOf(random, PIECES, 2 + level).map((p) => ({
    ...p,
    mm: between(random, p.from, p.to, 0.1),
    qty: p.kind === 'cup' ? 1 + random.below(2) : 1,
  }));
  const needs = wanted.map((w, i): Need => ({ id: String(i), kind: w.kind, qty: w.qty, dims: { [w.dim]: w.mm }, policy: 'replace' }));
  const fates = wanted.map(() => oneOf(random, ['there', 'there', 'wrong', 'absent', 'short'] as const));
  const items = wanted.flatMap((w, i): readonly KitItem[] => {
    if (fates[i] === 'absent') return [];
    const mm =
      fates[i] === 'wrong' ? w.mm + (random.below(2) === 0 ? w.off : -w.off) : w.mm + (level > 1 ? oneOf(random, [-0.05, 0, 0.05]) : 0);
    const qty = fates[i] === 'short' && w.qty > 1 ? w.qty - 1 : w.qty;
    return [{ kind: w.kind, qty, dims: { [w.dim]: Number(mm.toFixed(2)) } }];
  });
  const { missing } = matchKit(needs, { id: 'bag', items }, false);
  const right = needs.flatMap((n, i) => (missing.some((m) => m.needId === n.id) ? [i] : []));
  const inBag = shuffled(random, items).map((item) => {
    const [dim, mm] = Object.entries(item.dims)[0] as [keyof typeof DIM_WORDS, number];
    return says(item.kind as (typeof PIECES)[number]['kind'], dim, mm, item.qty);
  });
  return {
    asks: 'What does this bag not give? None, if it gives all.',
    facts: [`In the opened bag: ${inBag.length === 0 ? 'nothing' : inBag.join('; ')}.`],
    picture: null,
    form: { kind: 'pick', items: wanted.map((w) => says(w.kind, w.dim, w.mm, w.qty)) },
    right,
    hints: ['Each piece by its kind, its size within what rubber forgives, and its number.'],
    because:
      right.length === 0
        ? ['Every piece is there, in its size and number.']
        : right.map((i) => {
            const w = wanted[i] as (typeof wanted)[number];
            const have = items.find((item) => item.kind === w.kind);
            const [, mm] = have === undefined ? [] : (Object.entries(have.dims)[0] as [string, number]);
            return `${PART_KINDS[w.kind].label}: ${mm === undefined ? 'none is in it' : (have?.qty ?? 0) < w.qty && Math.abs(mm - w.mm) < 1 ? `${have?.qty} of ${w.qty}` : `${fixed(mm, 1)} mm, wanted ${fixed(w.mm, 1)} mm`}.`;
          }),
  };
};
