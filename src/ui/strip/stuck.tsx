'use client';

import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { treatAction } from '@/app/actions/strip';
import { fixed } from '@/core/quantity/figure';
import { pressureIn, sayForce, sayPressure } from '@/core/quantity/say';
import { sayFullDate } from '@/core/quantity/say-time';
import { ladderFor, type PushLimit, pushForceN, type Rung, type StuckBody } from '@/core/strip/stuck';
import type { Treatment } from '@/core/strip/treatment';
import { METHODS, RESULT_WORDS, STUCK_STATES, STUCK_WORDS, type StuckState, type TreatmentResult } from '@/core/strip/treatment';
import { Choices } from '../field/choices';
import { NumberField, PressureField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';

/** Shop air, bar: what a line gives when nobody turns it down. */
const SHOP_AIR_BAR = 6;

/** What to do when it will not come apart: methods from mild to rough, each with its hazard, its limit and what it leaves behind; every try is logged. */
export function Stuck({ body: offers, treatments }: { readonly body: StuckBody; readonly treatments: readonly Treatment[] }) {
  const units = useUnits();
  const { rules } = useStation();
  const { save, saving, decide } = useSave(treatAction, 'adds');
  const tried = treatments.filter((t) => METHODS[t.method].for === 'freeing');
  const [state, setState] = useState<StuckState>(tried.at(-1)?.state ?? 'tight');
  const [body, setBody] = useState(offers);
  const log = (rung: Rung, result: TreatmentResult, pressureBar: number | null, minutes: number | null): void =>
    void save({ method: rung.method, state, pressureBar, minutes, result, note: '', drilling: null });
  const facts = [
    ['portBehind', 'a port behind the piston that takes a fitting'],
    ['straightPort', 'a straight way through that port'],
    ['plasticOrRubber', 'rubber or plastic still on or in it'],
  ] as const;
  return (
    <div className="grid gap-3">
      <Choices
        label="How it is stuck"
        value={state}
        onPick={setState}
        options={STUCK_STATES.map((s) => ({ value: s, text: STUCK_WORDS[s] }))}
        wrap
      />
      <fieldset className="flex flex-wrap gap-x-5">
        <legend className="sr-only">What the body offers</legend>
        {facts.map(([name, label]) => (
          <label key={name} className="flex min-h-[44px] items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={body[name]}
              onChange={(e) => setBody({ ...body, [name]: e.target.checked })}
            />
            {label}
          </label>
        ))}
      </fieldset>
      <SaveNote saving={saving} onDecide={decide} />
      {tried.length > 0 && (
        <section className="border border-line bg-sheet p-2">
          <h3 className="head mb-1">Tried so far</h3>
          <ol>
            {tried.map((t) => (
              <li key={t.id} className="flex flex-wrap justify-between gap-x-4 border-b border-hair py-1 text-[13px] last:border-b-0">
                <span>
                  {METHODS[t.method].label}
                  {t.pressureBar === null ? '' : ` at ${sayPressure(t.pressureBar, units)}`}: <b>{RESULT_WORDS[t.result]}</b>
                </span>
                <span className="text-ink2">{sayFullDate(t.at)}</span>
              </li>
            ))}
          </ol>
        </section>
      )}
      <ol className="grid gap-2" aria-label="Ladder, mildest first">
        {ladderFor(state, body, rules).map((rung, i) => (
          <RungRow
            key={`${state}-${rung.method}`}
            number={i + 1}
            rung={rung}
            boreMm={body.boreMm}
            tries={tried.filter((t) => t.method === rung.method).length}
            log={log}
          />
        ))}
      </ol>
      {state === 'free' && <p className="border border-dashed border-line p-6 text-center text-ink2">Free: go on with the guide.</p>}
      {body.plasticOrRubber && state !== 'free' && (
        <p className="text-[13px] text-ink2">Penetrant, heat and the grease gun are left out while rubber or plastic is on it.</p>
      )}
    </div>
  );
}

function RungRow({
  number,
  rung,
  boreMm,
  tries,
  log,
}: {
  readonly number: number;
  readonly rung: Rung;
  readonly boreMm: number;
  readonly tries: number;
  readonly log: (rung: Rung, result: TreatmentResult, pressureBar: number | null, minutes: number | null) => void;
}) {
  const { open } = useStation();
  const [bar, setBar] = useState<number | null>(rung.limit === null ? null : Math.min(rung.limit.maxBar, rung.limit.neededBar));
  const [hours, setHours] = useState<number | null>((rung.soakMin ?? 60) / 60);
  const tooMuch = rung.limit !== null && bar !== null && bar > rung.limit.maxBar + 1e-9;
  const say = (result: TreatmentResult): void => log(rung, result, bar, null);
  return (
    <li className="border border-line bg-sheet p-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h3 className="font-bold">
          {number}. {METHODS[rung.method].label}
          {tries > 0 && <span className="font-normal text-ink2"> · tried {tries === 1 ? 'once' : `${tries} times`}</span>}
        </h3>
        {rung.leaves === 'petroleum' && <span className="text-[13px] text-amber">leaves petroleum: rinse and sign before close-up</span>}
        {rung.leaves !== 'petroleum' && rung.leaves !== 'nothing' && <span className="text-[13px] text-ink2">leaves {rung.leaves}</span>}
      </div>
      <p className="mt-1">{rung.how}</p>
      {rung.hazard !== null && (
        <p className="mt-1 flex gap-2">
          <TriangleAlert size={18} className="mt-0.5 shrink-0 text-red" aria-label="Caution" />
          {rung.hazard}
        </p>
      )}
      <p className="mt-1">
        <b>Stop if</b> {rung.stopIf}
      </p>
      {rung.limit !== null && (
        <Force limit={rung.limit} boreMm={boreMm} bar={bar} setBar={setBar} tooMuch={tooMuch} air={rung.method === 'low-air'} />
      )}
      {open && (
        <div className="mt-2 flex flex-wrap items-end gap-2">
          {rung.soakMin !== null && (
            <>
              <NumberField label="Hours" className="w-24" value={hours} onSay={setHours} />
              <button
                type="button"
                className="btn"
                disabled={hours === null}
                onClick={() => log(rung, 'waiting', null, Math.max(1, Math.round((hours ?? 0) * 60)))}
              >
                Start the soak
              </button>
            </>
          )}
          {(['freed', 'moved', 'no', 'stopped'] as const).map((result) => (
            <button key={result} type="button" className="btn-quiet" disabled={tooMuch} onClick={() => say(result)}>
              {RESULT_WORDS[result]}
            </button>
          ))}
        </div>
      )}
    </li>
  );
}

/** What a pressure does on this bore, shown before anyone chooses it. */
function Force({
  limit,
  boreMm,
  bar,
  setBar,
  tooMuch,
  air,
}: {
  readonly limit: PushLimit;
  readonly boreMm: number;
  readonly bar: number | null;
  readonly setBar: (bar: number | null) => void;
  readonly tooMuch: boolean;
  readonly air: boolean;
}) {
  const units = useUnits();
  const { open } = useStation();
  return (
    <div className="mt-2 flex flex-wrap items-end gap-4 border-l-4 border-line pl-3">
      <PressureField className="w-32" label={`Pressure, ${units.pressure}`} value={bar} disabled={!open} say="typing" onSay={setBar} />
      <p className="pb-1">
        <span className="text-2xl">{bar === null ? '–' : sayForce(pushForceN(boreMm, bar), units)}</span> on the piston
      </p>
      <p className={`pb-2 text-[13px] ${tooMuch ? 'font-bold text-red' : 'text-ink2'}`}>
        {tooMuch ? 'Past the limit of ' : 'limit '}
        {fixed(pressureIn(limit.maxBar, units), 0)} {units.pressure}
        {'; '}
        {limit.enough
          ? `about ${fixed(pressureIn(limit.neededBar, units), 1)} ${units.pressure} is usual for this`
          : `this usually takes ${fixed(pressureIn(limit.neededBar, units), 0)} ${units.pressure}: do not expect it to move, and do not turn it up`}
        {air &&
          `. Shop air at ${fixed(pressureIn(SHOP_AIR_BAR, units), 0)} ${units.pressure} would be ${sayForce(pushForceN(boreMm, SHOP_AIR_BAR), units)}.`}
      </p>
    </div>
  );
}
