import { capital } from '../capital';
import type { CostedOption } from '../cost/route-cost';
import { sayMoney } from '../quantity/say-money';
import { sayFullDate } from '../quantity/say-time';
import type { UnitOption } from './unit-options';

const percent = (chance: number): string => `${Math.round(chance * 100)} %`;

/** A chance with the interval that holds it nine times in ten. */
export const sayChance = (chance: number, low: number, high: number): string => `${percent(chance)} (${percent(low)} to ${percent(high)})`;

/** What would make another option the best: how much cheaper it would have to be, or how seldom the best would have to hold. */
export const sayFlips = (options: readonly UnitOption[], costed: readonly CostedOption[], best: string | null): readonly string[] => {
  const wordsOf = (id: string | null): string => options.find((o) => o.id === id)?.words ?? '';
  const first = costed.find((c) => c.id === best);
  if (first === undefined) return [];
  return costed.flatMap((c) => {
    if (c.dearerBy === null) return [];
    const chance =
      c.keepChanceToEqual === null
        ? ''
        : `, or if ${wordsOf(best)} held in ${percent(c.keepChanceToEqual)} only, not in ${percent(first.keepChance)}`;
    return [`${capital(wordsOf(c.id))} would be as good if it were ${sayMoney(c.dearerBy)} cheaper${chance}.`];
  });
};

const DAY_MS = 86_400_000;

/**
 * By when it would have to be ready for another option to be the best: of each such one the latest date.
 * @param bestWithin the best of those that are there in so many days
 */
export const sayDateFlips = (
  options: readonly UnitOption[],
  best: string | null,
  bestWithin: (days: number) => string | null,
  now: number,
): readonly string[] => {
  const first = options.find((o) => o.id === best);
  if (first === undefined) return [];
  const sooner = [...new Set(options.flatMap((o) => (o.asked.days < first.asked.days ? [o.asked.days] : [])))].toSorted((a, b) => b - a);
  const seen = new Set<string | null>([best, null]);
  return sooner.flatMap((days) => {
    const winner = bestWithin(days);
    if (seen.has(winner)) return [];
    seen.add(winner);
    const words = capital(options.find((o) => o.id === winner)?.words ?? '');
    return [`${words} would be the best if it had to be ready before ${sayFullDate(now + first.asked.days * DAY_MS)}.`];
  });
};
