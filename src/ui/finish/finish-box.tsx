'use client';

import { type ComponentProps, useState } from 'react';
import type { BenchOf } from '@/core/bench/bench-record';
import { FINISH_NAMES, FINISHES, type FinishBody, finishObjections } from '@/core/finish/finish';
import type { FindCured, PutOnFinish } from '@/core/finish/finish-doors';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { STATION_WORDS } from '@/core/station';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useNow } from '../shell/use-now';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

type Finish = BenchOf<'finish'>;

/** Paint, thread locker and resin: put on with the openings plugged, cured in their time, looked at, plugs counted out. What cures holds the stations after it. */
export function FinishBox({
  target,
  finishes,
  body,
  openings,
  putOn,
  findCured,
}: {
  readonly target: UnitTarget;
  readonly finishes: readonly Finish[];
  readonly body: FinishBody;
  /** What is plugged before painting, by name. */
  readonly openings: readonly string[];
  readonly putOn: SaveAction<PutOnFinish>;
  readonly findCured: SaveAction<FindCured>;
}) {
  const cures = finishes.some((f) => f.curedAt === null);
  const form = <PutOn target={target} body={body} openings={openings} putOn={putOn} />;
  return (
    <div className="grid gap-3">
      {finishes.map((f) => (
        <OneFinish key={f.id} target={target} finish={f} findCured={findCured} />
      ))}
      {cures ? (
        <details>
          <summary className="min-h-9 cursor-pointer font-bold text-act">Put something else on</summary>
          {form}
        </details>
      ) : (
        form
      )}
    </div>
  );
}

function PutOn({ target, body, openings, putOn }: Omit<ComponentProps<typeof FinishBox>, 'finishes' | 'findCured'>) {
  const { save, saving, acceptTheirs } = useSave(putOn, target);
  const [finish, setFinish] = useState<Finish['finish']>('paint-air');
  const [hours, setHours] = useState(String(FINISHES['paint-air'].minutes / 60));
  const [plugged, setPlugged] = useState<readonly string[]>([]);
  const [note, setNote] = useState('');
  const kind = FINISHES[finish];
  const minutes = Number(hours.replace(',', '.')) * 60;
  const plugs = kind.openings === 'plugged' ? plugged.length : 0;
  const objections = finishObjections(finish, body, plugs);
  return (
    <div className="grid gap-3">
      <label className="label mb-0">
        Put on
        <select
          className="field text-ink"
          value={finish}
          onChange={(e) => {
            const next = FINISH_NAMES.find((n) => n === e.target.value) ?? finish;
            setFinish(next);
            setHours(String(FINISHES[next].minutes / 60));
          }}
        >
          {FINISH_NAMES.map((n) => (
            <option key={n} value={n}>
              {FINISHES[n].label}
            </option>
          ))}
        </select>
      </label>
      <p>
        {kind.how} It holds {kind.holds.map((s) => STATION_WORDS[s]).join(', ')}.
      </p>
      {kind.openings === 'plugged' && (
        <fieldset className="grid gap-x-3 sm:grid-cols-2">
          <legend className="label">
            Plugged: {plugged.length} of {openings.length}
          </legend>
          {openings.map((name) => (
            <label key={name} className="flex min-h-[44px] items-center gap-2">
              <input
                type="checkbox"
                className="size-5 accent-act"
                checked={plugged.includes(name)}
                onChange={(e) => setPlugged(e.target.checked ? [...plugged, name] : plugged.filter((x) => x !== name))}
              />
              {name}
            </label>
          ))}
        </fieldset>
      )}
      <div className="flex flex-wrap gap-2">
        <label className="label mb-0 w-28">
          Cures in, h
          <input className="field text-ink" inputMode="decimal" value={hours} onChange={(e) => setHours(e.target.value)} />
        </label>
        <label className="label mb-0 min-w-32 flex-1">
          Product, and where
          <input className="field text-ink" value={note} onChange={(e) => setNote(e.target.value)} />
        </label>
      </div>
      {objections.map((o) => (
        <p key={o} className="border-l-4 border-red pl-3">
          {o}
        </p>
      ))}
      <button
        type="button"
        className="btn-quiet w-fit"
        disabled={objections.length > 0 || !(minutes >= 1) || saving.kind === 'saving'}
        onClick={() => void save({ finish, minutes, plugs, note: note.trim() })}
      >
        It is on: start its time
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </div>
  );
}

function OneFinish({
  target,
  finish,
  findCured,
}: {
  readonly target: UnitTarget;
  readonly finish: Finish;
  readonly findCured: SaveAction<FindCured>;
}) {
  const { save, saving, acceptTheirs } = useSave(findCured, target);
  const now = useNow(finish.curedAt === null);
  const [out, setOut] = useState('');
  const { label } = FINISHES[finish.finish];
  if (finish.curedAt !== null)
    return (
      <p className="text-ink2">
        {label}
        {finish.note === '' ? '' : `, ${finish.note}`}: cured {now === undefined ? '' : sayWhen(finish.curedAt, now)}.
      </p>
    );
  const over = now !== undefined && now >= finish.endsAt;
  const counted = finish.plugs === null ? 0 : Number(out);
  return (
    <div className="grid gap-2 border-l-4 border-amber pl-3">
      <p title={sayFullDate(finish.endsAt)}>
        <b>{label}</b>
        {finish.note === '' ? '' : `, ${finish.note}`} ·{' '}
        {over ? 'its time is over: look at it' : `cures until ${now === undefined ? '' : sayWhen(finish.endsAt, now)}`}
      </p>
      <div className="flex flex-wrap items-end gap-2">
        {finish.plugs !== null && (
          <label className="label mb-0 w-40">
            Plugs out, of {finish.plugs}
            <input className="field text-ink" inputMode="numeric" value={out} onChange={(e) => setOut(e.target.value)} />
          </label>
        )}
        <button
          type="button"
          className="btn-quiet"
          disabled={!over || (finish.plugs !== null && (out.trim() === '' || !Number.isInteger(counted)))}
          onClick={() => void save({ finishId: finish.id, plugsOut: counted })}
        >
          It has cured
        </button>
      </div>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </div>
  );
}
