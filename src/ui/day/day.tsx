'use client';

import { useMemo } from 'react';
import type { Schedule } from '@/core/day/schedule';
import type { ScheduleRequest } from '@/core/day/schedule-schema';
import type { Person } from '@/core/people/role';
import type { DayFacts, LeftOut } from '@/core/plan/day-facts';
import { type DayPlan, lateUnits, planOf } from '@/core/plan/day-plan';
import { sayLeftOut } from '@/core/plan/say-next';
import type { Draft } from '@/core/plan/what-if';
import { fixed } from '@/core/quantity/figure';
import { isoDay, saySpan, sayWhen } from '@/core/quantity/say-time';
import { Go } from '../shell/go';
import { useNow } from '../shell/use-now';
import { LatePanel } from './late-panel';
import { Looking, useLookFurther } from './look-further';
import { NowForYou } from './now-for-you';
import { PlanDrawing } from './plan-drawing';
import { DAY_VIEWS, type DayView } from './views';
import { WhatIf } from './what-if';

const MINUTE_MS = 60_000;

/** The day: what one does now and why, the plan of all, what will be late and what would change that. */
export function Day({
  facts,
  request,
  schedule: known,
  leftOut,
  view,
  drafts,
  me,
  branch,
  mayKeep,
}: {
  readonly facts: DayFacts;
  readonly request: ScheduleRequest;
  readonly schedule: Schedule;
  readonly leftOut: readonly LeftOut[];
  readonly view: DayView;
  readonly drafts: readonly Draft[];
  readonly me: Person;
  readonly branch: string | undefined;
  readonly mayKeep: boolean;
}) {
  const { schedule, looking, stop } = useLookFurther(request, known, view !== 'what-if');
  // The first paint is of the moment at which the plan was made, on the server as here.
  const now = useNow() ?? facts.now;
  // The same one until another is made: what helps is asked of it in a worker.
  const plan = useMemo(() => planOf(facts, schedule, leftOut), [facts, schedule, leftOut]);
  const leaveAt = leaving(facts, now);
  return (
    <div>
      <header className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-line px-4 py-2">
        <h1 className="text-[17px] font-bold">{branch === undefined ? 'Day' : `Day, ${branch}`}</h1>
        <span className="text-ink2">{sayLeft(plan, facts, leaveAt, now)}</span>
        <Counts plan={plan} now={now} />
        <span className="text-[13px] text-ink2" title="It is made again when something that bears on it changes.">
          plan made {now - facts.now < MINUTE_MS ? 'just now' : `${saySpan(now - facts.now)} ago`}
        </span>
        <Looking looking={looking} stop={stop} />
        <nav aria-label="Views of the plan" className="ml-auto inline-flex flex-wrap">
          {Object.entries(DAY_VIEWS).map(([id, text], i) => (
            <Go
              key={id}
              href={id === 'benches' ? '/day' : `/day?view=${id}`}
              aria-current={id === view ? 'page' : undefined}
              className={`inline-flex min-h-[44px] items-center border px-3 ${i > 0 ? '-ml-px' : ''} ${id === view ? 'relative border-act bg-tint2 font-bold text-act' : 'border-line bg-sheet'}`}
            >
              {text}
            </Go>
          ))}
        </nav>
      </header>
      {plan.noRoom.length + leftOut.length > 0 && (
        <p role="alert" className="border-b border-line px-4 py-1.5 text-red">
          {sayLeftOut(leftOut)}{' '}
          {plan.noRoom.length > 0 &&
            `No room in six weeks for ${plan.noRoom.map((n) => n.tag).join(', ')}${plan.noRoom.some((n) => n.because === 'no-shift') ? ': a work of theirs is longer than any shift' : ''}.`}
        </p>
      )}
      {view === 'what-if' ? (
        <WhatIf facts={facts} drafts={drafts} now={now} mayKeep={mayKeep} />
      ) : (
        <div className="grid grid-cols-1 gap-4 p-4 xl:grid-cols-[20rem_minmax(0,1fr)] lg:grid-cols-[17rem_minmax(0,1fr)]">
          <NowForYou plan={plan} facts={facts} me={me.id} now={now} leaveAt={leaveAt} />
          <div className="grid min-w-0 grid-cols-1 content-start gap-4">
            <PlanDrawing plan={plan} facts={facts} by={view} now={now} />
            <LatePanel plan={plan} facts={facts} now={now} looking={looking !== undefined && looking.over !== 'over'} />
            <p className="flex flex-wrap gap-x-4 text-[13px]">
              <Go className="font-bold text-act" href="/book-in">
                What to promise
              </Go>
              <Go className="font-bold text-act" href="/day/times">
                How long things take
              </Go>
              <a className="font-bold text-act" href="/api/v1/day/sheet.pdf">
                Day sheet for the wall
              </a>
            </p>
          </div>
        </div>
      )}
    </div>
  );
}

/** When the last one leaves today; undefined where nobody is there any more. */
const leaving = (facts: DayFacts, now: number): number | undefined => {
  const today = isoDay(now);
  const ends = facts.people
    .filter((p) => p.skills.length > 0)
    .flatMap((p) => p.shifts.map((s) => facts.now + s.toMin * MINUTE_MS))
    .filter((at) => at > now && isoDay(at) === today);
  return ends.length === 0 ? undefined : Math.max(...ends);
};

/** What is left today: `9 jobs left today for four people, 6.4 h`. */
const sayLeft = (plan: DayPlan, facts: DayFacts, leaveAt: number | undefined, now: number): string => {
  if (leaveAt === undefined) {
    const next = facts.people.flatMap((p) =>
      p.skills.length > 0 && p.shifts[0] !== undefined ? [facts.now + p.shifts[0].fromMin * MINUTE_MS] : [],
    );
    return next.length === 0
      ? 'nobody is at work in the next weeks'
      : `nobody is at work any more today; the plan goes on ${sayWhen(Math.min(...next), now)}`;
  }
  const left = plan.ops.filter((o) => o.op.kind === 'work' && o.startAt < leaveAt && o.endAt > now);
  const people = new Set(left.map((o) => o.personId)).size;
  const hours = left.reduce((sum, o) => sum + (o.endAt - Math.max(now, o.startAt)), 0) / 3_600_000;
  return `${left.length} jobs left today for ${people} ${people === 1 ? 'person' : 'people'}, ${fixed(hours, 1)} h`;
};

function Counts({ plan, now }: { readonly plan: DayPlan; readonly now: number }) {
  const late = lateUnits(plan).length;
  const waiting = plan.ops.filter((o) => o.op.kind === 'wait' && o.stands === 'started' && o.endAt > now).length;
  return (
    <>
      {late > 0 && <b className="text-red">{late} will be late</b>}
      {waiting > 0 && <span className="text-amber">{waiting} waiting</span>}
    </>
  );
}
