import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { benchOf, newestOf } from '@/core/bench/bench-record';
import { roleOf } from '@/core/family/family-name';
import { laneOf } from '@/core/family/lane';
import { openingsOf } from '@/core/finish/finish';
import { may, type Person } from '@/core/people/role';
import type { Units } from '@/core/quantity/units';
import { cautionsAt } from '@/core/route/cautions';
import { type Stop, whyNotNow } from '@/core/route/route';
import { sayWhyNot, whyNotDone } from '@/core/route/why-not';
import type { Rules } from '@/core/rules/rule-set';
import type { Schools } from '@/core/rules/schools';
import { STATION_WORDS, STATIONS, type Station } from '@/core/station';
import { drawnParts } from '@/core/unit/drawn-parts';
import { factsOf, judgedMarks, routeOfUnit, trayWayOf } from '@/core/unit/facts-of';
import { finishBody } from '@/core/unit/finish-body';
import { foldHistory, undoable } from '@/core/unit/history';
import { newestPhotos } from '@/core/unit/shown-photos';
import { stationPicture } from '@/core/unit/station-picture';
import { tagNumber, tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { theDb } from '@/db/engine/connection';
import { unitOfTag } from '@/db/engine/kept-units';
import { everyone } from '@/db/people/people';
import { rulesInForce } from '@/db/rules/rules';
import { historyOf } from '@/db/unit/history';
import { otherLives } from '@/db/unit/lives';
import { FinishFold } from '@/ui/finish/finish-fold';
import { Ledger } from '@/ui/unit/ledger';
import { Ribbon } from '@/ui/unit/ribbon';
import type { UnitTarget } from '@/ui/unit/unit-actions';
import { UnitHead } from '@/ui/unit/unit-head';
import { unitsOf } from '../../../../_server/preferences';
import { personOrSignIn } from '../../../../_server/who';
import { findCuredAction, putOnFinishAction } from '../../../../actions/finish';
import { leaveAction, reopenAction } from '../../../../actions/release';
import { endWaitAction, startWaitAction, undoAction } from '../../../../actions/unit';

/** A unit at a station, and who looks at it: what the station's page is made from. */
export type AtStation = {
  readonly record: UnitRecord;
  readonly target: UnitTarget;
  readonly station: Station;
  readonly stop: Stop | undefined;
  readonly person: Person;
  readonly everyone: readonly Person[];
  readonly units: Units;
  readonly rules: Rules;
  readonly schools: Schools;
  readonly inShop: boolean;
  /** It is this station's turn, and this person may do its work. */
  readonly atWork: boolean;
  /** What is missing before it may be signed off, in words. */
  readonly unmet: readonly string[];
  readonly ledger: ReactNode;
  readonly now: number;
  /** What its address asks to look at, after `?`. */
  readonly asked: { readonly [name: string]: string | readonly string[] | undefined };
};

/** Steps that the ledger shows; all are on a page of their own. */
const STEPS_SHOWN = 6;

type Params = {
  readonly params: Promise<{ readonly tag: string }>;
  readonly searchParams?: Promise<{ readonly [name: string]: string | readonly string[] | undefined }>;
};

const LEDGER_ACTIONS = {
  startWait: startWaitAction,
  endWait: endWaitAction,
  undo: undoAction,
  reopen: reopenAction,
  leave: leaveAction,
};

export const titled =
  (station: Station) =>
  async ({ params }: Params): Promise<Metadata> => ({ title: `${(await params).tag} · ${STATION_WORDS[station]}` });

/** The page of a unit at a station: its head, its route, and the station's own work below. */
export const stationPage = (station: Station, work: (at: AtStation) => ReactNode | Promise<ReactNode>) =>
  async function StationPage({ params, searchParams }: Params) {
    const number = tagNumber((await params).tag);
    const db = await theDb();
    const record = number === undefined ? undefined : await unitOfTag(db, number);
    if (record === undefined) notFound();
    const { unit } = record;
    const person = await personOrSignIn();
    const [lives, units, { rules, schools }, people, history] = await Promise.all([
      otherLives(db, unit),
      unitsOf(),
      rulesInForce(db),
      everyone(db),
      historyOf(db, unit.id),
    ]);
    const steps = foldHistory(history);
    const now = Date.now();
    const route = routeOfUnit(record);
    const stop = route.find((s) => s.station === station);
    const inShop = unit.exit === null;
    const target = { unitId: unit.id, version: unit.version };
    const at: AtStation = {
      record,
      target,
      station,
      stop,
      person,
      everyone: people,
      units,
      rules,
      schools,
      inShop,
      atWork: inShop && whyNotNow(station, route).length === 0 && may(person.role, 'bench'),
      unmet: whyNotDone(station, factsOf(record)).map(sayWhyNot),
      ledger: (
        <>
          {inShop && may(person.role, 'bench') && <Finishes record={record} station={station} target={target} />}
          <Ledger
            target={target}
            tag={tagOf(unit)}
            station={station}
            person={person}
            people={people.map(({ id, name }) => ({ id, name }))}
            inShop={inShop}
            cautions={cautionsAt(station, record.family)}
            notes={stationNotes(record, station)}
            timers={record.timers}
            photos={newestPhotos(record)}
            photosInAll={record.photos.length}
            phase={trayWayOf(record)}
            history={steps.slice(0, STEPS_SHOWN)}
            stepsInAll={steps.length}
            undoable={inShop ? undoable(history, person)?.kind : undefined}
            reopenable={reopenable(record)}
            lives={sayLives(lives)}
            sums={sumsFor(record)}
            actions={LEDGER_ACTIONS}
            now={now}
          />
        </>
      ),
      now,
      asked: (await searchParams) ?? {},
    };
    const picture = stationPicture(record, station, at.asked.step);
    return (
      <>
        <UnitHead
          unit={unit}
          job={record.job}
          family={record.family}
          parts={drawnParts(record, picture.marked)}
          pressed={picture.pressed}
          lanes={unit.geometry?.seals.map((s) => laneOf(s, rules.laneMarginMm)) ?? []}
          marks={judgedMarks(record)}
          stopAtMm={
            station === 'hone' && record.family.bore === 'blind' && unit.geometry !== null ? unit.geometry.lengthMm - rules.reliefMm : null
          }
          units={units}
          now={now}
          station={station}
        />
        <Ribbon tag={tagOf(unit)} route={route} here={station} />
        {await work(at)}
      </>
    );
  };

const stationNotes = (record: UnitRecord, station: Station): readonly string[] =>
  record.steps
    .filter((s) => s.station === station && (s.note !== '' || s.override !== null))
    .map((s) => (s.override === null ? s.note : `Overridden: ${s.unmet.join(' ')} Reason: ${s.override}`));

/** Stations at which something is put on a body; what cures is told at all of them. */
const FINISHED_AT: readonly Station[] = ['clean', 'close-up', 'set'];

const Finishes = ({ record, station, target }: Pick<AtStation, 'record' | 'station' | 'target'>) => {
  const finishes = benchOf(record.bench, 'finish');
  if (!FINISHED_AT.includes(station) && finishes.every((f) => f.curedAt !== null)) return null;
  return (
    <FinishFold
      target={target}
      finishes={finishes}
      body={finishBody(record)}
      openings={openingsOf(record.family, record.unit.geometry)}
      putOn={putOnFinishAction}
      findCured={findCuredAction}
    />
  );
};

const sayLives = ({ before, after }: Awaited<ReturnType<typeof otherLives>>): string | undefined => {
  if (before === null && after.length === 0) return undefined;
  return [
    ...(before === null ? [] : [`It came back: it was here as ${before}.`]),
    ...after.map((tag) => `It has come back as ${tag}.`),
  ].join(' ');
};

/** Sums that this unit's own figures start. */
const sumsFor = ({ unit: { geometry }, family, bench }: UnitRecord): readonly (readonly [string, string])[] => {
  if (geometry === null) return [];
  const fluid = newestOf(bench, 'touch')?.fluid;
  return [
    ...(roleOf(family) === 'master' ? [[`/sums/hydraulics?bore=${geometry.nominalMm}`, 'Another bore'] as const] : []),
    ...(roleOf(family) === 'slave' ? [[`/sums/clutch?slave=${geometry.nominalMm}`, 'Clutch release'] as const] : []),
    [`/sums/fluids${fluid == null ? '' : `?fluid=${fluid}`}`, 'What touches what'],
  ];
};

/** Stations that a lead may open again: those signed off, and where a unit that has left was. */
const reopenable = ({ unit, steps }: UnitRecord): readonly Station[] =>
  STATIONS.filter((s) => s !== 'book-in' && (steps.some((x) => x.station === s) || (unit.exit !== null && s === unit.station)));
