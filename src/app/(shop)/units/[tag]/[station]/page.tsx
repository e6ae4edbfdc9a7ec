import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { STATION_WORDS, STATIONS, type Station } from '@/core/route/station';
import { routeOfUnit } from '@/core/unit/facts-of';
import { tagNumber, tagOf } from '@/core/unit/unit-record';
import { theDb } from '@/db/connection';
import { historyOf } from '@/db/history';
import { loadUnit } from '@/db/load-unit';
import { everyone } from '@/db/people';
import { unitIdOfTag } from '@/db/stations/book-in';
import { rulesInForce } from '@/db/stations/bore';
import { undoable } from '@/db/stations/undo';
import { Ledger } from '@/ui/unit/ledger';
import { Ribbon } from '@/ui/unit/ribbon';
import { UnitHead } from '@/ui/unit/unit-head';
import { unitsOf } from '../../../../_server/preferences';
import { StationWork } from '../../../../_server/station-work';
import { personOrSignIn } from '../../../../_server/who';
import { leaveAction, reopenAction } from '../../../../actions/release';
import { endWaitAction, startWaitAction, undoAction } from '../../../../actions/unit';

type Params = { readonly params: Promise<{ tag: string; station: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  const { tag, station } = await params;
  return { title: `${tag} · ${STATION_WORDS[station as Station] ?? station}` };
}

const LEDGER_ACTIONS = {
  startWait: startWaitAction,
  endWait: endWaitAction,
  undo: undoAction,
  reopen: reopenAction,
  leave: leaveAction,
};

export default async function StationPage({ params }: Params) {
  const { tag, station: name } = await params;
  const station = STATIONS.find((s) => s === name);
  const number = tagNumber(tag);
  const db = await theDb();
  const id = number === undefined ? undefined : await unitIdOfTag(db, number);
  const record = id === undefined ? undefined : await loadUnit(db, id);
  if (record === undefined || station === undefined) notFound();
  const person = await personOrSignIn();
  const [units, rules, people, history, last] = await Promise.all([
    unitsOf(),
    rulesInForce(db),
    everyone(db),
    historyOf(db, record.unit.id),
    undoable(db, record.unit.id, person),
  ]);
  const now = Date.now();
  const ledger = (
    <Ledger
      record={record}
      station={station}
      person={person}
      people={people.map(({ id, name }) => ({ id, name }))}
      history={history}
      undoable={last?.kind}
      actions={LEDGER_ACTIONS}
      now={now}
    />
  );
  return (
    <>
      <UnitHead record={record} units={units} rules={rules.rules} now={now} station={station} />
      <Ribbon tag={tagOf(record.unit)} route={routeOfUnit(record)} here={station} />
      <StationWork record={record} station={station} person={person} units={units} rules={rules.rules} ledger={ledger} now={now} />
    </>
  );
}
