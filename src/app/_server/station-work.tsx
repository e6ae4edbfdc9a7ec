import type { ReactNode } from 'react';
import { suggestDepths } from '@/core/bore/suggest-grid';
import { FAMILIES } from '@/core/family/family';
import { may, type Person } from '@/core/people/role';
import { sayDia } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import type { Station } from '@/core/route/station';
import { sayWhyNot, whyNotDone } from '@/core/route/why-not';
import type { Rules } from '@/core/rules/rule-set';
import { currentGauging, currentVerdict, factsOf, routeOfUnit } from '@/core/unit/facts-of';
import { judgeInputOf } from '@/core/unit/judge-input';
import { namedNeeds, rankedKits } from '@/core/unit/ranked-kits';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { theDb } from '@/db/connection';
import { everyone } from '@/db/people';
import { kitStore } from '@/db/stations/kit';
import { lastRunOf } from '@/db/stations/prove';
import { certificateOf } from '@/db/stations/release';
import { BoreChange } from '@/ui/stations/bore-change';
import { CloseUp } from '@/ui/stations/close-up';
import { Confirm } from '@/ui/stations/confirm';
import { Gauge } from '@/ui/stations/gauge';
import { Judge } from '@/ui/stations/judge';
import { Kit } from '@/ui/stations/kit';
import { Prove } from '@/ui/stations/prove';
import { Release } from '@/ui/stations/release';
import { Strip } from '@/ui/stations/strip';
import { SignOffBar } from '@/ui/unit/sign-off-bar';
import { StationFrame } from '@/ui/unit/station-frame';
import {
  abortRunAction,
  addPhotoAction,
  boreChangedAction,
  putKitBackAction,
  recordPartAction,
  releaseAction,
  saveGaugingAction,
  saveJudgementAction,
  setKitAsideAction,
  signAction,
  signOffAction,
  startRunAction,
} from '../actions';

type Props = {
  readonly record: UnitRecord;
  readonly station: Station;
  readonly person: Person;
  readonly units: Units;
  readonly rules: Rules;
  readonly ledger: ReactNode;
  readonly now: number;
};

/** The work of one station: fetches what it needs and hands it down. */
export async function StationWork({ record, station, person, units, rules, ledger, now }: Props) {
  const { unit } = record;
  const target = { unitId: unit.id, version: unit.version };
  const stop = routeOfUnit(record).find((s) => s.station === station);
  const atWork = unit.exit === null && stop?.state === 'now' && may(person.role, 'bench');
  const unmet = whyNotDone(station, factsOf(record)).map(sayWhyNot);
  const signOff = (text: string) =>
    stop?.state === 'now' && (
      <SignOffBar target={target} station={station} text={text} unmet={unmet} role={person.role} signOff={signOffAction} />
    );
  const confirm = (title: string, points: readonly string[], noteLabel: string, text: string) => (
    <StationFrame title={title} ledger={ledger} aside={<NotNow stop={stop} />}>
      <Confirm
        target={target}
        station={station}
        points={points}
        noteLabel={noteLabel}
        text={text}
        unmet={[]}
        role={person.role}
        open={atWork}
        signOff={signOffAction}
      />
    </StationFrame>
  );

  switch (station) {
    case 'book-in':
      return (
        <StationFrame title="BOOKED IN" ledger={ledger}>
          <div className="grid gap-3 border border-line bg-sheet p-4">
            <p>
              {record.job.customer}, {record.job.phone}
            </p>
            <p>{unit.identityMarks === '' ? 'No marks noted.' : `Marks on it: ${unit.identityMarks}`}</p>
            <div className="flex gap-3">
              <a className="btn" href={`/api/v1/units/${tagOf(unit)}/label.pdf`} target="_blank" rel="noreferrer">
                Print the label
              </a>
              <a className="btn-quiet" href={`/api/v1/units/${tagOf(unit)}/label.svg`} target="_blank" rel="noreferrer">
                Label as SVG
              </a>
            </div>
          </div>
        </StationFrame>
      );
    case 'strip':
      return (
        <StationFrame
          title={`TRAY · from the open end · ${record.tray.filter((p) => p.found !== null).length} of ${record.tray.length} recorded`}
          note="lip as the drawing above shows it, open end to the left"
          ledger={ledger}
          aside={<div className="mb-4">{atWork ? signOff('Strip done') : <NotNow stop={stop} />}</div>}
        >
          <Strip target={target} tray={record.tray} units={units} recordPart={recordPartAction} addPhoto={addPhotoAction} open={atWork} />
        </StationFrame>
      );
    case 'clean':
      return confirm(
        'CLEAN',
        [
          'Every deposit off the bore; what is left is a mark.',
          'Whatever freed or cleaned it is rinsed out: alcohol or brake cleaner, dry air.',
          'Ports and drillings open: light seen through each.',
        ],
        'How it was cleaned',
        'Clean and dry',
      );
    case 'gauge':
      return (
        <Gauge
          key={unit.version}
          target={target}
          depths={suggestDepths(unit.geometry.seals, unit.geometry.lengthMm)}
          material={unit.material}
          lengthMm={unit.geometry.lengthMm}
          nominalMm={unit.geometry.nominalMm}
          units={units}
          rules={rules}
          save={saveGaugingAction}
          open={atWork}
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
          key={unit.version}
          target={target}
          input={input}
          marks={record.marks}
          geometry={unit.geometry}
          units={units}
          rules={rules}
          save={saveJudgementAction}
          open={atWork}
          ledger={ledger}
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
          <BoreChange target={target} station="hone" open={atWork} boreChanged={boreChangedAction} />
        </StationFrame>
      );
    }
    case 'sleeve':
      return (
        <StationFrame title="SLEEVE · outside work" ledger={ledger} aside={<NotNow stop={stop} />}>
          <BoreChange target={target} station="sleeve" open={atWork} boreChanged={boreChangedAction} />
        </StationFrame>
      );
    case 'kit': {
      const needs = namedNeeds(record);
      const kitOpen =
        unit.exit === null &&
        may(person.role, 'kit') &&
        !record.steps.some((s) => s.station === 'close-up') &&
        record.steps.some((s) => s.station === 'strip');
      return (
        <StationFrame
          title="KIT · ranked by what it covers"
          ledger={ledger}
          aside={<div className="mb-4">{signOff('Kit complete') || <NotNow stop={stop} />}</div>}
        >
          <Kit
            target={target}
            needs={needs}
            ranked={rankedKits(needs, await kitStore(await theDb())).slice(0, 8)}
            setAside={record.setAside}
            units={units}
            open={kitOpen}
            actions={{ setAside: setKitAsideAction, putBack: putKitBackAction }}
          />
        </StationFrame>
      );
    }
    case 'close-up':
      return (
        <CloseUp
          target={target}
          family={FAMILIES[unit.family]}
          tray={record.tray}
          kits={record.setAside.map((s) => s.number)}
          recordPart={recordPartAction}
          open={atWork}
          ledger={
            <>
              <NotNow stop={stop} />
              {ledger}
            </>
          }
        >
          {signOff('Closed up')}
        </CloseUp>
      );
    case 'set':
      return confirm(
        'SET',
        ['Pushrod length as the old unit’s, or as the manual gives it.', 'There is a gap: the piston comes back to its stop by itself.'],
        'Gap as measured, and how',
        'Set',
      );
    case 'prove': {
      const last = await lastRunOf(await theDb(), unit.id);
      return (
        <Prove
          target={target}
          units={units}
          runs={record.runs}
          last={last}
          actions={{ start: startRunAction, abort: abortRunAction }}
          open={atWork}
          ledger={
            <>
              <NotNow stop={stop} />
              {ledger}
            </>
          }
        >
          {atWork && signOff('Proved')}
        </Prove>
      );
    }
    case 'release': {
      const db = await theDb();
      const certificate = await certificateOf(db, unit.id);
      return (
        <StationFrame title="RELEASE" ledger={ledger} aside={<NotNow stop={stop} />}>
          {certificate !== undefined && (
            <div className="mb-4 border border-line bg-sheet p-4">
              <p className="text-lg font-bold">Certificate {certificate.number}</p>
              {certificate.supersedes !== null && <p className="text-ink2">Takes the place of {certificate.supersedes}.</p>}
              <p className="mb-3 text-[12px] break-all text-ink2">{certificate.hash}</p>
              <a className="btn" href={`/api/v1/units/${tagOf(unit)}/certificate.pdf`} target="_blank" rel="noreferrer">
                Open the certificate
              </a>
            </div>
          )}
          <Release
            target={target}
            people={await everyone(db)}
            me={person}
            signatures={record.signatures}
            needed={FAMILIES[unit.family].brake ? 2 : 1}
            unmet={unmet}
            open={atWork}
            now={now}
            actions={{ sign: signAction, release: releaseAction }}
          />
        </StationFrame>
      );
    }
  }
}

/** Why there is nothing to do here: done, passed over, or not its turn. */
function NotNow({ stop }: { readonly stop: ReturnType<typeof routeOfUnit>[number] | undefined }) {
  if (stop === undefined || stop.state === 'now') return null;
  if (stop.state === 'done')
    return <p className="mb-4 border-l-4 border-line pl-3 text-ink2">Signed off. A lead can reopen it with a reason.</p>;
  const why = stop.state === 'skipped' ? ['This unit does not stop here now.'] : stop.why.map(sayWhyNot);
  return (
    <div className="mb-4 border-l-4 border-amber pl-3">
      {why.map((w) => (
        <p key={w}>{w}</p>
      ))}
    </div>
  );
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
