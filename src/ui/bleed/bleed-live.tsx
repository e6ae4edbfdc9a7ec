'use client';

import { useMemo, useState } from 'react';
import { BLEED_METHODS } from '@/core/bleed/bleed-method';
import { type BleedMethod, type BleedRules, bleedPlan } from '@/core/bleed/bleed-plan';
import { sayMinutes } from '@/core/bleed/say-bleed';
import type { System } from '@/core/bleed/system';
import { questionOf } from '@/core/bleed/system-question';
import { Go } from '../shell/go';
import { Guide } from './guide';
import type { Odds } from './odds';
import { useBleed } from './use-bleed';

/** The plan as a guide at the machine: which method, then end by end to a firm pedal. */
export function BleedLive({
  system,
  rules,
  odds,
  personId,
}: {
  readonly system: System;
  readonly rules: BleedRules;
  readonly odds: Odds;
  readonly personId: string;
}) {
  const bleed = useBleed(personId);
  const { draft } = bleed;
  const [other, setOther] = useState<'ask' | 'old'>('ask');
  const mine = draft !== null && JSON.stringify(draft.system) === JSON.stringify(system);
  if (draft !== null && !mine && other === 'ask')
    return (
      <div className="grid max-w-lg gap-3">
        <p>
          On this device a bleed of <b>{draft.system.name}</b> is not done yet.
        </p>
        <button type="button" className="btn" onClick={() => setOther('old')}>
          Go on with it
        </button>
        <button type="button" className="btn-quiet" onClick={bleed.end}>
          Leave it, begin {system.name}
        </button>
      </div>
    );
  if (draft === null) return <Begin system={system} rules={rules} onBegin={(method) => bleed.begin(system, method)} />;
  return <Guide key={draft.id} draft={draft} rules={rules} odds={odds} sent={bleed.sent} onChange={bleed.change} onEnd={bleed.end} />;
}

/** The methods side by side, one to be taken. */
function Begin({
  system,
  rules,
  onBegin,
}: {
  readonly system: System;
  readonly rules: BleedRules;
  readonly onBegin: (method: BleedMethod) => void;
}) {
  const plan = useMemo(() => bleedPlan({ ...questionOf(system), rules: null }, rules), [system, rules]);
  return (
    <div className="grid max-w-lg gap-3">
      <p className="text-lg">
        <b>{system.name}</b>: {plan.order.map((s) => s.endId).join(', ')}
      </p>
      <p>By which method?</p>
      {plan.methods.map((m, i) => (
        <button
          key={m.method}
          type="button"
          // biome-ignore lint/a11y/noAutofocus: what is named next has the focus
          autoFocus={i === 1}
          className="btn-quiet grid min-h-16 justify-items-start gap-0 py-2 text-left"
          onClick={() => onBegin(m.method)}
        >
          <span className="text-lg">
            {BLEED_METHODS[m.method].label}, {m.people === 1 ? 'one person' : 'two people'}, {sayMinutes(m.minutes)}
          </span>
          <span className="font-normal text-[13px] text-ink2">{BLEED_METHODS[m.method].risks}</span>
        </button>
      ))}
      <Go href="/sums/bleed" className="inline-flex min-h-[44px] items-center font-bold text-act">
        Another system
      </Go>
    </div>
  );
}
