'use client';

import { useRouter } from 'next/navigation';
import { uuidv7 } from 'uuidv7';
import { saveFitmentAction } from '@/app/actions/store';
import type { Fitment } from '@/core/identify/fitment';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { useUnits } from '../shell/units-context';

const LENGTHS = [
  ['features.boreMm', 'Bore', true],
  ['features.strokeMm', 'Stroke', false],
  ['features.bodyLengthMm', 'Body, end to end', false],
  ['features.studPitchMm', 'Studs, middle to middle', false],
] as const;
/** A fitment as it is typed: its lists are lines of text. */
type Typed = Omit<Fitment, 'kits'> & { readonly kits: string; readonly threads: string };
const { Text, Amount, Select, Length } = fieldsOf<Typed>();
const list = (text: string): readonly string[] => text.split(/[\s,;]+/).filter((t) => t !== '');

/** A fitment as the store is to know it. What is not known stays empty: units that are measured and released will tell. */
export function FitmentForm({
  start,
  known,
  families,
}: {
  readonly start: Fitment;
  readonly known: boolean;
  readonly families: readonly { readonly name: Fitment['family']; readonly label: string }[];
}) {
  const units = useUnits();
  const router = useRouter();
  const typed: Typed = { ...start, kits: start.kits.join(' '), threads: start.features.portThreads?.join(' ') ?? '' };
  const saving = useAskForm(
    saveFitmentAction,
    typed,
    ({ kits, threads, features, ...rest }) => {
      const portThreads = list(threads);
      const told = Object.fromEntries(Object.entries(features).map(([k, v]) => [k, v === '' ? null : v]));
      return {
        id: uuidv7(),
        as: known ? ('known' as const) : ('new' as const),
        fitment: { ...rest, kits: list(kits), features: { ...told, portThreads: portThreads.length === 0 ? null : portThreads } },
      };
    },
    () => router.push(`/kits?of=fitments&q=${encodeURIComponent(saving.form.getValues('machine'))}`),
  );
  return (
    <ActionFormFrame of={saving} submit="Save the fitment" className="grid max-w-4xl gap-4">
      <div className="flex flex-wrap gap-3">
        <Text name="maker" label="Maker" className="w-48" maxLength={120} />
        <Text name="machine" label="Machine" className="min-w-56 flex-1" maxLength={120} />
        <Text name="position" label="Place on it" className="w-48" maxLength={120} />
      </div>
      <div className="flex flex-wrap gap-3">
        <Select name="family" label="Kind of unit" options={families.map((f) => ({ value: f.name, text: f.label }))} />
        <Amount name="yearFrom" label="From year" className="w-24" />
        <Amount name="yearTo" label="To year" className="w-24" />
      </div>
      <div className="flex flex-wrap gap-3">
        {LENGTHS.map(([name, label, fine]) => (
          <Length key={name} name={name} label={`${label}, ${units.length}`} className="w-44" fine={fine} />
        ))}
      </div>
      <div className="flex flex-wrap gap-3">
        <Text name="threads" label="Threads of the ports" className="w-48" maxLength={200} />
        <Amount name="features.outletCount" label="Outlets" className="w-20" above={-1} />
        <Text name="features.castingMark" label="Cast into it" className="w-40" maxLength={100} />
        <Text name="kits" label="Kits that a catalogue names" className="min-w-48 flex-1" maxLength={400} />
      </div>
      <Text name="note" label="Note" maxLength={500} />
    </ActionFormFrame>
  );
}
