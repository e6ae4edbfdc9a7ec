import type { Station } from '../station';

/** A step of a unit's history: who did what, and which station the unit left by it, where it did. Time in ms since 1970. */
export type Done = { readonly personId: string; readonly at: number; readonly left: Station | null };
const MINUTE_MS = 60_000;

/**
 * Bench time of a unit by station, min: the time between a person's own steps on it, longer gaps left out; a station's steps are those up to
 * its sign-off, of several visits all.
 * @param done in their order
 * @param gapMin longest time between two steps that still counts as work
 * @source design, chapter 12 and issue “Day”, point 3
 */
export const workedAt = (done: readonly Done[], gapMin: number): ReadonlyMap<Station | 'open', number> => {
  const minutes = new Map<Station | 'open', number>();
  const last = new Map<string, number>();
  let since: number[] = [];
  for (const { personId, at, left } of done) {
    const gap = (at - (last.get(personId) ?? Number.NEGATIVE_INFINITY)) / MINUTE_MS;
    last.set(personId, at);
    if (gap >= 0 && gap <= gapMin) since.push(gap);
    if (left === null) continue;
    minutes.set(left, (minutes.get(left) ?? 0) + sum(since));
    since = [];
  }
  // What nobody has signed off yet: the station that it stands at.
  minutes.set('open', sum(since));
  return minutes;
};

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);

/** Who is at something now: each person's newest step, where it is on a unit whose station it did not end. @returns by person, the unit and when that work began */
export const atNow = (
  histories: ReadonlyMap<string, readonly Done[]>,
  now: number,
  gapMin: number,
): ReadonlyMap<string, { readonly unitId: string; readonly since: number }> => {
  const newest = new Map<string, { readonly unitId: string; readonly since: number; readonly at: number; readonly over: boolean }>();
  for (const [unitId, done] of histories) {
    const lastOff = done.findLastIndex((d) => d.left !== null);
    for (const personId of new Set(done.map((d) => d.personId))) {
      const own = done.flatMap((d, i) => (d.personId === personId ? [{ ...d, over: i <= lastOff }] : []));
      const last = own.at(-1);
      if (last === undefined || now - last.at > gapMin * MINUTE_MS || (newest.get(personId)?.at ?? 0) > last.at) continue;
      let since = last.at;
      for (const step of own.toReversed()) {
        if (step.over || since - step.at > gapMin * MINUTE_MS) break;
        since = step.at;
      }
      newest.set(personId, { unitId, since, at: last.at, over: last.over });
    }
  }
  return new Map([...newest].filter(([, n]) => !n.over).map(([id, { unitId, since }]) => [id, { unitId, since }]));
};
