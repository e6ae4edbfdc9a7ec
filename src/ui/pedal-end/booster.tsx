'use client';

import { useState } from 'react';
import { noteAtBenchAction, saveVacuumAction } from '@/app/actions/close-up';
import { type BenchRecord, benchOf, newestOf } from '@/core/bench/bench-record';
import {
  type CheckValve,
  checkValveFound,
  PEDAL_ANSWERS,
  PEDAL_WORDS,
  type PedalAnswer,
  pedalFound,
  rodTipText,
} from '@/core/pedal-end/booster';
import { type RodState, sayVacuumHold, VACUUM_COVERS, type VacuumSample, vacuumHold, vacuumMeaning } from '@/core/pedal-end/vacuum';
import { Choices } from '../field/choices';
import { LengthField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';
import { VacuumEntry } from './vacuum-entry';

type Props = {
  readonly bench: readonly BenchRecord[];
};

/** A booster tried by hand: check valve, vacuum held at rest and pressed, the rod’s tip, and what the pedal does. */
export const Booster = (props: Props) => (
  <div className="grid gap-6">
    <CheckValveCard {...props} />
    <VacuumCard {...props} rod="at-rest" title="2 · Vacuum, the rod at rest" />
    <VacuumCard {...props} rod="pressed" title="3 · Vacuum, the rod pressed and held" />
    <Meaning {...props} />
    <RodTipCard {...props} />
    <PedalCard {...props} />
  </div>
);

const Card = ({ title, children }: { readonly title: string; readonly children: React.ReactNode }) => (
  <section className="grid gap-2 border border-line bg-sheet p-3">
    <h3 className="font-bold">{title}</h3>
    {children}
  </section>
);
const Found = ({ verdict, text }: { readonly verdict: 'good' | 'bad'; readonly text: string }) => (
  <p className={`border-l-4 pl-3 ${verdict === 'good' ? 'border-line' : 'border-red'}`}>{text}</p>
);

function CheckValveCard({ bench }: Props) {
  const { open } = useStation();
  const saved = newestOf(bench, 'check-valve');
  const { save, saving, decide } = useSave(noteAtBenchAction);
  const [seen, setSeen] = useState<Partial<CheckValve>>(saved ?? {});
  const { holds, passes } = seen;
  return (
    <Card title="1 · Check valve">
      {open && (
        <div className="flex flex-wrap items-end gap-3">
          <Choices
            label="Against its way"
            value={holds ?? null}
            onPick={(v) => setSeen({ ...seen, holds: v })}
            options={[
              { value: 'holds', text: 'holds against its way' },
              { value: 'leaks', text: 'leaks back' },
            ]}
          />
          <Choices
            label="Its own way"
            value={passes ?? null}
            onPick={(v) => setSeen({ ...seen, passes: v })}
            options={[
              { value: 'passes', text: 'passes its own way' },
              { value: 'blocked', text: 'blocked' },
            ]}
          />
          <button
            type="button"
            className="btn-quiet"
            disabled={holds === undefined || passes === undefined}
            onClick={() => void save({ data: { kind: 'check-valve', holds, passes } })}
          >
            Keep
          </button>
        </div>
      )}
      {saved !== undefined && <Found {...checkValveFound(saved)} />}
      <SaveNote saving={saving} onDecide={decide} />
    </Card>
  );
}

function VacuumCard({ bench, rod, title }: Props & { readonly rod: RodState; readonly title: string }) {
  const { rules, open } = useStation();
  const saved = benchOf(bench, 'vacuum').findLast((v) => v.rod === rod);
  const { save, saving, decide } = useSave(saveVacuumAction);
  const [samples, setSamples] = useState<readonly VacuumSample[]>([]);
  const hold = vacuumHold(samples, rules);
  return (
    <Card title={title}>
      {saved !== undefined && <Found verdict={saved.outcome === 'holds' ? 'good' : 'bad'} text={sayVacuumHold(saved, saved.limitKPa)} />}
      <p className="text-[13px] text-ink2">{VACUUM_COVERS}</p>
      {open && (
        <>
          <VacuumEntry samples={samples} onSay={setSamples} />
          {samples.length >= 2 && <p aria-live="polite">{sayVacuumHold(hold, rules.vacuumDropKPa)}</p>}
          <button
            type="button"
            className="btn-quiet w-fit"
            disabled={samples.length < 2}
            onClick={async () => {
              const result = await save({ rod, samples });
              if (result.ok) setSamples([]);
            }}
          >
            Keep this hold
          </button>
        </>
      )}
      <SaveNote saving={saving} onDecide={decide} />
    </Card>
  );
}

const Meaning = ({ bench }: Props) => {
  const [rest, pressed] = (['at-rest', 'pressed'] as const).map((rod) => benchOf(bench, 'vacuum').findLast((v) => v.rod === rod));
  const text = vacuumMeaning(rest, pressed);
  return text === undefined ? null : <p className="text-lg font-bold">{text}</p>;
};

function RodTipCard({ bench }: Props) {
  const units = useUnits();
  const { open } = useStation();
  const saved = newestOf(bench, 'rod-tip');
  const { save, saving, decide } = useSave(noteAtBenchAction);
  const [tip, setTip] = useState<{ readonly oldMm?: number; readonly newMm?: number }>({});
  const { oldMm, newMm } = tip;
  return (
    <Card title="4 · Tip of the output rod, from the flange">
      {open && (
        <div className="flex flex-wrap items-end gap-3">
          <LengthField
            label={`Old one, ${units.length}`}
            className="w-32"
            fine
            say="typing"
            value={oldMm ?? saved?.oldMm ?? null}
            onSay={(mm) => setTip({ ...tip, oldMm: mm ?? undefined })}
          />
          <LengthField
            label={`This one, ${units.length}`}
            className="w-32"
            fine
            say="typing"
            value={newMm ?? saved?.newMm ?? null}
            onSay={(mm) => setTip({ ...tip, newMm: mm ?? undefined })}
          />
          <button
            type="button"
            className="btn-quiet"
            disabled={oldMm === undefined || newMm === undefined}
            onClick={() => void save({ data: { kind: 'rod-tip', oldMm, newMm } })}
          >
            Keep
          </button>
        </div>
      )}
      {saved !== undefined && <p className="border-l-4 border-line pl-3">{rodTipText(saved, units)}</p>}
      <SaveNote saving={saving} onDecide={decide} />
    </Card>
  );
}

function PedalCard({ bench }: Props) {
  const { open } = useStation();
  const saved = newestOf(bench, 'pedal');
  const { save, saving, decide } = useSave(noteAtBenchAction);
  return (
    <Card title="5 · On the machine: pedal pressed and held, then vacuum comes">
      {open && (
        <Choices<PedalAnswer>
          label="The pedal"
          wrap
          value={saved?.answer ?? null}
          onPick={(answer) => void save({ data: { kind: 'pedal', answer } })}
          options={PEDAL_ANSWERS.map((a) => ({ value: a, text: PEDAL_WORDS[a] }))}
        />
      )}
      {saved !== undefined && <Found {...pedalFound(saved.answer)} />}
      <SaveNote saving={saving} onDecide={decide} />
    </Card>
  );
}
