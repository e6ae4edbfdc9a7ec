'use client';

import { type ReactNode, useRef, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { saveGaugingAction } from '@/app/actions/gauge';
import type { Geometry } from '@/core/family/geometry';
import type { Material } from '@/core/family/material';
import { gridOf, withSent } from '@/core/gauge/gauge-draft';
import { type Instrument, whyUnfit } from '@/core/gauge/instrument';
import { covers } from '@/core/gauge/unlikely';
import { sayTemperature } from '@/core/quantity/say';
import type { GaugedSet } from '@/core/unit/gauged-before';
import { SaveNote } from '../save/save-note';
import { useDraft } from '../save/use-draft';
import { useSave } from '../save/use-save';
import { late } from '../shell/late';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';
import { StationFrame } from '../unit/station-frame';
import { BoreSoFar } from './bore-so-far';
import { ImportReadings } from './csv-import';
import { ClockField, TempField } from './gauge-fields';
import { InstrumentPick } from './instrument-pick';
import { ReadingGrid } from './reading-grid';
import { useGaugeLine } from './use-gauge-line';
import { type Gaugings, useGrid } from './use-grid';

const ProfileChart = late(async () => (await import('../chart/profile-chart')).ProfileChart);

/** The gauge grid: depths down, clock across. An instrument that types a number and Enter fills it; the form of the bore is computed with every reading. */
export function Gauge({
  depths,
  material,
  bore,
  gaugings,
  instruments,
  earlier,
  ledger,
}: {
  /** Suggested depths, mm. */
  readonly depths: readonly number[];
  readonly material: Material;
  readonly bore: Geometry;
  readonly gaugings: Gaugings;
  readonly instruments: readonly Instrument[];
  readonly earlier: readonly GaugedSet[];
  readonly ledger: ReactNode;
}) {
  const units = useUnits();
  const { now, rules, pot } = useStation();
  const { turn, last } = gaugings;
  // A bench keeps its gauge where that measures this bore; else it takes the first that may.
  const [kept, keep] = useDraft('gauge-instrument', '');
  const [picked, setPicked] = useState<string>();
  const pick = (id: string): void => {
    setPicked(id);
    keep(id);
  };
  const [override, setOverride] = useState('');
  const fits = instruments.filter((i) => covers(i, bore.nominalMm));
  const instrument =
    instruments.find((i) => i.id === picked) ?? fits.find((i) => i.id === kept) ?? fits.find((i) => whyUnfit(i, rules, now) === undefined);
  const grid = useGrid(bore, material, depths, gaugings, instrument);
  const { draft, setDraft, read, form, open } = grid;
  const { save, saving, decide } = useSave(saveGaugingAction);
  const saveButton = useRef<HTMLButtonElement>(null);
  useGaugeLine(open && instrument?.posts ? instrument.id : undefined, (sent) => setDraft(withSent(draft, sent, units)));
  const submit = async (): Promise<void> => {
    const { readings, bodyTempC, gaugeTempC } = read;
    const reason = override.trim() === '' ? null : override.trim();
    const result = await save({
      gaugingId: uuidv7(),
      pot,
      readings,
      bodyTempC,
      gaugeTempC,
      instrumentId: instrument?.id ?? null,
      override: reason,
    });
    if (result.ok) grid.dropDraft();
  };
  return (
    <StationFrame
      title={`GAUGE · ${read.readings.length} readings`}
      note="Clock as seen from the open end. Enter goes on."
      ledger={ledger}
      aside={
        <section className="mb-4">
          <BoreSoFar grid={grid} bore={bore} />
          <div className="mt-4 grid gap-2">
            <button
              ref={saveButton}
              type="button"
              className="btn w-fit"
              disabled={!open || read.readings.length === 0 || read.faults.length > 0 || saving.kind === 'saving'}
              onClick={() => void submit()}
            >
              {saving.kind === 'saving' ? 'Saving' : 'Save gauging'}
            </button>
            <SaveNote saving={saving} onDecide={decide} />
          </div>
        </section>
      }
    >
      {open && (
        <InstrumentPick
          instruments={instruments}
          chosen={instrument}
          onPick={pick}
          override={override}
          onOverride={setOverride}
          nominalMm={bore.nominalMm}
        />
      )}
      {turn !== 'closed' && last !== undefined && (!open || read.readings.length === 0) && (
        <button type="button" className="btn-quiet mb-2" onClick={() => grid.goOn(last, [])}>
          Go on from the last gauging: its {last.readings.length} readings, and cells for what is still open
        </button>
      )}
      <ReadingGrid grid={grid} bore={bore} onLast={() => saveButton.current?.focus()} />
      {open && (
        <div className="mt-2 flex flex-wrap items-end gap-3">
          <button type="button" className="btn-quiet" onClick={() => setDraft({ ...draft, depths: [...draft.depths, ''] })}>
            Add a depth
          </button>
          <ClockField onAdd={(deg) => setDraft({ ...draft, clocks: [...draft.clocks, deg] })} taken={draft.clocks} />
          <TempField label="Body" value={draft.bodyTemp} onChange={(bodyTemp) => setDraft({ ...draft, bodyTemp })} />
          <TempField label="Gauge" value={draft.gaugeTemp} onChange={(gaugeTemp) => setDraft({ ...draft, gaugeTemp })} />
          <p className="pb-2 text-[13px] text-ink2">
            {read.bodyTempC === null
              ? 'Read as it is; give the body’s temperature to bring it to 20 °C.'
              : `Brought to ${sayTemperature(20, units)}.`}
          </p>
        </div>
      )}
      {open && <ImportReadings onTake={(rows) => setDraft({ ...draft, ...gridOf(rows, units) })} />}
      {form !== undefined && <ProfileChart form={form} lengthMm={bore.lengthMm} nominalMm={bore.nominalMm} earlier={earlier} />}
    </StationFrame>
  );
}
