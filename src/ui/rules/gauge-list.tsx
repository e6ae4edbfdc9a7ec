'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { addInstrumentAction, moveInstrumentAction, newTokenAction, retireInstrumentAction } from '@/app/actions/gauge';
import { type Instrument, sayUnfit, whyUnfit } from '@/core/gauge/instrument';
import { sayRange } from '@/core/gauge/unlikely';
import { sayDia } from '@/core/quantity/say';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import type { Rules } from '@/core/rules/rule-set';
import { branchOf } from '@/core/shop/branch';
import { SelectField } from '../field/select-field';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { useBranches } from '../shell/shop-context';
import { useUnits } from '../shell/units-context';

export type CheckLine = { readonly at: number; readonly by: string; readonly ringMm: number; readonly readMm: number };

type NewGauge = { readonly name: string; readonly fromMm: number | null; readonly toMm: number | null };
const { Text, Length } = fieldsOf<NewGauge>();

/** The shop's gauges: how each stood on its ring, its token if it posts, and new ones. */
export function GaugeList({
  gauges,
  rules,
  now,
  open,
}: {
  readonly gauges: readonly (Instrument & { readonly checks: readonly CheckLine[] })[];
  readonly rules: Rules;
  readonly now: number;
  readonly open: boolean;
}) {
  const [units, branches] = [useUnits(), useBranches()];
  const adding = useAskForm(
    addInstrumentAction,
    { name: '', fromMm: null, toMm: null } as NewGauge,
    (gauge) => ({ id: uuidv7(), ...gauge }),
    () => adding.form.reset(),
  );
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
              {g.range !== null && <span className="text-ink2">{sayRange(g.range, units)}</span>}
              <span className={unfit === undefined ? 'text-ink2' : 'font-bold text-amber'}>
                {unfit === undefined ? 'its ring check holds' : sayUnfit(g.name, unfit)}
              </span>
              {open && (
                <span className="ml-auto flex gap-2">
                  {branches.length > 1 && (
                    <SelectField
                      label={`Branch of ${g.name}`}
                      hideLabel
                      value={branchOf(branches, g.branch)?.id}
                      options={branches.map((b) => ({ value: b.id, text: b.name }))}
                      onSay={(branch) => void ask(moveInstrumentAction, { instrumentId: g.id, branch })}
                    />
                  )}
                  <button
                    type="button"
                    className="btn-quiet"
                    onClick={() =>
                      void ask(newTokenAction, { instrumentId: g.id }).then(
                        (t) => t !== undefined && setTokens({ ...tokens, [g.id]: t.token }),
                      )
                    }
                  >
                    {g.posts ? 'New token' : 'It posts its readings: token'}
                  </button>
                  <button type="button" className="btn-quiet" onClick={() => void ask(retireInstrumentAction, { instrumentId: g.id })}>
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
      <Told lines={told} />
      {open && (
        <ActionFormFrame of={adding} submit="Put it on record" className="mt-3 flex items-end gap-3">
          <Text name="name" label="Another gauge" className="w-64" maxLength={60} />
          <Length name="fromMm" label={`Measures from, ${units.length}`} className="w-36" fine />
          <Length name="toMm" label={`to, ${units.length}`} className="w-28" fine />
        </ActionFormFrame>
      )}
    </>
  );
}
