import { isoDay, sayWhen } from '../quantity/say-time';
import type { CalendarEntry } from '../unit/calendar';
import type { DayFacts } from './day-facts';
import { type DayPlan, lateUnits, stretchesOf, throughTheNight } from './day-plan';

/** A day on paper: for each person what they do and when, what waits, what is late. */
export type DaySheet = {
  readonly people: readonly {
    readonly name: string;
    readonly lines: readonly { readonly time: string; readonly tag: string; readonly words: string }[];
  }[];
  readonly night: readonly string[];
  readonly late: readonly string[];
};
const MINUTE_MS = 60_000;

/** The sheet of the plan's own day; where nobody is there any more, of the next one on which somebody is. @returns with the day that it is of, ms since 1970 */
export const daySheetOf = (plan: DayPlan, facts: DayFacts): DaySheet & { readonly day: number } => {
  const starts = facts.people.flatMap((p) =>
    p.skills.length > 0 && p.shifts[0] !== undefined ? [facts.now + p.shifts[0].fromMin * MINUTE_MS] : [],
  );
  const day = starts.length === 0 ? facts.now : Math.max(facts.now, Math.min(...starts));
  const clock = (at: number): string => sayWhen(at, day).replace('today ', '');
  const isToday = (at: number): boolean => isoDay(at) === isoDay(day);
  const ends = facts.people.flatMap((p) => p.shifts.map((s) => facts.now + s.toMin * MINUTE_MS)).filter(isToday);
  return {
    day,
    people: facts.people
      .filter((p) => p.skills.length > 0)
      .map((p) => ({
        name: p.name,
        lines: stretchesOf(plan.ops.filter((o) => o.personId === p.id))
          .filter((s) => isToday(s.startAt) || (s.stands === 'started' && isToday(s.endAt)))
          .map((s) => ({ time: `${clock(s.startAt)} – ${clock(s.endAt)}`, tag: s.tag, words: s.words })),
      })),
    night: throughTheNight(plan, ends.length === 0 ? undefined : Math.max(...ends)).map(
      (o) => `${clock(o.startAt)} ${o.op.words} on ${o.tag}, until ${sayWhen(o.endAt, day)}`,
    ),
    late: lateUnits(plan).map(
      (u) =>
        `${u.unit.tag}: promised ${sayWhen(u.unit.dueAt, day)}, ready ${u.finishAt === null ? 'at no date' : sayWhen(u.finishAt, day)}`,
    ),
  };
};

/** A person's work of today and tomorrow as lines of a calendar. @param now ms since 1970 */
export const calendarWork = (plan: DayPlan, personId: string, now: number): readonly CalendarEntry[] => {
  const days = [isoDay(now), isoDay(now + 24 * 60 * MINUTE_MS)];
  return stretchesOf(plan.ops.filter((o) => o.personId === personId))
    .filter((s) => days.includes(isoDay(s.startAt)))
    .map((s) => ({
      id: `work-${s.unitId}-${s.ops[0].op.id}`,
      at: s.startAt,
      minutes: Math.max(1, Math.round((s.endAt - s.startAt) / MINUTE_MS)),
      title: `${s.tag} ${s.words}`,
      text: 'planned; the plan may move it',
      alarm: false,
    }));
};
