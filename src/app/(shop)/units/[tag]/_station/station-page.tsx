import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { capital } from '@/core/capital';
import { chamberSpan } from '@/core/family/chamber-span';
import { may, type Person, type Role } from '@/core/people/role';
import { sayDia } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import { type Stop, stationNow, whyNotNow } from '@/core/route/route';
import { sayWhyNot, whyNotDone } from '@/core/route/why-not';
import type { Rules } from '@/core/rules/rule-set';
import type { Branch } from '@/core/shop/branch';
import { STATION_WORDS, type Station } from '@/core/station';
import { boreDrawings, lanesIn, partsIn } from '@/core/unit/bore-drawing';
import { boresOf, hasPot, inPot, potName } from '@/core/unit/bores';
import { drawnParts } from '@/core/unit/drawn-parts';
import { currentGauging, currentVerdict, factsOf, judgedMarks, routeOfUnit } from '@/core/unit/facts-of';
import { EACH_BORE, isToDo, potToDo } from '@/core/unit/pot-to-do';
import { type StationPicture, stationPicture } from '@/core/unit/station-picture';
import { tagNumber, tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { unitOfTag } from '@/db/engine/cached-units';
import { theDb } from '@/db/engine/connection';
import { heldUpAt } from '@/db/engine/skill-gate';
import { staff } from '@/db/people/people';
import { standBysFor } from '@/db/practice/skills';
import { rulesInForce } from '@/db/rules/rules';
import { historyOf } from '@/db/unit/history';
import { otherLives } from '@/db/unit/lives';
import type { DrawnBore } from '@/ui/drawing/section-view';
import { StandByBox } from '@/ui/practice/stand-by-box';
import { Go } from '@/ui/shell/go';
import { NextStation } from '@/ui/unit/next-station';
import { Ribbon } from '@/ui/unit/ribbon';
import { type AtUnit, StationProvider } from '@/ui/unit/station-context';
import { UnitHead } from '@/ui/unit/unit-head';
import { headAt, unitsOf } from '../../../../_server/preferences';
import { shopNow } from '../../../../_server/shop-now';
import { personOrSignIn } from '../../../../_server/who';
import { Ledger } from './ledger';

/** A unit at a station, and who looks at it: what the station's page is made from. */
export type AtStation = {
  readonly record: UnitRecord;
  /** Which of its bores the page is about, from 1, and the record as that bore sees it. */
  readonly pot: number;
  readonly bore: UnitRecord;
  readonly station: Station;
  readonly stop: Stop | undefined;
  readonly person: Person;
  readonly staff: readonly Person[];
  readonly units: Units;
  readonly rules: Rules;
  readonly inShop: boolean;
  /** Of the shop; none in a shop of one place. */
  readonly branches: readonly Branch[];
  /** It is this station's turn, and this person may do its work. */
  readonly atWork: boolean;
  /** What is missing before it may be signed off, in words. */
  readonly unmet: readonly string[];
  readonly ledger: ReactNode;
  readonly now: number;
  /** What its address asks to look at, after `?`. */
  readonly asked: { readonly [name: string]: string | readonly string[] | undefined };
};

type Params = {
  readonly params: Promise<{ readonly tag: string }>;
  readonly searchParams?: Promise<{ readonly [name: string]: string | readonly string[] | undefined }>;
};

export const titled =
  (station: Station) =>
  async ({ params }: Params): Promise<Metadata> => ({ title: `${(await params).tag} · ${STATION_WORDS[station]}` });

/** The page of a unit at a station: its head, its route, and the station's own work below. */
export const stationPage = (station: Station, work: (at: AtStation) => ReactNode | Promise<ReactNode>) =>
  async function StationPage({ params, searchParams }: Params) {
    const number = tagNumber((await params).tag);
    const db = await theDb();
    const [record, person, units, { rules, schools }, people, { settings }] = await Promise.all([
      number === undefined ? undefined : unitOfTag(db, number),
      personOrSignIn(),
      unitsOf(),
      rulesInForce(db),
      staff(db),
      shopNow(),
    ]);
    if (record === undefined) notFound();
    const { unit } = record;
    const now = Date.now();
    const [lives, history, heldUp] = await Promise.all([
      otherLives(db, unit),
      historyOf(db, unit.id),
      heldUpAt(db, { unitId: unit.id, personId: person.id, work: station, at: now }),
    ]);
    const route = routeOfUnit(record);
    const stop = route.find((s) => s.station === station);
    const inShop = unit.exit === null;
    const asked = (await searchParams) ?? {};
    const itsTurn = mayWork(station, record, route, person.role);
    const named = Number(asked.pot);
    const pot = hasPot(unit, named) ? named : (potToDo(record, station) ?? 1);
    const at: AtStation = {
      record,
      pot,
      bore: inPot(record, pot),
      station,
      stop,
      person,
      staff: people,
      units,
      rules,
      inShop,
      branches: settings.branches,
      atWork: itsTurn && heldUp === undefined,
      unmet: whyNotDone(station, factsOf(record)).map(sayWhyNot),
      ledger: <Ledger record={record} station={station} person={person} people={people} history={history} lives={lives} now={now} />,
      now,
      asked,
    };
    const target = { unitId: unit.id, version: unit.version };
    const here: AtUnit = { target, tag: tagOf(unit), rules, schools, role: person.role, pot, now, open: at.atWork, inShop };
    const picture = stationPicture(record, station, at.asked.step);
    return (
      <StationProvider at={here}>
        <UnitHead
          unit={unit}
          job={record.job}
          family={record.family}
          bores={drawnBores(record, picture, rules)}
          stopAtMm={
            station === 'hone' && record.family.bore === 'blind' && at.bore.unit.geometry !== null
              ? at.bore.unit.geometry.lengthMm - rules.reliefMm
              : null
          }
          station={station}
          start={await headAt(station)}
        />
        <Ribbon tag={tagOf(unit)} route={route} here={station} />
        <NextStation key={`${tagOf(unit)} ${station}`} next={nextOf(at, route)} />
        {itsTurn && heldUp !== undefined && <StandByBox station={station} able={await standBysFor(db, station, person.id, people, now)} />}
        {EACH_BORE.includes(station) && <Pots at={at} />}
        {await work(at)}
      </StationProvider>
    );
  };

/** Where to go on once this is done: to the bore that is left at this station, else to the station whose turn it is. */
const nextOf = ({ record, bore, station, stop, inShop }: AtStation, route: readonly Stop[]) => {
  if (!inShop) return undefined;
  const page = `/units/${tagOf(record.unit)}`;
  const left = stop?.state === 'now' ? potToDo(record, station) : undefined;
  if (left !== undefined && !isToDo(bore, station)) return { href: `${page}/${station}?pot=${left}`, name: potName(record.unit, left) };
  const next = stop?.state === 'done' ? stationNow(route) : undefined;
  return next && { href: `${page}/${next}`, name: STATION_WORDS[next] };
};

/** The bores of a unit that has several, each with its size and how it is judged; the one that the page is about is marked. */
function Pots({ at: { record, pot, station, units } }: { readonly at: AtStation }) {
  const bores = boresOf(record);
  if (bores.length < 2) return null;
  return (
    <nav aria-label="Pots" className="flex gap-x-1 overflow-x-auto border-b border-line bg-sheet px-3">
      {bores.map((b) => (
        <Go
          key={b.pot}
          href={`/units/${tagOf(record.unit)}/${station}?pot=${b.pot}`}
          aria-current={b.pot === pot ? 'true' : undefined}
          className={`flex min-h-[44px] shrink-0 items-center gap-1.5 border-b-[3px] px-2 pt-[3px] ${b.pot === pot ? 'border-act font-bold' : 'border-transparent text-ink2'}`}
        >
          {capital(b.name)} ⌀ {sayDia(b.geometry.nominalMm, units)}: {sayBore(b.record)}
        </Go>
      ))}
    </nav>
  );
}

const sayBore = (bore: UnitRecord): string =>
  currentGauging(bore) === undefined ? 'to be gauged' : (currentVerdict(bore)?.answer.outcome ?? 'to be judged');

/** The unit's bores as the head of its pages draws them. */
const drawnBores = (record: UnitRecord, { marked, pressed }: StationPicture, rules: Rules): readonly DrawnBore[] => {
  const parts = drawnParts(record, marked);
  return boreDrawings(record.family, record.unit).map((bore) => ({
    ...bore,
    parts: partsIn(bore, parts, record.family),
    lanes: lanesIn(bore, rules.laneMarginMm),
    pressed: [pressed === null ? undefined : chamberSpan(bore.family, bore.geometry, pressed)].filter((span) => span !== undefined),
    marks: judgedMarks(inPot(record, bore.pot)),
  }));
};

/** Whether this person may do a station's work now; washing and choosing kits go on before and after their turn. */
const mayWork = (station: Station, record: UnitRecord, route: readonly Stop[], role: Role): boolean => {
  if (record.unit.exit !== null || record.unit.goesTo !== null) return false;
  const signedOff = (s: Station): boolean => record.steps.some((x) => x.station === s);
  if (station === 'clean') return may(role, 'bench');
  if (station === 'kit') return may(role, 'kit') && signedOff('strip') && !signedOff('close-up');
  return may(role, 'bench') && whyNotNow(station, route).length === 0;
};
