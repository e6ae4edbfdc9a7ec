'use client';

import { useMemo, useState } from 'react';
import { type BleedRules, bleedPlan } from '@/core/bleed/bleed-plan';
import { placesOf, withCircuit } from '@/core/bleed/edit-system';
import { bleedAsText } from '@/core/bleed/say-bleed';
import { SHAPE_NAMES, SHAPES, type ShapeName } from '@/core/bleed/shapes';
import type { System } from '@/core/bleed/system';
import { systemQuery } from '@/core/bleed/system-query';
import { questionOf } from '@/core/bleed/system-question';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';
import { Go } from '../shell/go';
import { useAddress } from '../shell/use-address';
import { SumButtons } from '../sums/sum-buttons';
import { Scroll } from '../unit/scroll';
import { BleedAnswer } from './bleed-answer';
import { EndNotes } from './end-notes';
import { KeepBox, type KeptAt, type KeptName } from './keep-box';
import { PlaceForm } from './place-form';
import { SystemFields } from './system-fields';
import { SystemView } from './system-view';

/** A system is drawn from its master outward; beside it stands in which order it is bled, with how much, and how. It stands in the address. */
export function Bleed({
  start,
  rules,
  kept,
}: {
  readonly start: { readonly system: System; readonly id: string | null; readonly fitment: KeptAt };
  readonly rules: BleedRules;
  readonly kept: { readonly shown: readonly KeptName[]; readonly all: number };
}) {
  const [system, setSystem] = useState(start.system);
  const [picked, setPicked] = useState(start.system.ends[0]?.at ?? null);
  // A place that is called otherwise is the same one: what is typed in its form stays.
  const [form, setForm] = useState(0);
  const pick = (next: string | null): void => {
    setPicked(next);
    setForm((n) => n + 1);
  };
  const [filled, setFilled] = useState(0);
  useAddress('/sums/bleed', systemQuery(system));
  const plan = useMemo(() => bleedPlan({ ...questionOf(system), rules: null }, rules), [system, rules]);
  const places = placesOf(system);
  const place = picked !== null && places.includes(picked) ? picked : null;
  const say = (next: System): void => {
    setSystem(next);
    setFilled(0);
  };
  const take = (next: System): void => {
    say(next);
    pick(next.ends[0]?.at ?? null);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <div className="flex flex-wrap items-end gap-3">
        <SelectField<ShapeName>
          label="Start from"
          className="w-64"
          value={null}
          none="a common system…"
          options={SHAPE_NAMES}
          say={(s) => SHAPES[s]().name}
          onSay={(s) => s !== null && take(SHAPES[s]())}
        />
        <TextField label="Called" className="w-72" value={system.name} maxLength={100} onSay={(name) => say({ ...system, name })} />
        <Go href={`/sums/bleed/live?${systemQuery(system)}`} className="btn">
          Bleed it now
        </Go>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-4">
          <Scroll label="The system, drawn">
            <SystemView system={system} plan={plan} filled={filled} picked={place} onPick={pick} />
          </Scroll>
          <div className="flex flex-wrap items-end gap-3">
            <SelectField label="Place" className="w-56" value={place} none="none picked" options={places} onSay={pick} />
            <button
              type="button"
              className="btn-quiet"
              onClick={() => {
                const next = withCircuit(system);
                say(next.system);
                pick(next.place);
              }}
            >
              Another circuit
            </button>
          </div>
          {place !== null && <PlaceForm key={form} system={system} place={place} onSay={say} onPick={pick} onName={setPicked} />}
          <SystemFields system={system} order={plan.order.map((s) => s.endId)} onSay={say} />
        </div>
        <div className="grid content-start gap-4" aria-live="polite">
          <BleedAnswer plan={plan} filled={filled} onFilled={setFilled} />
          <EndNotes system={system} plan={plan} densityKgM3={rules.bleedDensityKgM3} />
        </div>
      </div>
      <SumButtons text={bleedAsText(system, plan)} />
      <KeepBox system={system} start={start} kept={kept} />
      <p className="text-[13px] text-ink2">
        Arithmetic of volume and flow. The machine’s manual goes before it, above all where valves or an anti-lock unit lie between;
        bleeding and the road test are for licensed people.
      </p>
    </div>
  );
}
