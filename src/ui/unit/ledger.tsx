'use client';

import { TriangleAlert } from 'lucide-react';
import { may, type Person } from '@/core/people/role';
import type { Station } from '@/core/station';
import { EVENT_KINDS, type EventKind } from '@/core/unit/event-kind';
import type { FoldedLine } from '@/core/unit/history';
import type { Photo } from '@/core/unit/photo';
import type { Timer } from '@/core/unit/timer';
import type { EndWait, JustTarget, Leave, Reopen, StartWait } from '@/core/unit/unit-doors';
import { PhotoBox } from '../photo/photo-box';
import { Go } from '../shell/go';
import { HistoryLines } from './history-lines';
import { LeadBox } from './lead-box';
import { UndoButton } from './undo-button';
import type { SaveAction, UnitTarget } from './unit-actions';
import { WaitBox } from './wait-box';

export type LedgerActions = {
  readonly startWait: SaveAction<StartWait>;
  readonly endWait: SaveAction<EndWait>;
  readonly undo: SaveAction<JustTarget>;
  readonly reopen: SaveAction<Reopen>;
  readonly leave: SaveAction<Leave>;
};

/** Beside every station: cautions, waits, photos, what a lead may do, and the unit's history. */
export function Ledger({
  target,
  tag,
  station,
  person,
  people,
  inShop,
  cautions,
  notes,
  timers,
  photos,
  photosInAll,
  phase,
  history,
  stepsInAll,
  undoable,
  reopenable,
  lives,
  sums,
  actions,
  now,
}: {
  readonly target: UnitTarget;
  readonly tag: string;
  readonly station: Station;
  readonly person: Person;
  /** Who can look after a wait. */
  readonly people: readonly Pick<Person, 'id' | 'name'>[];
  readonly inShop: boolean;
  readonly cautions: readonly string[];
  /** What was noted when this station was signed off or passed over. */
  readonly notes: readonly string[];
  readonly timers: readonly Timer[];
  readonly photos: readonly Photo[];
  readonly photosInAll: number;
  readonly phase: Photo['phase'];
  /** The newest steps, and how many there are. */
  readonly history: readonly FoldedLine[];
  readonly stepsInAll: number;
  /** What this person may take back. */
  readonly undoable: EventKind | undefined;
  readonly reopenable: readonly Station[];
  /** Where it stands beside its other life; undefined when it was here once. */
  readonly lives: string | undefined;
  /** Sums that start with this unit's figures: address and name. */
  readonly sums: readonly (readonly [href: string, name: string])[];
  readonly actions: LedgerActions;
  readonly now: number;
}) {
  return (
    <div className="grid gap-4">
      {cautions.map((text) => (
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
      {notes.map((note) => (
        <p key={note} className="border-l-4 border-line pl-3 text-ink2">
          {note}
        </p>
      ))}
      <WaitBox
        target={target}
        timers={timers}
        people={people}
        me={person.id}
        startWait={actions.startWait}
        endWait={actions.endWait}
        open={inShop && may(person.role, 'bench')}
      />
      <PhotoBox unitId={target.unitId} tag={tag} photos={photos} total={photosInAll} phase={phase} open={inShop} />
      <section>
        <h2 className="head mb-1">History</h2>
        {undoable !== undefined && <UndoButton target={target} what={EVENT_KINDS[undoable]} undo={actions.undo} />}
        <HistoryLines lines={history} now={now} />
        {stepsInAll > history.length && (
          <Go className="btn-quiet mt-2 w-fit" href={`/units/${tag}/history`}>
            All {stepsInAll} steps
          </Go>
        )}
      </section>
      <nav aria-label="Papers and sums for this unit" className="flex flex-wrap gap-x-4 border-t border-hair pt-1">
        <a
          className="inline-flex min-h-[44px] items-center font-bold text-act"
          href={`/api/v1/units/${tag}/traveller.pdf`}
          target="_blank"
          rel="noreferrer"
        >
          Traveller
        </a>
        {sums.map(([href, name]) => (
          <Go key={href} className="inline-flex min-h-[44px] items-center font-bold text-act" href={href}>
            {name}
          </Go>
        ))}
      </nav>
      {may(person.role, 'reopen') && (
        <LeadBox target={target} canReopen={reopenable} inShop={inShop} reopen={actions.reopen} leave={actions.leave} />
      )}
    </div>
  );
}
