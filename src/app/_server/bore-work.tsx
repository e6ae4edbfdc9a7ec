import type { ReactNode } from 'react';
import { suggestDepths } from '@/core/bore/suggest-grid';
import { lookedAgain } from '@/core/clean/treatment';
import { sayDia } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import type { Stop } from '@/core/route/route';
import type { Rules } from '@/core/rules/rule-set';
import { currentGauging, currentVerdict } from '@/core/unit/facts-of';
import { judgeInputOf } from '@/core/unit/judge-input';
import { hungPhotos } from '@/core/unit/shown-photos';
import type { UnitRecord } from '@/core/unit/unit-record';
import { BoreChange } from '@/ui/stations/bore-change';
import { LookedAgain } from '@/ui/stations/clean';
import { Gauge } from '@/ui/stations/gauge';
import { Judge } from '@/ui/stations/judge';
import { StationFrame } from '@/ui/unit/station-frame';
import { boreChangedAction, saveGaugingAction, saveJudgementAction } from '../actions/bore';
import { treatAction } from '../actions/strip';
import { NotNow } from './not-now';

const NoBore = ({ ledger }: { readonly ledger: ReactNode }) => (
  <StationFrame title="NO BORE" ledger={ledger}>
    <p className="border border-dashed border-line p-8 text-center text-ink2">It has no bore: its tray, photos and records are at Strip.</p>
  </StationFrame>
);

type Props = {
  readonly record: UnitRecord;
  readonly station: 'gauge' | 'judge' | 'hone' | 'sleeve';
  readonly stop: Stop | undefined;
  readonly open: boolean;
  readonly units: Units;
  readonly rules: Rules;
  readonly ledger: ReactNode;
  /** A station that is confirmed point by point. */
  readonly confirm: (title: string, points: readonly string[], noteLabel: string, text: string) => ReactNode;
};

/** The stations of the bore: measured, judged, cut or sleeved. */
export function BoreWork({ record, station, stop, open, units, rules, ledger, confirm }: Props) {
  const { unit } = record;
  const target = { unitId: unit.id, version: unit.version };
  switch (station) {
    case 'gauge':
      if (unit.geometry === null) return <NoBore ledger={ledger} />;
      return (
        <Gauge
          key={record.gaugings.length}
          target={target}
          depths={suggestDepths(unit.geometry.seals, unit.geometry.lengthMm)}
          material={unit.material}
          lengthMm={unit.geometry.lengthMm}
          nominalMm={unit.geometry.nominalMm}
          units={units}
          rules={rules}
          save={saveGaugingAction}
          open={open}
          ledger={
            <>
              <NotNow stop={stop} />
              <EarlierGaugings record={record} units={units} />
              {ledger}
            </>
          }
        />
      );
    case 'judge': {
      const input = judgeInputOf(record, { marks: [], school: null, wallMm: null });
      if (unit.geometry === null) return <NoBore ledger={ledger} />;
      if (input === undefined || currentGauging(record) === undefined) {
        return (
          <StationFrame title="JUDGE" ledger={ledger} aside={<NotNow stop={stop} />}>
            <p className="border border-dashed border-line p-8 text-center text-ink2">
              {input === undefined
                ? 'The piston has not been measured: a lead reopens Strip and its diameter is entered there. The limit rests on it.'
                : 'Gauge the bore first: every mark is judged against what the bore measures where it lies.'}
            </p>
          </StationFrame>
        );
      }
      return (
        <Judge
          key={`${currentGauging(record)?.id} ${record.verdicts.length}`}
          target={target}
          input={input}
          marks={record.marks}
          photos={hungPhotos(record)}
          geometry={unit.geometry}
          units={units}
          rules={rules}
          save={saveJudgementAction}
          open={open}
          ledger={
            <>
              {open && !lookedAgain(record.treatments) && <LookedAgain target={target} treat={treatAction} />}
              {ledger}
            </>
          }
        />
      );
    }
    case 'hone': {
      const verdict = currentVerdict(record);
      if (verdict?.answer.outcome === 'polish') {
        return confirm(
          'POLISH',
          ['Marked places polished by hand with fine paper and fluid; nothing cut.', 'Washed out, dry, no grit in ports or grooves.'],
          'With what',
          'Polished and washed',
        );
      }
      return (
        <StationFrame title="HONE" ledger={ledger} aside={<NotNow stop={stop} />}>
          {verdict?.answer.targetDiaMm != null && (
            <p className="mb-4 text-2xl">
              Cut to <b>{sayDia(verdict.answer.targetDiaMm, units)}</b> {units.length}, never past{' '}
              {sayDia(verdict.answer.limitDiaMm, units)}
            </p>
          )}
          <BoreChange target={target} station="hone" open={open} boreChanged={boreChangedAction} />
        </StationFrame>
      );
    }
    case 'sleeve':
      return (
        <StationFrame title="SLEEVE · outside work" ledger={ledger} aside={<NotNow stop={stop} />}>
          <BoreChange target={target} station="sleeve" open={open} boreChanged={boreChangedAction} />
        </StationFrame>
      );
  }
}

function EarlierGaugings({ record, units }: { readonly record: UnitRecord; readonly units: Units }) {
  const earlier = record.gaugings.filter((g) => g.readings.length > 0);
  if (earlier.length === 0) return null;
  return (
    <section className="mb-4">
      <h2 className="head mb-1">GAUGED BEFORE</h2>
      {earlier.map((g) => (
        <p key={g.id} className="text-ink2">
          {g.readings.length} readings, {sayDia(Math.min(...g.readings.map((r) => r.diaMm)), units)} to{' '}
          {sayDia(Math.max(...g.readings.map((r) => r.diaMm)), units)} {units.length}
        </p>
      ))}
    </section>
  );
}
