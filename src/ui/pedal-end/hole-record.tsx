'use client';

import { useState } from 'react';
import type { NoteAtBench } from '@/core/bench/bench-doors';
import type { BenchOf } from '@/core/bench/bench-record';
import { holeAnswer, holeProblems, type PinnedHole, REMEDIES, REMEDY_NAMES, type Remedy } from '@/core/pedal-end/hole';
import type { Units } from '@/core/quantity/units';
import type { Rules } from '@/core/rules/rule-set';
import { sayFine } from '@/core/set/say-gap';
import type { TrayPart } from '@/core/strip/tray-door';
import { NumberField } from '../field/number-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { HoleFields, wholeHole } from './hole-fields';

/** Worn holes of the pedal end: as they were, what was done to them, and as they are. */
export function HoleRecord({
  target,
  parts,
  saved,
  rules,
  units,
  note,
}: {
  readonly target: UnitTarget;
  /** Parts of the unit that have such a hole. */
  readonly parts: readonly TrayPart[];
  readonly saved: readonly BenchOf<'hole'>[];
  readonly rules: Pick<Rules, 'holeWearMm' | 'holeOvalMm'>;
  readonly units: Units;
  readonly note: SaveAction<NoteAtBench>;
}) {
  const { save, saving, acceptTheirs } = useSave(note, target);
  const [partId, setPartId] = useState(parts[0]?.id ?? '');
  const [before, setBefore] = useState<Partial<PinnedHole>>(measuredAtStrip(parts[0]));
  const [after, setAfter] = useState<Partial<PinnedHole>>({});
  const [remedy, setRemedy] = useState<Remedy>('as-it-is');
  const [ratio, setRatio] = useState<number | null>(null);
  const [text, setText] = useState('');
  const [was, is] = [wholeHole(before), wholeHole(after)];
  const needsAfter = remedy !== 'as-it-is';
  const judged = needsAfter ? is : was;
  const problems = [was, needsAfter ? is : undefined].flatMap((h) => (h === undefined ? [] : holeProblems(h)));
  const answer = judged === undefined || problems.length > 0 ? undefined : holeAnswer(judged, ratio, rules, units);
  return (
    <div className="grid gap-3">
      {saved.map((h) => (
        <p key={h.id} className="border-l-4 border-line pl-3">
          {parts.find((p) => p.id === h.partId)?.name ?? 'hole'}: {sayFine(h.before.longMm, units)} on a pin of{' '}
          {sayFine(h.before.pinMm, units)}, {REMEDIES[h.remedy]}
          {h.after === null ? '' : `, now ${sayFine(h.after.longMm, units)} on ${sayFine(h.after.pinMm, units)}`} {units.length}
          {h.note === '' ? '' : `. ${h.note}`}
        </p>
      ))}
      <label className="label mb-0">
        Hole of the
        <select
          className="field text-ink"
          value={partId}
          onChange={(e) => {
            setPartId(e.target.value);
            setBefore(measuredAtStrip(parts.find((p) => p.id === e.target.value)));
          }}
        >
          {parts.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
      </label>
      <fieldset className="flex flex-wrap items-end gap-2">
        <legend className="label">As it was</legend>
        <HoleFields hole={before} units={units} onSay={setBefore} />
        <NumberField label="Pedal ratio" className="w-28" value={ratio} onSay={setRatio} />
      </fieldset>
      <label className="label mb-0">
        What was done
        <select
          className="field text-ink"
          value={remedy}
          onChange={(e) => setRemedy(REMEDY_NAMES.find((r) => r === e.target.value) ?? remedy)}
        >
          {REMEDY_NAMES.map((r) => (
            <option key={r} value={r}>
              {REMEDIES[r]}
            </option>
          ))}
        </select>
      </label>
      {needsAfter && (
        <fieldset className="flex flex-wrap items-end gap-2">
          <legend className="label">As it is now</legend>
          <HoleFields hole={after} units={units} onSay={setAfter} />
        </fieldset>
      )}
      {remedy === 'welded-redrilled' && (
        <p className="border-l-4 border-amber pl-3">
          Welding on a part that stops a vehicle is for a licensed welder, where the maker allows it at all.
        </p>
      )}
      <label className="label mb-0">
        By whom, and how
        <input className="field text-ink" value={text} onChange={(e) => setText(e.target.value)} />
      </label>
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
      <button
        type="button"
        className="btn-quiet w-fit"
        disabled={was === undefined || (needsAfter && is === undefined) || problems.length > 0 || saving.kind === 'saving'}
        onClick={() =>
          void save({
            data: { kind: 'hole', partId, before: was, pedalRatio: ratio, remedy, after: needsAfter ? is : null, note: text.trim() },
          })
        }
      >
        Keep
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </div>
  );
}

const measuredAtStrip = (part: TrayPart | undefined): Partial<PinnedHole> => {
  const of = (name: string): number | undefined => {
    const value = part?.checks[name];
    return typeof value === 'number' ? value : undefined;
  };
  return { longMm: of('holeMaxMm'), shortMm: of('holeMinMm'), pinMm: of('pinMm') } as Partial<PinnedHole>;
};
