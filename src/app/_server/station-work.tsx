import type { ReactNode } from 'react';
import { cleaningBody, cleaningFor, drillingsOf } from '@/core/clean/cleaning';
import { may, type Person } from '@/core/people/role';
import type { Units } from '@/core/quantity/units';
import type { Station } from '@/core/route/station';
import { sayWhyNot, whyNotDone } from '@/core/route/why-not';
import type { Rules } from '@/core/rules/rule-set';
import { factsOf, routeOfUnit } from '@/core/unit/facts-of';
import { namedNeeds, rankedKits } from '@/core/unit/ranked-kits';
import { hungPhotos } from '@/core/unit/shown-photos';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { theDb } from '@/db/connection';
import { everyone } from '@/db/people';
import { kitStore } from '@/db/stations/kit';
import { lastRunOf } from '@/db/stations/prove';
import { certificateOf } from '@/db/stations/release';
import { Clean } from '@/ui/stations/clean';
import { CloseUp } from '@/ui/stations/close-up';
import { Confirm } from '@/ui/stations/confirm';
import { Kit } from '@/ui/stations/kit';
import { Prove } from '@/ui/stations/prove';
import { Release } from '@/ui/stations/release';
import { SignOffBar } from '@/ui/unit/sign-off-bar';
import { StationFrame } from '@/ui/unit/station-frame';
import { putKitBackAction, setKitAsideAction } from '../actions/kit';
import { abortRunAction, startRunAction } from '../actions/prove';
import { releaseAction, signAction } from '../actions/release';
import { recordPartAction, treatAction } from '../actions/strip';
import { signOffAction } from '../actions/unit';
import { BoreWork } from './bore-work';
import { NotNow } from './not-now';
import { CausesOf, StripWork } from './strip-work';

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
  const { unit, family } = record;
  const inShop = unit.exit === null;
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
          <div className="mt-4">
            <CausesOf record={record} open={inShop && may(person.role, 'book-in')} />
          </div>
        </StationFrame>
      );
    case 'strip':
      return (
        <StationFrame
          title={`STRIP · ${record.tray.filter((p) => p.found !== null).length} of ${record.tray.length} on the tray`}
          note="open end to the left, as in the drawing above"
          ledger={ledger}
          aside={<div className="mb-4">{atWork ? signOff('Strip done') : <NotNow stop={stop} />}</div>}
        >
          <StripWork record={record} units={units} rules={rules} open={atWork} mayFind={may(person.role, 'book-in')} />
        </StationFrame>
      );
    case 'clean':
      return (
        <StationFrame
          title="CLEAN"
          ledger={ledger}
          aside={<div className="mb-4">{signOff('Clean and dry') || <NotNow stop={stop} />}</div>}
        >
          <Clean
            target={target}
            advice={cleaningFor(cleaningBody(unit.material, record.tray))}
            drillings={drillingsOf(family, unit.geometry, record.tray)}
            treatments={record.treatments}
            judged={unit.geometry !== null}
            units={units}
            treat={treatAction}
            open={inShop && may(person.role, 'bench')}
          />
        </StationFrame>
      );
    case 'gauge':
    case 'judge':
    case 'hone':
    case 'sleeve':
      return (
        <BoreWork
          record={record}
          station={station}
          stop={stop}
          open={atWork}
          units={units}
          rules={rules}
          ledger={ledger}
          confirm={confirm}
        />
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
          family={family}
          tray={record.tray}
          kits={record.setAside.map((s) => s.number)}
          photos={hungPhotos(record)}
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
      if (family.proof === 'by-hand')
        return confirm(
          'PROVE · by hand',
          [
            'Vacuum drawn and held for a minute with the rod at rest: no fall.',
            'Held again with the rod pressed: no fall, and it returns by itself.',
            'Check valve holds one way and passes the other.',
          ],
          'What was read, and with what',
          'Proved by hand',
        );
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
            needed={family.brake ? 2 : 1}
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
