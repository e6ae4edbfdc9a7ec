'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { Fitment } from '@/core/identify/fitment';
import type { Units } from '@/core/quantity/units';
import type { SaveFitment } from '@/core/store/store-doors';
import { LengthField } from '../field/quantity-field';
import { type Ask, useAsk } from '../save/use-ask';

const LENGTHS = [
  ['boreMm', 'Bore', true],
  ['strokeMm', 'Stroke', false],
  ['bodyLengthMm', 'Body, end to end', false],
  ['studPitchMm', 'Studs, middle to middle', false],
] as const;
const list = (text: string): readonly string[] => text.split(/[\s,;]+/).filter((t) => t !== '');

/** A fitment as the store is to know it. What is not known stays empty: units that are measured and released will tell. */
export function FitmentForm({
  start,
  known,
  families,
  units,
  save,
}: {
  readonly start: Fitment;
  readonly known: boolean;
  readonly families: readonly { readonly name: Fitment['family']; readonly label: string }[];
  readonly units: Units;
  readonly save: Ask<SaveFitment>;
}) {
  const [draft, setDraft] = useState(start);
  const [threads, setThreads] = useState(start.features.portThreads?.join(' ') ?? '');
  const [kits, setKits] = useState(start.kits.join(' '));
  const { ask, asking, told } = useAsk();
  const router = useRouter();
  const set = (news: Partial<Fitment>): void => setDraft((d) => ({ ...d, ...news }));
  const feature = (news: Fitment['features']): void => set({ features: { ...draft.features, ...news } });
  const year = (text: string): number | null => (/^\d{4}$/.test(text) ? Number(text) : null);
  const text = (label: string, name: 'maker' | 'machine' | 'position' | 'note', width: string) => (
    <label className={`label mb-0 ${width}`}>
      {label}
      <input className="field text-ink" value={draft[name]} maxLength={120} onChange={(e) => set({ [name]: e.target.value })} />
    </label>
  );
  return (
    <form
      className="grid max-w-4xl gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        const portThreads = list(threads);
        const fitment = {
          ...draft,
          kits: list(kits),
          features: { ...draft.features, portThreads: portThreads.length === 0 ? null : portThreads },
        };
        void ask(save, { id: uuidv7(), as: known ? 'known' : 'new', fitment }).then(
          (done) => done !== undefined && router.push(`/kits?of=fitments&q=${encodeURIComponent(draft.machine)}`),
        );
      }}
    >
      <div className="flex flex-wrap gap-3">
        {text('Maker', 'maker', 'w-48')}
        {text('Machine', 'machine', 'min-w-56 flex-1')}
        {text('Place on it', 'position', 'w-48')}
      </div>
      <div className="flex flex-wrap gap-3">
        <label className="label mb-0">
          Kind of unit
          <select className="field text-ink" value={draft.family} onChange={(e) => set({ family: e.target.value as Fitment['family'] })}>
            {families.map((f) => (
              <option key={f.name} value={f.name}>
                {f.label}
              </option>
            ))}
          </select>
        </label>
        {(
          [
            ['First year', 'yearFrom'],
            ['Last year', 'yearTo'],
          ] as const
        ).map(([label, name]) => (
          <label key={name} className="label mb-0">
            {label}
            <input
              className="field w-24 text-ink"
              inputMode="numeric"
              defaultValue={draft[name] ?? ''}
              onChange={(e) => set({ [name]: year(e.target.value) })}
            />
          </label>
        ))}
      </div>
      <div className="flex flex-wrap gap-3">
        {LENGTHS.map(([f, label, fine]) => (
          <LengthField
            key={f}
            label={`${label}, ${units.length}`}
            className="w-44"
            fine={fine}
            value={draft.features[f] ?? null}
            units={units}
            onSay={(mm) => feature({ [f]: mm })}
          />
        ))}
      </div>
      <div className="flex flex-wrap gap-3">
        <label className="label mb-0">
          Threads of the ports
          <input className="field w-48 text-ink" value={threads} maxLength={200} onChange={(e) => setThreads(e.target.value)} />
        </label>
        <label className="label mb-0">
          Outlets
          <input
            className="field w-20 text-ink"
            inputMode="numeric"
            defaultValue={draft.features.outletCount ?? ''}
            onChange={(e) => feature({ outletCount: /^\d{1,2}$/.test(e.target.value) ? Number(e.target.value) : null })}
          />
        </label>
        <label className="label mb-0">
          Cast into it
          <input
            className="field w-40 text-ink"
            value={draft.features.castingMark ?? ''}
            maxLength={100}
            onChange={(e) => feature({ castingMark: e.target.value === '' ? null : e.target.value })}
          />
        </label>
        <label className="label mb-0 min-w-48 flex-1">
          Kits that a catalogue names
          <input className="field text-ink" value={kits} maxLength={400} onChange={(e) => setKits(e.target.value)} />
        </label>
      </div>
      {text('Note', 'note', '')}
      {told.map((t) => (
        <p key={t} role="alert" className="border-l-4 border-red pl-3">
          {t}
        </p>
      ))}
      <button type="submit" className="btn w-fit" disabled={asking || draft.maker === '' || draft.machine === '' || draft.position === ''}>
        Save the fitment
      </button>
    </form>
  );
}
