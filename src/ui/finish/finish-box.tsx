'use client';

import { type ComponentProps, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { findCuredAction, putOnFinishAction } from '@/app/actions/finish';
import type { BenchOf } from '@/core/bench/bench-record';
import { FINISH_NAMES, FINISHES, type FinishBody, finishObjections } from '@/core/finish/finish';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { STATION_WORDS } from '@/core/station';
import { TextField } from '../field/text-field';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useNow } from '../shell/use-now';

type Finish = BenchOf<'finish'>;

/** Paint, thread locker and resin: put on with the openings plugged, cured in their time, looked at, plugs counted out. What cures holds the stations after it. */
export function FinishBox({
  finishes,
  body,
  openings,
}: {
  readonly finishes: readonly Finish[];
  readonly body: FinishBody;
  /** What is plugged before painting, by name. */
  readonly openings: readonly string[];
}) {
  const cures = finishes.some((f) => f.curedAt === null);
  const form = <PutOn body={body} openings={openings} />;
  return (
    <div className="grid gap-3">
      {finishes.map((f) => (
        <OneFinish key={f.id} finish={f} />
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

type Putting = {
  readonly finish: Finish['finish'];
  readonly hours: number | null;
  readonly plugged: readonly string[];
  readonly note: string;
};
const { Select, Amount, Text } = fieldsOf<Putting>();
const hoursOf = (finish: Finish['finish']): number => FINISHES[finish].minutes / 60;
const plugsOf = ({ finish, plugged }: Putting): number => (FINISHES[finish].openings === 'plugged' ? plugged.length : 0);

function PutOn({ body, openings }: Omit<ComponentProps<typeof FinishBox>, 'finishes'>) {
  const start: Putting = { finish: 'paint-air', hours: hoursOf('paint-air'), plugged: [], note: '' };
  const putting = useUnitForm(putOnFinishAction, start, (v) => ({
    finish: v.finish,
    minutes: v.hours === null ? null : v.hours * 60,
    plugs: plugsOf(v),
    note: v.note,
  }));
  const { control, register, setValue } = putting.form;
  const now = useWatch({ control }) as Putting;
  const kind = FINISHES[now.finish];
  const objections = finishObjections(now.finish, body, plugsOf(now));
  return (
    <ActionFormFrame of={putting} submit="It is on: start its time" quiet may={objections.length === 0}>
      <Select
        name="finish"
        label="Put on"
        options={FINISH_NAMES.map((n) => ({ value: n, text: FINISHES[n].label }))}
        then={(n) => setValue('hours', hoursOf(n as Finish['finish']))}
      />
      <p>
        {kind.how} It holds {kind.holds.map((s) => STATION_WORDS[s]).join(', ')}.
      </p>
      {kind.openings === 'plugged' && (
        <fieldset className="grid gap-x-3 sm:grid-cols-2">
          <legend className="label">
            Plugged: {now.plugged.length} of {openings.length}
          </legend>
          {openings.map((name) => (
            <label key={name} className="flex min-h-[44px] items-center gap-2">
              <input type="checkbox" className="size-5 accent-act" value={name} {...register('plugged')} />
              {name}
            </label>
          ))}
        </fieldset>
      )}
      <div className="flex flex-wrap gap-2">
        <Amount name="hours" label="Cures in, h" className="w-28" />
        <Text name="note" label="Product, and where" className="min-w-32 flex-1" />
      </div>
      {objections.map((o) => (
        <p key={o} className="border-l-4 border-red pl-3">
          {o}
        </p>
      ))}
    </ActionFormFrame>
  );
}

function OneFinish({ finish }: { readonly finish: Finish }) {
  const { save, saving, decide } = useSave(findCuredAction);
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
          <TextField label={`Plugs out, of ${finish.plugs}`} className="w-40" value={out} inputMode="numeric" onSay={setOut} />
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
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}
