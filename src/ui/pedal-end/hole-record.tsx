'use client';

import { noteAtBenchAction } from '@/app/actions/close-up';
import type { BenchOf } from '@/core/bench/bench-record';
import { holeAnswer, holeProblems, type PinnedHole, REMEDIES, REMEDY_NAMES, type Remedy } from '@/core/pedal-end/hole';
import { sayFine } from '@/core/set/say-gap';
import type { TrayPart } from '@/core/strip/tray-schema';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';
import { HoleFields, wholeHole } from './hole-fields';

type Worn = {
  readonly partId: string;
  readonly before: Partial<PinnedHole>;
  readonly after: Partial<PinnedHole>;
  readonly remedy: Remedy;
  readonly pedalRatio: number | null;
  readonly note: string;
};
const { Text, Select, Amount } = fieldsOf<Worn>();

/** Worn holes of the pedal end: as they were, what was done to them, and as they are. */
export function HoleRecord({
  parts,
  saved,
}: {
  /** Parts of the unit that have such a hole. */
  readonly parts: readonly TrayPart[];
  readonly saved: readonly BenchOf<'hole'>[];
}) {
  const units = useUnits();
  const { rules } = useStation();
  const start: Worn = {
    partId: parts[0]?.id ?? '',
    before: measuredAtStrip(parts[0]),
    after: {},
    remedy: 'as-it-is',
    pedalRatio: null,
    note: '',
  };
  const saving = useUnitForm(noteAtBenchAction, start, ({ before, after, ...values }) => ({
    data: {
      kind: 'hole' as const,
      ...values,
      before: wholeHole(before),
      after: values.remedy === 'as-it-is' ? null : wholeHole(after),
    },
  }));
  const { setValue, watch } = saving.form;
  const { before, after, remedy, pedalRatio } = watch();
  const [was, is] = [wholeHole(before), wholeHole(after)];
  const needsAfter = remedy !== 'as-it-is';
  const judged = needsAfter ? is : was;
  const problems = [was, needsAfter ? is : undefined].flatMap((h) => (h === undefined ? [] : holeProblems(h)));
  const answer = judged === undefined || problems.length > 0 ? undefined : holeAnswer(judged, pedalRatio, rules, units);
  return (
    <ActionFormFrame of={saving} submit="Keep" quiet may={was !== undefined && (!needsAfter || is !== undefined) && problems.length === 0}>
      {saved.map((h) => (
        <p key={h.id} className="border-l-4 border-line pl-3">
          {parts.find((p) => p.id === h.partId)?.name ?? 'hole'}: {sayFine(h.before.longMm, units)} on a pin of{' '}
          {sayFine(h.before.pinMm, units)}, {REMEDIES[h.remedy]}
          {h.after === null ? '' : `, now ${sayFine(h.after.longMm, units)} on ${sayFine(h.after.pinMm, units)}`} {units.length}
          {h.note === '' ? '' : `. ${h.note}`}
        </p>
      ))}
      <Select
        name="partId"
        label="Hole of the"
        options={parts.map((p) => ({ value: p.id, text: p.name }))}
        then={(id: string) => setValue('before', measuredAtStrip(parts.find((p) => p.id === id)))}
      />
      <fieldset className="flex flex-wrap items-end gap-2">
        <legend className="label">As it was</legend>
        <HoleFields hole={before} onSay={(hole) => setValue('before', hole)} />
        <Amount name="pedalRatio" label="Pedal ratio" className="w-28" />
      </fieldset>
      <Select name="remedy" label="What was done" options={REMEDY_NAMES} say={REMEDIES} />
      {needsAfter && (
        <fieldset className="flex flex-wrap items-end gap-2">
          <legend className="label">As it is now</legend>
          <HoleFields hole={after} onSay={(hole) => setValue('after', hole)} />
        </fieldset>
      )}
      {remedy === 'welded-redrilled' && (
        <p className="border-l-4 border-amber pl-3">
          Welding on a part that stops a vehicle is for a licensed welder, where the maker allows it at all.
        </p>
      )}
      <Text name="note" label="By whom, and how" />
      {problems.map((p) => (
        <p key={p} className="border-l-4 border-red pl-3">
          {p}
        </p>
      ))}
      {answer?.reasons.map((r) => (
        <p key={r} className={answer.verdict === 'good' ? '' : 'text-red'}>
          {r}
        </p>
      ))}
    </ActionFormFrame>
  );
}

const measuredAtStrip = (part: TrayPart | undefined): Partial<PinnedHole> => {
  const of = (name: string): number | undefined => {
    const value = part?.checks[name];
    return typeof value === 'number' ? value : undefined;
  };
  return { longMm: of('holeMaxMm'), shortMm: of('holeMinMm'), pinMm: of('pinMm') } as Partial<PinnedHole>;
};
