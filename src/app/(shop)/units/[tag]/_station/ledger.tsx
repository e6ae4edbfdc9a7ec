import { TriangleAlert } from 'lucide-react';
import { benchOf, newestOf } from '@/core/bench/bench-record';
import { roleOf } from '@/core/family/family-name';
import { openingsOf } from '@/core/finish/finish';
import { may, type Person } from '@/core/people/role';
import { rewritten } from '@/core/quantity/figure';
import { sayDecided } from '@/core/quote/say-quote';
import { cautionsAt } from '@/core/route/cautions';
import { practiceJobOf } from '@/core/shop/practice-tag';
import type { Station } from '@/core/station';
import { STATIONS } from '@/core/station';
import { EVENT_KINDS } from '@/core/unit/event-kind';
import { trayWayOf } from '@/core/unit/facts-of';
import { finishBody } from '@/core/unit/finish-body';
import { foldHistory, undoable } from '@/core/unit/history';
import { newestPhotos } from '@/core/unit/shown-photos';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import type { historyOf } from '@/db/unit/history';
import type { otherLives } from '@/db/unit/lives';
import { FinishFold } from '@/ui/finish/finish-fold';
import { PhotoBox } from '@/ui/photo/photo-box';
import { Go } from '@/ui/shell/go';
import { BranchBox } from '@/ui/unit/branch-box';
import { HistoryLines } from '@/ui/unit/history-lines';
import { LeadBox } from '@/ui/unit/lead-box';
import { UndoButton } from '@/ui/unit/undo-button';
import { WaitBox } from '@/ui/unit/wait-box';

/** Steps that the ledger shows; all are on a page of their own. */
const STEPS_SHOWN = 6;

/** Beside every station: finishes, cautions, waits, photos, what a lead may do, and the unit's history. */
export function Ledger({
  record,
  station,
  person,
  people,
  history,
  lives: known,
  now,
}: {
  readonly record: UnitRecord;
  readonly station: Station;
  readonly person: Person;
  /** Who can look after a wait. */
  readonly people: readonly Person[];
  readonly history: Awaited<ReturnType<typeof historyOf>>;
  readonly lives: Awaited<ReturnType<typeof otherLives>>;
  readonly now: number;
}) {
  const tag = tagOf(record.unit);
  const inShop = record.unit.exit === null;
  const steps = foldHistory(history);
  const mayUndo = inShop ? undoable(history, person)?.kind : undefined;
  const lives = sayLives(known);
  const decided = inShop ? sayDecided(record.quotes, now) : undefined;
  // A practice unit has no papers, and its photos would be the shop’s.
  const practised = practiceJobOf(record.unit.tagNo) !== undefined;
  return (
    <div className="grid gap-4">
      {decided !== undefined && (
        <p className={`border-l-4 pl-3 ${decided.kind === 'stop' ? 'border-red font-bold' : 'border-amber'}`}>
          {decided.text}{' '}
          <Go className="font-bold text-act underline" href={`/units/${tag}/options`}>
            The quote
          </Go>
        </p>
      )}
      {inShop && may(person.role, 'bench') && <Finishes record={record} station={station} />}
      {cautionsAt(station, record.family).map((text) => (
        <p key={text} className="flex gap-3 border-t border-hair pt-3">
          <TriangleAlert size={20} className={`mt-0.5 shrink-0 ${station === 'prove' ? 'text-red' : 'text-amber'}`} aria-label="Caution" />
          {text}
        </p>
      ))}
      {lives !== undefined && (
        <p className="border-l-4 border-amber pl-3">
          {lives}{' '}
          <Go className="font-bold text-act underline" href={`/units/${tag}/lives`}>
            Its lives side by side
          </Go>
        </p>
      )}
      {stationNotes(record, station).map((note) => (
        <p key={note} className="border-l-4 border-line pl-3 text-ink2">
          {rewritten(note)}
        </p>
      ))}
      <WaitBox
        timers={record.timers}
        people={people.map(({ id, name }) => ({ id, name }))}
        me={person.id}
        open={inShop && may(person.role, 'bench')}
      />
      {inShop && <BranchBox unit={record.unit} />}
      {!practised && (
        <PhotoBox
          unitId={record.unit.id}
          tag={tag}
          photos={newestPhotos(record)}
          total={record.photos.length}
          phase={trayWayOf(record)}
          open={inShop}
        />
      )}
      <section>
        <h2 className="head mb-1">History</h2>
        {mayUndo !== undefined && <UndoButton what={EVENT_KINDS[mayUndo]} />}
        <HistoryLines lines={steps.slice(0, STEPS_SHOWN)} now={now} />
        {steps.length > STEPS_SHOWN && (
          <Go className="btn-quiet mt-2 w-fit" href={`/units/${tag}/history`}>
            All {steps.length} steps
          </Go>
        )}
      </section>
      {!practised && (
        <nav aria-label="Papers and sums for this unit" className="flex flex-wrap gap-x-4 border-t border-hair pt-1">
          <a
            className="inline-flex min-h-[44px] items-center font-bold text-act"
            href={`/api/v1/units/${tag}/traveller.pdf`}
            target="_blank"
            rel="noreferrer"
          >
            Traveller
          </a>
          <a
            className="inline-flex min-h-[44px] items-center font-bold text-act"
            href={`/api/v1/units/${tag}/fitting`}
            target="_blank"
            rel="noreferrer"
          >
            Fitting sheet
          </a>
          <a className="inline-flex min-h-[44px] items-center font-bold text-act" href={`/api/v1/units/${tag}/unit.json`}>
            All of it as a file
          </a>
          <Go
            className="inline-flex min-h-[44px] items-center font-bold text-act"
            href={`/units/${tag}/${inShop ? 'options' : 'hand-over'}`}
          >
            {inShop ? 'Repair, exchange, new?' : 'Hand over, bill'}
          </Go>
          {!inShop && may(person.role, 'teach') && (
            <Go className="inline-flex min-h-[44px] items-center font-bold text-act" href={`/units/${tag}/case`}>
              A case for practice
            </Go>
          )}
          {sumsFor(record).map(([href, name]) => (
            <Go key={href} className="inline-flex min-h-[44px] items-center font-bold text-act" href={href}>
              {name}
            </Go>
          ))}
        </nav>
      )}
      {may(person.role, 'reopen') && <LeadBox canReopen={reopenable(record)} inShop={inShop} />}
    </div>
  );
}

const stationNotes = (record: UnitRecord, station: Station): readonly string[] =>
  record.steps
    .filter((s) => s.station === station && (s.note !== '' || s.override !== null))
    .map((s) => (s.override === null ? s.note : `Overridden: ${s.unmet.join(' ')} Reason: ${s.override}`));

/** Stations at which something is put on a body; what cures is told at all of them. */
const FINISHED_AT: readonly Station[] = ['clean', 'close-up', 'set'];

const Finishes = ({ record, station }: { readonly record: UnitRecord; readonly station: Station }) => {
  const finishes = benchOf(record.bench, 'finish');
  if (!FINISHED_AT.includes(station) && finishes.every((f) => f.curedAt !== null)) return null;
  return <FinishFold finishes={finishes} body={finishBody(record)} openings={openingsOf(record.family, record.unit.geometry)} />;
};

const sayLives = ({ before, after }: Awaited<ReturnType<typeof otherLives>>): string | undefined => {
  if (before === null && after.length === 0) return undefined;
  return [
    ...(before === null ? [] : [`It came back: it was here as ${before}.`]),
    ...after.map((tag) => `It has come back as ${tag}.`),
  ].join(' ');
};

/** Sums that this unit's own figures start. */
const sumsFor = ({ unit: { geometry }, family, bench, identity }: UnitRecord): readonly (readonly [string, string])[] => {
  if (family.name === 'hard-line') return [['/sums/line', 'Cut and bend it anew']];
  if (geometry === null) return [];
  const fluid = newestOf(bench, 'touch')?.fluid;
  return [
    ...(roleOf(family) === 'master' ? [[`/sums/hydraulics?bore=${geometry.nominalMm}`, 'Another bore'] as const] : []),
    ...(roleOf(family) === 'slave' ? [[`/sums/clutch?slave=${geometry.nominalMm}`, 'Clutch release'] as const] : []),
    [`/sums/fluids${fluid == null ? '' : `?fluid=${fluid}`}`, 'What touches what'],
    [`/sums/bleed${identity === null ? '' : `?fitment=${encodeURIComponent(identity.fitmentId)}`}`, 'Bleed'],
  ];
};

/** Stations that a lead may open again: those signed off, and where a unit that has left was. */
const reopenable = ({ unit, steps }: UnitRecord): readonly Station[] =>
  STATIONS.filter((s) => s !== 'book-in' && (steps.some((x) => x.station === s) || (unit.exit !== null && s === unit.station)));
