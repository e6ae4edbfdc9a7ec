'use client';

import { useMemo, useState } from 'react';
import { dropDraftAction, keepDraftAction } from '@/app/actions/day';
import type { UnitKind } from '@/core/family/family-name';
import { onClock } from '@/core/locale';
import type { DayFacts } from '@/core/plan/day-facts';
import type { Comparison } from '@/core/plan/helps';
import { type Draft, type Supposed, saySupposed } from '@/core/plan/what-if';
import { saySpan, sayWhen } from '@/core/quantity/say-time';
import { PLACE_KIND_WORDS } from '@/core/shop/settings';
import { Choices } from '../field/choices';
import { MomentField } from '../field/moment-field';
import { CountField } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { useWorker } from '../shell/use-worker';
import { sayLate } from './late-panel';
import type { WhatIfAnswer, WhatIfInput } from './what-if.worker';

const openWorker = (): Worker => new Worker(new URL('./what-if.worker.ts', import.meta.url), { type: 'module' });
const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;

/** Kinds of supposition that a person makes here; the others are found by the page itself. */
const KINDS = {
  away: 'somebody is away',
  'bench-down': 'a bench is out of use',
  'more-units': 'more units come in',
  rush: 'a rush job',
  'more-hours': 'somebody stays longer',
} as const;
type Kind = keyof typeof KINDS;

/** The shop as it is not: what is supposed, and what the plan would be beside today's. Kept as a draft or dropped; nothing here changes the plan. */
export function WhatIf({
  facts,
  drafts,
  now,
  mayKeep,
}: {
  readonly facts: DayFacts;
  readonly drafts: readonly Draft[];
  readonly now: number;
  readonly mayKeep: boolean;
}) {
  const [supposed, setSupposed] = useState<readonly Supposed[]>([]);
  const input = useMemo((): WhatIfInput => ({ facts, supposed }), [facts, supposed]);
  const answer = useWorker<WhatIfInput, WhatIfAnswer>(openWorker, input);
  const nameOf = (id: string): string => facts.people.find((p) => p.id === id)?.name ?? 'somebody who has left';
  const labelOf = (family: string): string => facts.usual.find((u) => u.family === family)?.label ?? family;
  const say = (s: Supposed): string => saySupposed(s, now, nameOf, labelOf);
  const isAnswered =
    answer !== undefined &&
    answer.supposed.length === supposed.length &&
    answer.supposed.every((s, i) => JSON.stringify(s) === JSON.stringify(supposed[i]));
  return (
    <div className="grid grid-cols-1 gap-4 p-4 lg:grid-cols-[24rem_minmax(0,1fr)]">
      <div className="grid content-start gap-4">
        <section aria-label="Suppose" className="border border-line bg-sheet p-3">
          <h2 className="head mb-2">SUPPOSE</h2>
          <Suppose facts={facts} now={now} onAdd={(s) => setSupposed([...supposed, s])} />
          {supposed.length > 0 && (
            <ul className="mt-3 border-t border-line">
              {supposed.map((s, i) => (
                <li key={JSON.stringify([s, i])} className="flex items-center gap-2 border-b border-hair py-1">
                  <b>{say(s)}</b>
                  <button
                    type="button"
                    className="ml-auto min-h-[44px] font-bold text-act"
                    aria-label={`No longer suppose: ${say(s)}`}
                    onClick={() => setSupposed(supposed.filter((_, j) => j !== i))}
                  >
                    Take back
                  </button>
                </li>
              ))}
            </ul>
          )}
        </section>
        <Drafts drafts={drafts} supposed={supposed} mayKeep={mayKeep} now={now} onOpen={setSupposed} />
      </div>
      <section aria-label="Beside today’s plan" className="border border-line bg-sheet p-3">
        <h2 className="head mb-1">BESIDE TODAY’S PLAN · NOTHING OF IT IS TRUE YET</h2>
        {supposed.length === 0 ? (
          <p className="text-ink2">Suppose something at the left: the plan is made again with it, and stands here beside today’s.</p>
        ) : isAnswered ? (
          <Beside comparison={answer.comparison} now={now} />
        ) : (
          <p role="status" className="text-ink2">
            Planning again …
          </p>
        )}
      </section>
    </div>
  );
}

function Beside({ comparison: c, now }: { readonly comparison: Comparison; readonly now: number }) {
  return (
    <>
      <p className="text-[17px]">
        Lateness {saySpan(c.latenessWas * MINUTE_MS)} →{' '}
        <b className={c.latenessWill > c.latenessWas ? 'text-red' : ''}>{saySpan(c.latenessWill * MINUTE_MS)}</b>; {c.lateWas} late →{' '}
        <b>{c.lateWill} late</b>.
      </p>
      {c.noRoom.length > 0 && <p className="text-red">No room in six weeks for {c.noRoom.join(', ')}.</p>}
      {c.moved.length === 0 ? (
        <p className="mt-2">No unit is ready at another time.</p>
      ) : (
        <table className="mt-2 w-full">
          <caption className="text-left text-[13px] text-ink2">
            {c.moved.length} {c.moved.length === 1 ? 'unit is' : 'units are'} ready at another time
          </caption>
          <thead>
            <tr>
              {['Unit', 'Promised', 'Ready today', 'Ready then', ''].map((h) => (
                <th key={h} scope="col" className="th">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {c.moved.map((m) => (
              <tr key={m.tag}>
                <th scope="row" className="cell">
                  {m.tag}
                </th>
                <td className="cell">{sayWhen(m.dueAt, now)}</td>
                <td className="cell">{m.was === null ? 'not there' : sayWhen(m.was, now)}</td>
                <td className="cell">{m.will === null ? 'no room' : sayWhen(m.will, now)}</td>
                <td className={`cell ${m.will === null || m.will > m.dueAt ? 'text-red' : 'text-ink2'}`}>{sayLate(m)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

/** One supposition more. */
function Suppose({ facts, now, onAdd }: { readonly facts: DayFacts; readonly now: number; readonly onAdd: (s: Supposed) => void }) {
  const able = facts.people.filter((p) => p.skills.length > 0);
  const [kind, setKind] = useState<Kind>('away');
  const [personId, setPersonId] = useState(able[0]?.id ?? '');
  const [bench, setBench] = useState(facts.benches.at(-1)?.id ?? 'rig');
  const [family, setFamily] = useState<UnitKind>('wheel-double');
  const [units, setUnits] = useState<number | null>(20);
  const [hours, setHours] = useState<number | null>(1);
  const [fromAt, setFrom] = useState<number | null>(now);
  const [untilAt, setUntil] = useState<number | null>(endOfWork(now + DAY_MS));
  const made = madeOf({ kind, personId, bench, family, units, hours, fromAt, untilAt, now });
  const person = (
    <SelectField label="Who" value={personId} options={able.map((p) => ({ value: p.id, text: p.name }))} onSay={setPersonId} />
  );
  const families = (
    <SelectField
      label="Kind of unit"
      value={family}
      options={facts.usual.map((u) => ({ value: u.family, text: u.label }))}
      onSay={(f) => setFamily(f as UnitKind)}
    />
  );
  const fields = (): React.ReactNode => {
    switch (kind) {
      case 'away':
        return (
          <>
            {person}
            <MomentField label="From" value={fromAt} onSay={setFrom} hour={7} className="w-full" />
            <MomentField label="Until" value={untilAt} onSay={setUntil} hour={18} className="w-full" />
          </>
        );
      case 'more-hours':
        return (
          <>
            {person}
            <CountField label="Hours longer, on the next day of work" value={hours} onSay={setHours} to={8} />
          </>
        );
      case 'bench-down':
        return (
          <>
            <SelectField
              label="Which bench"
              value={bench}
              options={facts.benches.map((b) => ({ value: b.id, text: PLACE_KIND_WORDS[b.id] }))}
              onSay={(b) => setBench(b as typeof bench)}
            />
            <MomentField label="Until" value={untilAt} onSay={setUntil} hour={8} className="w-full" />
          </>
        );
      case 'more-units':
        return (
          <>
            {families}
            <CountField label="How many" value={units} onSay={setUnits} to={100} />
            <MomentField label="They come" value={fromAt} onSay={setFrom} hour={8} className="w-full" />
            <MomentField label="Promised for" value={untilAt} onSay={setUntil} className="w-full" />
          </>
        );
      case 'rush':
        return (
          <>
            {families}
            <MomentField label="Promised for" value={untilAt} onSay={setUntil} className="w-full" />
          </>
        );
    }
  };
  return (
    <form
      className="grid gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (made !== undefined) onAdd(made);
      }}
    >
      <Choices
        label="What"
        wrap
        value={kind}
        onPick={setKind}
        options={Object.entries(KINDS).map(([value, text]) => ({ value: value as Kind, text }))}
      />
      {fields()}
      {made === undefined && <p className="text-[13px] text-ink2">Fill in what and when; an end lies after its beginning.</p>}
      <button type="submit" className="btn justify-self-start" disabled={made === undefined}>
        Suppose it
      </button>
    </form>
  );
}

/** The end of a day's work, as a promise means it. */
const endOfWork = (at: number): number => onClock(at).setHours(16, 0, 0, 0);

type Filled = {
  readonly kind: Kind;
  readonly personId: string;
  readonly bench: DayFacts['benches'][number]['id'];
  readonly family: UnitKind;
  readonly units: number | null;
  readonly hours: number | null;
  readonly fromAt: number | null;
  readonly untilAt: number | null;
  readonly now: number;
};
/** What the form says, whole; undefined while something is missing or the wrong way round. */
const madeOf = ({ kind, personId, bench, family, units, hours, fromAt, untilAt, now }: Filled): Supposed | undefined => {
  const ahead = untilAt !== null && untilAt > now;
  switch (kind) {
    case 'away':
      return fromAt === null || !ahead || untilAt <= fromAt ? undefined : { kind, personId, fromAt, untilAt };
    case 'more-hours':
      return hours === null || hours < 1 ? undefined : { kind, personId, minutes: hours * 60 };
    case 'bench-down':
      return ahead ? { kind, bench, untilAt } : undefined;
    case 'more-units':
      return units === null || units < 1 || fromAt === null || !ahead ? undefined : { kind, family, units, fromAt, dueAt: untilAt };
    case 'rush':
      return ahead ? { kind: 'more-units', family, units: 1, fromAt: now, dueAt: untilAt } : undefined;
  }
};

/** Suppositions that somebody kept. */
function Drafts({
  drafts,
  supposed,
  mayKeep,
  now,
  onOpen,
}: {
  readonly drafts: readonly Draft[];
  readonly supposed: readonly Supposed[];
  readonly mayKeep: boolean;
  readonly now: number;
  readonly onOpen: (supposed: readonly Supposed[]) => void;
}) {
  const { ask, asking, told } = useAsk();
  const [name, setName] = useState('');
  if (!mayKeep && drafts.length === 0) return null;
  return (
    <section aria-label="Drafts" className="border border-line bg-sheet p-3">
      <h2 className="head mb-1">DRAFTS</h2>
      {drafts.map((d) => (
        <div key={d.id} className="flex flex-wrap items-center gap-x-2 border-b border-hair py-1">
          <button type="button" className="min-h-[44px] font-bold text-act" onClick={() => onOpen(d.supposed)}>
            {d.name}
          </button>
          <span className="text-[13px] text-ink2">
            {d.by}, {sayWhen(d.at, now)}
          </span>
          {mayKeep && (
            <button
              type="button"
              className="ml-auto min-h-[44px] text-act"
              disabled={asking}
              aria-label={`Drop the draft ${d.name}`}
              onClick={() => void ask(dropDraftAction, { id: d.id })}
            >
              Drop
            </button>
          )}
        </div>
      ))}
      {mayKeep && (
        <form
          className="mt-2 flex flex-wrap items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            void ask(keepDraftAction, { name, supposed: [...supposed] }).then((done) => done !== undefined && setName(''));
          }}
        >
          <TextField label="Keep this as" value={name} onSay={setName} className="w-48" maxLength={80} />
          <button type="submit" className="btn-quiet" disabled={asking || supposed.length === 0}>
            Keep
          </button>
        </form>
      )}
      <Told lines={told} />
    </section>
  );
}
