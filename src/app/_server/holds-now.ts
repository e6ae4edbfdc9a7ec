import type { Comebacks, comebacks } from '@/core/book/comebacks';
import type { Grouping } from '@/core/book/grouping';
import type { Life } from '@/core/book/lives';
import type { Result } from '@/core/result';
import { LEFT } from '@/core/unit/teaches';
import { asLives, type Lived, livesBy, type OnePerson } from '@/db/book/lives-by';
import { cachedBy } from '@/db/engine/cached';
import type { Reader } from '@/db/engine/connection';
import { tallyOf } from '@/db/engine/tally';
import { comebacks as cameBack } from '@/db/unit/lives';
import { inPool, type NotDone } from '@/pool/pool';

/** How long a unit is followed before it counts in what comes back, days. */
export const FOLLOW_DAYS = 180;
/** Groups that are told apart, those with the most units first. */
const MOST_GROUPS = 60;

/** What holds by a grouping: the released units that it looks at and how many there are, the lives of its largest groups, and what chapter 15 says of them; no answer without a life. */
export type HoldsNow = {
  readonly lived: readonly Lived[];
  readonly inAll: number;
  readonly lives: readonly Life[];
  /** Groups with fewer units, which are not looked at. */
  readonly left: number;
  readonly done: Result<Comebacks, NotDone> | undefined;
};

export async function holdsNow(db: Reader, by: Grouping | OnePerson, now: number): Promise<HoldsNow> {
  const { lived, inAll } = await livesBy(db, by);
  const { lives, left } = topGroups(asLives(lived, now));
  const request = { units: [...lives], at: [180, 365], followDays: FOLLOW_DAYS } as Parameters<typeof comebacks>[0];
  return { lived, inAll, lives, left, done: lives.length === 0 ? undefined : await inPool('comebacks', request) };
}

const topGroups = (lives: readonly Life[]): { readonly lives: readonly Life[]; readonly left: number } => {
  const counts = new Map<string, number>();
  for (const l of lives) counts.set(l.group, (counts.get(l.group) ?? 0) + 1);
  const order = [...counts].sort((a, b) => b[1] - a[1]).map(([g]) => g);
  const kept = new Set(order.slice(0, MOST_GROUPS));
  const place = new Map(order.map((g, i) => [g, i]));
  return {
    lives: lives.filter((l) => kept.has(l.group)).sort((a, b) => (place.get(a.group) ?? 0) - (place.get(b.group) ?? 0)),
    left: Math.max(0, order.length - MOST_GROUPS),
  };
};

/** By what a shop is warned. */
const WARNED_BY = ['lot', 'way'] as const satisfies readonly Grouping[];
export type Warned = { readonly by: Grouping; readonly group: string };
const DAY_MS = 86_400_000;

/** Lots and ways of which more come back than chance gives; looked at anew once something has left or come back, and each day. */
export const warnedNow = cachedBy<Reader, readonly Warned[]>(
  async (db) => {
    const [left, back] = await Promise.all([tallyOf(db, LEFT), cameBack(db)]);
    return `${Math.floor(Date.now() / DAY_MS)} ${left.get('') ?? 0} ${back.inAll}`;
  },
  async (db) => {
    const warned: Warned[] = [];
    for (const by of WARNED_BY) {
      const { done } = await holdsNow(db, by, Date.now());
      if (done?.ok) warned.push(...done.value.groups.flatMap((g) => (g.says === 'high' ? [{ by, group: g.group }] : [])));
    }
    return warned;
  },
);
