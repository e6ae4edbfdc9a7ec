'use client';

import { useEffect, useMemo, useRef } from 'react';
import type { BleedDeed, BleedEvent } from '@/core/bleed/bleed-event';
import { type BleedNow, bleedNow, CLEAR_S, undone } from '@/core/bleed/bleed-guide';
import { BLEED_METHODS, firstSteps, LAST_STEP, RENEW_STEP } from '@/core/bleed/bleed-method';
import { type BleedRules, bleedPlan } from '@/core/bleed/bleed-plan';
import { oddAdvice } from '@/core/bleed/say-bleed';
import { questionOf } from '@/core/bleed/system-question';
import { Told } from '../save/told';
import { chime } from '../shell/sound';
import { useNow } from '../shell/use-now';
import { Scroll } from '../unit/scroll';
import { BleedDone } from './bleed-done';
import type { Odds } from './odds';
import { PedalForm } from './pedal-form';
import { Spongy } from './spongy';
import { SystemView } from './system-view';
import type { BleedDraft, Sent } from './use-bleed';

/** End by end at the machine: what to do now, one big key, and when to top up. */
export function Guide({
  draft,
  rules,
  odds,
  sent,
  onChange,
  onEnd,
}: {
  readonly draft: BleedDraft;
  readonly rules: BleedRules;
  readonly odds: Odds;
  readonly sent: Sent;
  readonly onChange: (events: readonly BleedEvent[]) => void;
  readonly onEnd: () => void;
}) {
  const { system, method, events } = draft;
  const plan = useMemo(() => bleedPlan({ ...questionOf(system), rules: null }, rules), [system, rules]);
  const steps = useMemo(() => [...firstSteps(system.master.kind === 'lever'), ...(system.renewReservoir ? [RENEW_STEP] : [])], [system]);
  const clock = useNow(method !== 'pump') ?? draft.startedAt;
  const now = bleedNow(plan, method, steps.length, events, clock);
  const low = now.kind === 'fill' && now.because === 'low';
  useEffect(() => {
    if (!low) return;
    chime([880, 880, 1175]);
    navigator.vibrate?.([200, 100, 200]);
  }, [low]);
  useEffect(() => {
    // A tablet that goes dark in the middle of a stroke is of no use.
    const lock = navigator.wakeLock?.request('screen').catch(() => undefined);
    return () => void lock?.then((l) => l?.release());
  }, []);
  const add = (event: BleedDeed): void => onChange([...events, { ...event, at: Date.now() } as BleedEvent]);
  const round = events.slice(events.findLastIndex((e) => e.kind === 'spongy') + 1);
  const filled = plan.order.filter((s) => round.some((e) => e.kind === 'clear' && e.endId === s.endId)).length;
  const said = sayNow(now, method, steps);
  return (
    <div className="grid max-w-3xl grid-cols-[minmax(0,1fr)] gap-3 pb-56">
      <p className="flex flex-wrap gap-x-4 text-ink2">
        <b className="text-ink">{system.name}</b>
        <span>by {BLEED_METHODS[method].label}</span>
        <span data-testid="sent">{saySent(sent)}</span>
      </p>
      {sent.kind === 'refused' && <Told lines={sent.why} />}
      {said !== undefined && (
        <section aria-label="Now" aria-live="assertive" className={low ? 'flash border-4 border-amber p-3' : 'p-3'}>
          <h2 className="text-2xl font-bold">{said.head}</h2>
          {said.lines.map((l) => (
            <p key={l} className="mt-1 text-lg">
              {l}
            </p>
          ))}
          {said.figure !== null && (
            <p className="mt-2 text-5xl font-bold tabular-nums" data-testid="count">
              {said.figure}
            </p>
          )}
          {said.after !== null && <p className="mt-1 text-lg text-ink2">{said.after}</p>}
        </section>
      )}
      {endOf(now) !== undefined &&
        oddAdvice(system.ends.filter((e) => e.id === endOf(now))).map((a) => (
          <p key={a.says} className="border-l-4 border-amber pl-3">
            {a.says} {a.toDo}
          </p>
        ))}
      {now.kind === 'pedal' && (
        <PedalForm system={system} onFirm={(travelMm) => add({ kind: 'firm', travelMm })} onSpongy={() => add({ kind: 'spongy' })} />
      )}
      {now.kind === 'spongy' && <Spongy draft={draft} odds={odds} onAgain={() => add({ kind: 'filled' })} />}
      {now.kind === 'done' && <BleedDone draft={draft} travelMm={now.travelMm} sent={sent} onEnd={onEnd} />}
      <Scroll label="The system, drawn">
        <SystemView system={system} plan={plan} filled={filled} />
      </Scroll>
      <Keys now={now} events={events} add={add} onUndo={() => onChange(undone(events))} />
    </div>
  );
}

/** The end that is being done; none before and after. */
const endOf = (now: BleedNow): string | undefined => ('step' in now && typeof now.step === 'object' ? now.step.endId : undefined);

const saySent = (sent: Sent): string => {
  switch (sent.kind) {
    case 'saved':
      return 'Saved.';
    case 'sending':
      return 'Kept on this device.';
    case 'no-line':
      return 'No connection: kept on this device, and sent when it is back.';
    case 'refused':
      return 'Not saved.';
  }
};

type Said = { readonly head: string; readonly lines: readonly string[]; readonly figure: string | null; readonly after: string | null };
const mmss = (s: number): string => `${Math.floor(Math.max(0, s) / 60)}:${String(Math.floor(Math.max(0, s) % 60)).padStart(2, '0')}`;

/** What is said above the key. */
const sayNow = (now: BleedNow, method: BleedDraft['method'], steps: readonly string[]): Said | undefined => {
  const words = BLEED_METHODS[method];
  const plainly = (head: string, lines: readonly string[] = []): Said => ({ head, lines, figure: null, after: null });
  switch (now.kind) {
    case 'prepare':
      return plainly(`Before the first screw, ${now.step + 1} of ${steps.length}`, [steps[now.step] ?? '']);
    case 'fill':
      return now.because === 'low'
        ? plainly('Top up now', ['The reservoir is down to where it would draw air.'])
        : plainly(`${now.step.endId}: fill the reservoir first`, words.opens);
    case 'open':
      return plainly(`${now.step.endId}: open it`, words.opens.slice(1));
    case 'stroke':
      return {
        head: now.step.endId,
        lines: words.stroke,
        figure: `${now.done + 1} of ${now.step.strokes}`,
        after:
          now.untilFill === null
            ? 'Keep the reservoir full all the while.'
            : `Top up in ${now.untilFill} ${now.untilFill === 1 ? 'stroke' : 'strokes'}.`,
      };
    case 'runs':
      return {
        head: `${now.step.endId} runs`,
        lines: words.closes,
        figure: now.leftS === null ? mmss(now.ranS) : now.leftS > 0 ? mmss(now.leftS) : '0:00',
        after:
          now.leftS === null
            ? 'How fast it runs is not known: watch hose and reservoir.'
            : now.leftS > 0
              ? `until all of it is through${now.untilFillS === null ? '' : `; top up in ${mmss(now.untilFillS)}`}`
              : 'All of it is through, as it was worked out: see that it is clear.',
      };
    case 'clear?':
      return plainly(`${now.step.endId}: no bubble, and as clear as from the bottle?`, [`${now.done} strokes. ${words.closes[0] ?? ''}`]);
    case 'outlet':
      return plainly('The outlet at the master', [LAST_STEP]);
    case 'pedal':
      return plainly('Is it firm?', ['Press with the usual force and hold for a minute. Look at every union, cap and screw.']);
    case 'spongy':
    case 'done':
      return undefined;
  }
};

type Key = { readonly text: string; readonly event: BleedDeed; readonly waits?: boolean };

/** What the big key does now; none where a form or a list stands for it. */
const keyOf = (now: BleedNow): Key | undefined => {
  switch (now.kind) {
    case 'prepare':
      return { text: 'Done', event: { kind: 'prepared', step: now.step } };
    case 'fill':
      return { text: now.because === 'low' ? 'Topped up' : 'Filled', event: { kind: 'filled' } };
    case 'open':
      return { text: 'It is open', event: { kind: 'opened', endId: now.step.endId } };
    case 'stroke':
      return { text: 'Stroke made', event: { kind: 'stroke', endId: now.step.endId } };
    case 'runs':
      return { text: 'Clear: screw closed', event: { kind: 'clear', endId: now.step.endId }, waits: now.ranS < CLEAR_S };
    case 'clear?':
      return { text: 'Clear: screw closed', event: { kind: 'clear', endId: now.step.endId } };
    case 'outlet':
      return { text: 'Done, tight and wiped', event: { kind: 'outlet' } };
    case 'pedal':
    case 'spongy':
    case 'done':
      return undefined;
  }
};

/** The big key at the thumb, and beside it what takes the last press back. It keeps the focus from step to step. */
function Keys({
  now,
  events,
  add,
  onUndo,
}: {
  readonly now: BleedNow;
  readonly events: readonly BleedEvent[];
  readonly add: (event: BleedDeed) => void;
  readonly onUndo: () => void;
}) {
  const big = useRef<HTMLButtonElement>(null);
  const key = keyOf(now);
  const waits = key?.waits === true;
  // biome-ignore lint/correctness/useExhaustiveDependencies: whenever another thing is to be done, its key has the focus
  useEffect(() => big.current?.focus({ preventScroll: true }), [now.kind, waits]);
  if (now.kind === 'done') return null;
  return (
    <div className="fixed inset-x-0 bottom-0 z-20 grid gap-2 border-t border-line bg-plate p-3">
      {now.kind === 'clear?' && (
        <button
          type="button"
          className="btn-quiet"
          onClick={() => add((now.untilFill ?? 1) <= 0 ? { kind: 'filled' } : { kind: 'stroke', endId: now.step.endId })}
        >
          {(now.untilFill ?? 1) <= 0 ? 'Topped up: go on' : 'Not yet: another stroke'}
        </button>
      )}
      {key !== undefined && (
        <button ref={big} type="button" className="btn min-h-28 w-full text-2xl" disabled={waits} onClick={() => add(key.event)}>
          {waits ? `Clear for ${CLEAR_S} seconds first` : key.text}
        </button>
      )}
      {events.length > 0 && (
        <button type="button" className="min-h-[44px] justify-self-start font-bold text-act" onClick={onUndo}>
          Take the last press back
        </button>
      )}
    </div>
  );
}
