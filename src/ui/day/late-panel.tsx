'use client';

import { useMemo, useState } from 'react';
import type { DayFacts } from '@/core/plan/day-facts';
import { type DayPlan, lateUnits, type Moved } from '@/core/plan/day-plan';
import { type Help, sayHelpful } from '@/core/plan/helps';
import { sayReasons } from '@/core/plan/late';
import { sayFullDate, saySpan, sayWhen } from '@/core/quantity/say-time';
import { Tag } from '../drawing/tag';
import { Go } from '../shell/go';
import { useWorker } from '../shell/use-worker';
import type { HelpsFound, HelpsInput } from './helps.worker';

const openWorker = (): Worker => new Worker(new URL('./helps.worker.ts', import.meta.url), { type: 'module' });
const MINUTE_MS = 60_000;

/** Units that will be late, each with what it waits for, and what would change that, found by planning again. Nothing is applied by itself. */
export function LatePanel({
  plan,
  facts,
  now,
  looking,
}: {
  readonly plan: DayPlan;
  readonly facts: DayFacts;
  readonly now: number;
  /** A better plan is still looked for: what helps is asked of that one. */
  readonly looking: boolean;
}) {
  const late = lateUnits(plan);
  const [stopped, setStopped] = useState(false);
  const input = useMemo(
    (): HelpsInput => (stopped || looking || late.length === 0 ? null : { facts, plan }),
    [facts, plan, stopped, looking, late.length],
  );
  const found = useWorker<HelpsInput, HelpsFound>(openWorker, input);
  const nameOf = (id: string): string => facts.people.find((p) => p.id === id)?.name ?? id;
  const labelOf = (family: string): string => facts.usual.find((u) => u.family === family)?.label ?? family;
  if (late.length === 0)
    return (
      <section aria-label="Will be late" className="border border-line bg-sheet p-3">
        <h2 className="head">WILL BE LATE</h2>
        <p>None of them, as it stands.</p>
      </section>
    );
  return (
    <section aria-label="Will be late, and what would change it" className="border border-line bg-sheet p-3">
      <h2 className="head mb-1">WILL BE LATE, AND WHAT WOULD CHANGE IT</h2>
      <ul>
        {late.map((u) => (
          <li
            key={u.unit.tag}
            className="grid grid-cols-[6.5rem_13rem_1fr] items-center gap-x-3 border-b border-hair py-1 max-md:grid-cols-1"
          >
            <Go href={`/units/${u.unit.tag}`} aria-label={`Open ${u.unit.tag}`}>
              <Tag text={u.unit.tag} />
            </Go>
            <span>
              <span title={sayFullDate(u.unit.dueAt)}>{sayWhen(u.unit.dueAt, now)}</span> →{' '}
              <b className="text-red" title={u.finishAt === null ? '' : sayFullDate(u.finishAt)}>
                {u.finishAt === null ? 'no room' : sayWhen(u.finishAt, now)}
              </b>
            </span>
            <span>{sayReasons(u, plan, facts, nameOf)}</span>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-x-3 pt-2" role="status">
        {found === undefined || found.tried < found.of ? (
          <>
            <span className="text-ink2">
              {stopped ? 'Stopped. ' : 'Planning again with what might help: '}
              {found?.tried ?? 0} of {found?.of ?? '…'} tried
            </span>
            <button type="button" className="btn-quiet" onClick={() => setStopped(!stopped)}>
              {stopped ? 'Try again' : 'Stop'}
            </button>
          </>
        ) : (
          <span className="text-ink2">
            {found.best.length === 0
              ? `None of ${found.of} things tried helps: not a place at the front, an hour more of anybody, nor a courier.`
              : `What helps most, of ${found.of} tried:`}
          </span>
        )}
      </div>
      <ul>
        {(found?.best ?? []).map((h) => (
          <li
            key={JSON.stringify(h.helpful)}
            className="grid grid-cols-[15rem_13rem_1fr] gap-x-3 border-t border-hair py-1.5 max-md:grid-cols-1"
          >
            <b>{sayHelpful(h.helpful, now, nameOf, labelOf)}</b>
            <span>
              lateness {saySpan((h.latenessMin + h.savedMin) * MINUTE_MS)} → <b>{saySpan(h.latenessMin * MINUTE_MS)}</b>
            </span>
            <span className="text-ink2">{sayMoved(h, now)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** So many are named; the others are counted. */
const NAMED = 4;
/** Which promises it changes: `SQ-0033 on time; SQ-0018 0:20 late`. */
const sayMoved = ({ moved }: Pick<Help, 'moved'>, now: number): string => {
  const changed = moved.filter((m) => isLate(m.was, m) || isLate(m.will, m));
  const said = changed.slice(0, NAMED).map((m) => sayMove(m, now));
  const rest = changed.length - said.length;
  return `${said.join('; ')}${rest > 0 ? `; ${rest} more` : ''}.`;
};
const isLate = (at: number | null, m: Moved): boolean => at === null || at > m.dueAt;
export const sayMove = (m: Moved, now: number): string => `${m.tag} ${sayLate(m)}${m.will === null ? '' : `, ${sayWhen(m.will, now)}`}`;
/** How another plan leaves a unit: `on time`, `2 h 10 late`. */
export const sayLate = (m: Moved): string =>
  m.will === null ? 'has no room' : m.will <= m.dueAt ? 'on time' : `${saySpan(m.will - m.dueAt)} late`;
