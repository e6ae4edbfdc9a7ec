'use client';

import { useState } from 'react';
import { saveGapAction } from '@/app/actions/set';
import type { BenchOf } from '@/core/bench/bench-record';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { type GapWay, gapRecordOf, sayGapRecord } from '@/core/set/gap-record';
import { type GapField, type GapSheet, PLAY_PAIR } from '@/core/set/gap-sheet';
import { saySecond } from '@/core/set/say-gap';
import { secondReadings } from '@/core/set/second-readings';
import type { GapRules } from '@/core/set/setup';
import { Choices } from '../field/choices';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';
import { GapFields, PLAY, SecondFields, StepField } from './gap-fields';
import { GapWorksheet } from './gap-worksheet';

/** Set: the pushrod's gap worked out and saved to the unit, as often as it takes to be right. */
export function SetStation({
  gaps,
  rules,
  usual,
}: {
  /** What was saved before, oldest first. */
  readonly gaps: readonly BenchOf<'gap'>[];
  readonly rules: GapRules;
  /** How the gap of such a unit is had. */
  readonly usual: GapWay;
}) {
  const units = useUnits();
  const { now, open } = useStation();
  const last = gaps.at(-1);
  const { save, saving, decide } = useSave(saveGapAction);
  const [way, setWay] = useState<GapWay>(last?.way ?? usual);
  const keep = (sheet: GapSheet) =>
    open && (
      <button type="button" className="btn" disabled={saving.kind === 'saving'} onClick={() => void save({ way, sheet })}>
        Save to the unit
      </button>
    );
  return (
    <div className="grid gap-4">
      {gaps.length > 0 && (
        <ul className="border border-line bg-sheet">
          {[...gaps].reverse().map((g) => (
            <li key={g.id} className="border-b border-hair px-3 py-1.5 last:border-b-0" title={sayFullDate(g.at)}>
              {sayGapRecord(g, units)}. <span className="text-ink2">{sayWhen(g.at, now)}</span>
            </li>
          ))}
        </ul>
      )}
      <Choices
        label="How the gap is had"
        value={way}
        onPick={setWay}
        options={[
          { value: 'depths', text: 'Booster: four depths' },
          { value: 'rod-play', text: 'No booster: at the rod' },
        ]}
      />
      <SaveNote saving={saving} onDecide={decide} />
      {way === 'depths' ? (
        <GapWorksheet start={last?.way === 'depths' ? last.sheet : {}} rules={rules}>
          {keep}
        </GapWorksheet>
      ) : (
        <RodPlay start={last?.way === 'rod-play' ? last.sheet : {}} rules={rules} keep={keep} />
      )}
    </div>
  );
}

/** Where no booster is between, the rod's own play is the gap: read with a dial or a feeler while the piston rests on its stop. */
function RodPlay({
  start,
  rules,
  keep,
}: {
  readonly start: GapSheet;
  readonly rules: GapRules;
  readonly keep: (sheet: GapSheet) => React.ReactNode;
}) {
  const units = useUnits();
  const [sheet, setSheet] = useState(start);
  const record = gapRecordOf('rod-play', sheet, rules);
  const say = (f: GapField, v: number | null): void => setSheet((s) => ({ ...s, [f]: v ?? undefined }));
  return (
    <div className="grid gap-3">
      <p className="max-w-2xl">
        Let the piston come back onto its stop. Set a dial to the rod, or a feeler to its tip, and read how far the rod moves before the
        piston does. At the pedal it shows times the ratio of the pedal.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <GapFields fields={PLAY} sheet={sheet} say={say} />
        <StepField sheet={sheet} say={say} />
      </div>
      {record !== undefined && <SecondFields way="rod-play" sheet={sheet} say={say} />}
      {record !== undefined && (
        <p className={`text-lg font-bold ${record.verdict === 'ok' ? '' : 'text-red'}`} aria-live="polite" data-testid="gap">
          {sayGapRecord(record, units)}
        </p>
      )}
      {record !== undefined && saySecond(secondReadings(sheet, PLAY_PAIR), units).map((t) => <p key={t}>{t}</p>)}
      {record !== undefined && <div>{keep(sheet)}</div>}
    </div>
  );
}
