import { TriangleAlert } from 'lucide-react';
import { may, type Person } from '@/core/people/role';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { CAUTIONS } from '@/core/route/cautions';
import { STATION_WORDS, STATIONS, type Station } from '@/core/route/station';
import { EVENT_KINDS, type EventKind } from '@/core/unit/event-kind';
import { trayWayOf } from '@/core/unit/facts-of';
import { foldHistory, type HistoryLine } from '@/core/unit/history';
import { newestPhotos } from '@/core/unit/shown-photos';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { PhotoBox } from '../photo/photo-box';
import { LeadBox } from './lead-box';
import { Scroll } from './scroll';
import { UndoButton } from './undo-button';
import type { SaveAction } from './unit-actions';
import { WaitBox } from './wait-box';

export type LedgerActions = {
  readonly startWait: SaveAction;
  readonly endWait: SaveAction;
  readonly undo: SaveAction;
  readonly reopen: SaveAction;
  readonly leave: SaveAction;
};

/** Beside every station: cautions, waits, photos, what a lead may do, and the unit's history. */
export function Ledger({
  record,
  station,
  person,
  people,
  history,
  undoable,
  actions,
  now,
}: {
  readonly record: UnitRecord;
  readonly station: Station;
  readonly person: Person;
  /** Who can look after a wait. */
  readonly people: readonly Pick<Person, 'id' | 'name'>[];
  readonly history: readonly HistoryLine[];
  readonly undoable: EventKind | undefined;
  readonly actions: LedgerActions;
  readonly now: number;
}) {
  const target = { unitId: record.unit.id, version: record.unit.version };
  const inShop = record.unit.exit === null;
  return (
    <div className="grid gap-4">
      {(CAUTIONS[station] ?? []).map((text) => (
        <p key={text} className="flex gap-3 border-t border-hair pt-3">
          <TriangleAlert size={20} className={`mt-0.5 shrink-0 ${station === 'prove' ? 'text-red' : 'text-amber'}`} aria-label="Caution" />
          {text}
        </p>
      ))}
      {record.steps
        .filter((s) => s.station === station && (s.note !== '' || s.override !== null))
        .map((s) => (
          <p key={s.id} className="border-l-4 border-line pl-3 text-ink2">
            {s.override === null ? s.note : `Overridden: ${s.unmet.join(' ')} Reason: ${s.override}`}
          </p>
        ))}
      <WaitBox
        target={target}
        timers={record.timers}
        people={people}
        me={person.id}
        startWait={actions.startWait}
        endWait={actions.endWait}
        open={inShop && may(person.role, 'bench')}
      />
      <PhotoBox
        unitId={record.unit.id}
        tag={tagOf(record.unit)}
        photos={newestPhotos(record)}
        total={record.photos.length}
        phase={trayWayOf(record)}
        open={inShop}
      />
      <section>
        <h2 className="head mb-1">History</h2>
        {inShop && undoable !== undefined && <UndoButton target={target} what={EVENT_KINDS[undoable]} undo={actions.undo} />}
        <Scroll label="Steps" className="max-h-64">
          <ol>
            {foldHistory(history).map((h) => (
              <li
                key={h.id}
                className={`flex justify-between gap-3 border-b border-hair py-1 text-[13px] ${h.undone ? 'line-through' : ''}`}
              >
                <span>
                  {EVENT_KINDS[h.kind]}
                  {h.count > 1 ? ` × ${h.count}` : ''}
                  <span className="text-ink2">{h.note === '' ? '' : `: ${STATION_WORDS[h.note as Station] ?? h.note}`}</span>
                </span>
                <span className="shrink-0 text-ink2" title={sayFullDate(h.at)}>
                  {h.by} · {sayWhen(h.at, now)}
                </span>
              </li>
            ))}
          </ol>
        </Scroll>
      </section>
      {may(person.role, 'reopen') && (
        <LeadBox
          target={target}
          canReopen={STATIONS.filter(
            (s) => s !== 'book-in' && (record.steps.some((x) => x.station === s) || (!inShop && s === record.unit.station)),
          )}
          inShop={inShop}
          reopen={actions.reopen}
          leave={actions.leave}
        />
      )}
    </div>
  );
}
