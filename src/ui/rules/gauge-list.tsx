'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { AddInstrument, WhichInstrument } from '@/core/gauge/gauge-doors';
import { type Instrument, sayUnfit, whyUnfit } from '@/core/gauge/instrument';
import { sayDia } from '@/core/quantity/say';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import type { Units } from '@/core/quantity/units';
import type { Rules } from '@/core/rules/rule-set';
import { type Ask, useAsk } from '../save/use-ask';

export type CheckLine = { readonly at: number; readonly by: string; readonly ringMm: number; readonly readMm: number };

/** The shop's gauges: how each stood on its ring, its token if it posts, and new ones. */
export function GaugeList({
  gauges,
  units,
  rules,
  now,
  open,
  add,
  retire,
  newToken,
}: {
  readonly gauges: readonly (Instrument & { readonly checks: readonly CheckLine[] })[];
  readonly units: Units;
  readonly rules: Rules;
  readonly now: number;
  readonly open: boolean;
  readonly add: Ask<AddInstrument>;
  readonly retire: Ask<WhichInstrument>;
  readonly newToken: Ask<WhichInstrument, { readonly token: string }>;
}) {
  const [name, setName] = useState('');
  const { ask, told } = useAsk();
  const [tokens, setTokens] = useState<Readonly<Record<string, string>>>({});
  return (
    <>
      {gauges.length === 0 && <p className="text-ink2">None is on record yet: then nobody is asked which gauge it was.</p>}
      {gauges.map((g) => {
        const unfit = whyUnfit(g, rules, now);
        return (
          <article key={g.id} className="border-b border-hair bg-sheet px-3 py-2">
            <div className="flex flex-wrap items-center gap-3">
              <h2 className="font-bold">{g.name}</h2>
              <span className={unfit === undefined ? 'text-ink2' : 'font-bold text-amber'}>
                {unfit === undefined ? 'its ring check holds' : sayUnfit(g.name, unfit)}
              </span>
              {open && (
                <span className="ml-auto flex gap-2">
                  <button
                    type="button"
                    className="btn-quiet"
                    onClick={() =>
                      void ask(newToken, { instrumentId: g.id }).then((t) => t !== undefined && setTokens({ ...tokens, [g.id]: t.token }))
                    }
                  >
                    {g.posts ? 'New token' : 'It posts its readings: token'}
                  </button>
                  <button type="button" className="btn-quiet" onClick={() => void ask(retire, { instrumentId: g.id })}>
                    Out of use
                  </button>
                </span>
              )}
            </div>
            {tokens[g.id] !== undefined && (
              <p className="mt-1 border-l-4 border-act pl-3">
                Shown once. It posts to <code className="break-all">/api/v1/devices/{g.id}/readings</code> with{' '}
                <code className="break-all">Authorization: Bearer {tokens[g.id]}</code>
              </p>
            )}
            <ul className="text-ink2">
              {g.checks.map((c) => (
                <li key={c.at} title={sayFullDate(c.at)}>
                  {sayWhen(c.at, now)}, {c.by}: {sayDia(c.readMm, units)} on {sayDia(c.ringMm, units)} {units.length}
                </li>
              ))}
            </ul>
          </article>
        );
      })}
      {told.map((t) => (
        <p key={t} role="alert" className="mt-2 border-l-4 border-red bg-sheet px-3 py-1 text-red">
          {t}
        </p>
      ))}
      {open && (
        <form
          className="mt-3 flex items-end gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            void ask(add, { id: uuidv7(), name }).then((made) => made !== undefined && setName(''));
          }}
        >
          <label className="label mb-0">
            Another gauge
            <input className="field w-64 text-ink" value={name} maxLength={60} onChange={(e) => setName(e.target.value)} />
          </label>
          <button type="submit" className="btn" disabled={name.trim().length < 2}>
            Put it on record
          </button>
        </form>
      )}
    </>
  );
}
