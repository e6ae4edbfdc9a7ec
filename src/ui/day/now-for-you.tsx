'use client';

import { useEffect, useRef, useState } from 'react';
import { unpinAction } from '@/app/actions/day';
import type { DayFacts } from '@/core/plan/day-facts';
import { type DayPlan, type PlannedUnit, type Stretch, throughTheNight, workOf } from '@/core/plan/day-plan';
import { sayPin, sayTurn } from '@/core/plan/say-next';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { PLACE_KIND_WORDS } from '@/core/shop/settings';
import { Tag } from '../drawing/tag';
import { SelectField } from '../field/select-field';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { Go } from '../shell/go';
import { PinForm } from './pin-form';

const MINUTE_MS = 60_000;
/** What comes after it, as far as a page needs. */
const NEXT = 6;

/** What a person does now, what comes then, what would work through the night, and what is pinned. */
export function NowForYou({
  plan,
  facts,
  me,
  now,
  leaveAt,
}: {
  readonly plan: DayPlan;
  readonly facts: DayFacts;
  readonly me: string;
  readonly now: number;
  readonly leaveAt: number | undefined;
}) {
  const own = workOf(plan, me).filter((o) => o.endAt > now || o.stands === 'started');
  /** What is being pinned stays where it is until that is done, whatever the plan does meanwhile. */
  const [held, setHeld] = useState<Stretch>();
  const [next, ...then] = own;
  const first = held ?? next;
  const night = throughTheNight(plan, leaveAt);
  return (
    <div className="grid content-start gap-4">
      <section aria-label="Now, for you">
        <h2 className="head mb-1">NOW, FOR YOU</h2>
        {first === undefined ? (
          <p className="border border-line bg-sheet p-3">
            Nothing is planned for you: what is on the rack waits, or others do it. What a person does, and when, stands under Shop, People.
          </p>
        ) : (
          <Turn
            key={`${first.tag} ${first.ops[0].op.id}`}
            op={first}
            unit={plan.units.find((u) => u.unit.tag === first.tag)}
            facts={facts}
            now={now}
            notNow={held !== undefined}
            onNotNow={(on) => setHeld(on ? first : undefined)}
          />
        )}
      </section>
      {then.length > 0 && (
        <section aria-label="Then">
          <h2 className="head">THEN</h2>
          <ol>
            {then.slice(0, NEXT).map((o) => (
              <li
                key={`${o.tag} ${o.ops[0].op.id}`}
                className="grid grid-cols-[5.5rem_auto_1fr] items-center gap-2 border-b border-hair py-1.5"
              >
                <span title={sayFullDate(o.startAt)}>{sayWhen(o.startAt, now).replace('today ', '')}</span>
                <Go href={`/units/${o.tag}/${o.ops[0].op.station}`} aria-label={`${o.tag}, ${o.words}`}>
                  <Tag text={o.tag} />
                </Go>
                <span>
                  {o.words} <span className="text-[13px] text-ink2">{minutesOf(o)} min</span>
                </span>
              </li>
            ))}
          </ol>
          {then.length > NEXT && <p className="pt-1 text-[13px] text-ink2">and {then.length - NEXT} more in the coming weeks</p>}
        </section>
      )}
      {night.length > 0 && (
        <section aria-label="Start before you leave">
          <h2 className="font-bold">Start before you leave</h2>
          <ul className="text-[13px]">
            {night.map((o) => (
              <li key={`${o.tag} ${o.op.id}`} className="py-0.5">
                {sayWhen(o.startAt, now)} {o.op.words} on{' '}
                <Go className="font-bold text-act underline" href={`/units/${o.tag}/${o.op.station}`}>
                  {o.tag}
                </Go>
                : it works through the night, until {sayWhen(o.endAt, now)}.
              </li>
            ))}
          </ul>
        </section>
      )}
      <Pinned facts={facts} now={now} />
    </div>
  );
}

const minutesOf = (o: Stretch): number => Math.max(1, Math.round((o.endAt - o.startAt) / MINUTE_MS));

function Turn({
  op,
  unit,
  facts,
  now,
  notNow,
  onNotNow,
}: {
  readonly op: Stretch;
  readonly unit: PlannedUnit | undefined;
  readonly facts: DayFacts;
  readonly now: number;
  readonly notNow: boolean;
  readonly onNotNow: (on: boolean) => void;
}) {
  const open = useRef<HTMLAnchorElement>(null);
  // Enter opens it; what somebody is at elsewhere on the page keeps the focus.
  useEffect(() => {
    if (document.activeElement === document.body) open.current?.focus();
  }, []);
  const bench = op.ops.map((o) => o.op.bench).find((b) => b !== undefined);
  const begun = op.stands === 'started';
  return (
    <div className="border border-act bg-tint2 p-3">
      <div className="flex items-center gap-2">
        <Tag text={op.tag} />
        <span className="text-[13px] text-ink2">{unit?.unit.label}</span>
      </div>
      <p className="mt-1.5 text-[22px] leading-tight font-bold">{op.words}</p>
      <p>
        {[
          bench === undefined ? undefined : PLACE_KIND_WORDS[bench],
          begun
            ? op.ops[0].op.presumed === undefined
              ? 'you are at it'
              : 'by the plan you are at it'
            : op.startAt > now + MINUTE_MS
              ? `from ${sayWhen(op.startAt, now).replace('today ', '')}`
              : undefined,
          `about ${minutesOf(op)} min`,
          `until ${sayWhen(op.endAt, now).replace('today ', '')}`,
        ]
          .filter((w) => w !== undefined)
          .join(' · ')}
      </p>
      {unit !== undefined && <p className="mt-1.5 text-ink2">{sayTurn(unit, facts.pins, now)}</p>}
      <p className="mt-3 flex flex-wrap gap-3">
        <Go data-key="Enter" href={`/units/${op.tag}/${op.ops[0].op.station}`} className="btn" ref={open}>
          Open it <span aria-hidden>↵</span>
        </Go>
        <button type="button" className="min-h-[44px] font-bold text-act" aria-expanded={notNow} onClick={() => onNotNow(!notNow)}>
          Not now …
        </button>
      </p>
      {notNow && unit !== undefined && <PinForm unit={unit.unit} facts={facts} now={now} onDone={() => onNotNow(false)} />}
    </div>
  );
}

/** What somebody wants of the plan, shown as such, taken off by a press. */
function Pinned({ facts, now }: { readonly facts: DayFacts; readonly now: number }) {
  const { ask, asking, told } = useAsk();
  const shown = facts.pins.flatMap((pin) => {
    const unit = facts.units.find((u) => u.id === pin.unitId);
    return unit === undefined ? [] : [{ pin, unit }];
  });
  return (
    <section aria-label="Pinned">
      <h2 className="head">{shown.length === 0 ? 'NOTHING IS PINNED' : 'PINNED'}</h2>
      <ul>
        {shown.map(({ pin, unit }) => (
          <li key={pin.id} className="flex flex-wrap items-center gap-x-2 border-b border-hair py-1">
            <Tag text={unit.tag} /> <b>{sayPin(pin, unit, now, facts.people)}</b>
            <span className="text-[13px] text-ink2">
              {pin.by}, {sayWhen(pin.madeAt, now)}: {pin.why}
            </span>
            <button
              type="button"
              className="ml-auto min-h-[44px] font-bold text-act"
              disabled={asking}
              aria-label={`Take the pin off ${unit.tag}`}
              onClick={() => void ask(unpinAction, { id: pin.id })}
            >
              Take off
            </button>
          </li>
        ))}
      </ul>
      <Told lines={told} />
      <PinAnother facts={facts} now={now} />
    </section>
  );
}

/** Any unit of the plan may be pinned. */
function PinAnother({ facts, now }: { readonly facts: DayFacts; readonly now: number }) {
  const [tag, setTag] = useState<string | null>(null);
  const unit = facts.units.find((u) => u.tag === tag);
  return (
    <>
      <SelectField
        label="Pin a unit"
        none="which one …"
        value={tag}
        options={facts.units.map((u) => ({ value: u.tag, text: `${u.tag} ${u.label}` }))}
        onSay={setTag}
      />
      {unit !== undefined && <PinForm key={unit.id} unit={unit} facts={facts} now={now} onDone={() => setTag(null)} />}
    </>
  );
}
