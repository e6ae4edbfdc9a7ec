'use client';

import { fixed } from '@/core/quantity/figure';
import { sayDia } from '@/core/quantity/say';
import { sayFullDate, saySpan, sayWhen } from '@/core/quantity/say-time';
import { sayWait } from '@/core/quantity/say-wait';
import { type Branch, branchOf, sayWhere } from '@/core/shop/branch';
import { BENCH_HOURS, SHELVES } from '@/core/station';
import type { TrayTag } from '@/core/unit/tray-tag';
import { tagOf } from '@/core/unit/unit-record';
import { Silhouette } from '../drawing/silhouette';
import { Tag } from '../drawing/tag';
import { OUTCOME_WORDS, VerdictSign } from '../drawing/verdict-sign';
import { Go } from '../shell/go';
import { useBranches } from '../shell/shop-context';
import { useUnits } from '../shell/units-context';

export type RackWait = { readonly unitId: string; readonly label: string; readonly endsAt: number };

/** All units in the shop: shelves down the page in the route's order, trays across by due date. */
export function Rack({
  trays,
  inAll,
  waits,
  at,
  now,
}: {
  readonly trays: readonly TrayTag[];
  /** Units in the shop; those that are not shown are due later. */
  readonly inAll: number;
  readonly waits: readonly RackWait[];
  /** The branch whose rack it is; all of them, or a shop of one place, where there is none. */
  readonly at: Branch | undefined;
  readonly now: number;
}) {
  const late = trays.filter((t) => t.dueAt < now).length;
  const waiting = trays.filter((t) => waits.some((w) => w.unitId === t.id && w.endsAt > now)).length;
  return (
    <div>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 px-4 py-2.5">
        <h1 className="text-[17px] font-bold">
          {inAll} {inAll === 1 ? 'unit' : 'units'} on the rack
        </h1>
        {inAll > trays.length && <span className="text-amber">the {trays.length} due first are shown; the others turn up by Find</span>}
        <span className="text-ink2">{hours(trays)} of bench work</span>
        {late > 0 && <span className="font-bold text-red">{late} late</span>}
        {waiting > 0 && <span className="text-amber">{waiting} waiting</span>}
        <BranchLinks at={at} />
        <Go href="/book-in" className="btn ml-auto min-h-9" title="Book in (b)">
          Book in <span className="font-normal opacity-80">B</span>
        </Go>
      </div>
      {trays.length === 0 && (
        <p className="px-4 py-8 text-ink2">The rack holds every unit in the shop, from the counter to release. Book one in to start.</p>
      )}
      {SHELVES.map((shelf) => {
        const on = trays.filter((t) => shelf.stations.includes(t.station));
        return (
          <section key={shelf.label} aria-label={shelf.label} className="flex min-h-[78px] border-b-4 border-shelf pt-1.5 max-md:flex-col">
            <div className="w-36 shrink-0 px-4 pt-1">
              <h2>{shelf.label}</h2>
              <p className="text-[13px] text-ink2">
                {on.length} · {hours(on)}
              </p>
            </div>
            <ul className="flex min-w-0 flex-1 items-end gap-2 overflow-x-auto px-1 pt-0.5 pr-4">
              {on.map((t) => (
                <TrayCard key={t.id} tray={t} wait={waits.find((w) => w.unitId === t.id)} now={now} />
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}

/** Whose rack is shown, and the others'. */
function BranchLinks({ at }: { readonly at: Branch | undefined }) {
  const branches = useBranches();
  if (branches.length < 2) return null;
  return (
    <nav aria-label="Branches" className="flex flex-wrap gap-x-3">
      {[...branches, { id: 'all', name: 'All branches' }].map((b) => (
        <Go
          key={b.id}
          href={`/?branch=${b.id}`}
          aria-current={b.id === (at?.id ?? 'all') ? 'true' : undefined}
          className={`inline-flex min-h-9 items-center border-b-[3px] ${b.id === (at?.id ?? 'all') ? 'border-act font-bold' : 'border-transparent text-ink2'}`}
        >
          {b.name}
        </Go>
      ))}
    </nav>
  );
}

const hours = (trays: readonly TrayTag[]): string =>
  `${fixed(
    trays.reduce((sum, t) => sum + BENCH_HOURS[t.station], 0),
    1,
  )} h`;

function TrayCard({ tray, wait, now }: { readonly tray: TrayTag; readonly wait: RackWait | undefined; readonly now: number }) {
  const late = tray.dueAt < now;
  return (
    <li className="shrink-0">
      <Go
        data-tray
        href={`/units/${tagOf(tray)}`}
        className="block w-[204px] border border-b-0 border-[#8a9693] bg-plate px-[5px] focus-visible:border-act"
      >
        <div className="h-[68px] border-x border-[#8a9693] bg-sheet px-2 pt-1">
          <div className="flex items-center justify-between gap-1">
            <Tag text={tagOf(tray)} />
            <span className={`text-[13px] whitespace-nowrap ${late ? 'font-bold text-red' : ''}`} title={sayFullDate(tray.dueAt)}>
              {late ? `late ${saySpan(now - tray.dueAt)}` : sayWhen(tray.dueAt, now)}
            </span>
          </div>
          <div className="truncate text-[13px]" title={`${tray.machine}, ${tray.customer}`}>
            {tray.machine}
          </div>
          <div className="flex h-5 items-center gap-2 text-[13px]">
            <Silhouette family={tray.family} label={tray.familyLabel} />
            {tray.outcome !== null && <VerdictSign outcome={tray.outcome} size={15} title={OUTCOME_WORDS[tray.outcome]} />}
            <TrayNote tray={tray} wait={wait} now={now} />
          </div>
        </div>
      </Go>
    </li>
  );
}

function TrayNote({ tray, wait, now }: { readonly tray: TrayTag; readonly wait: RackWait | undefined; readonly now: number }) {
  const [units, branches] = [useUnits(), useBranches()];
  if (tray.goesTo !== null)
    return (
      <span className="truncate text-amber" title={sayWhere(branches, tray)}>
        sent to {branchOf(branches, tray.goesTo)?.name}
      </span>
    );
  if (wait !== undefined)
    return (
      <span className="truncate text-amber">
        {sayWait(wait.endsAt, now)} {wait.label}
      </span>
    );
  if (tray.station === 'hone' && tray.targetDiaMm !== null)
    return <span className="truncate text-ink2">to {sayDia(tray.targetDiaMm, units)}</span>;
  if (tray.station === 'strip') return <span className="truncate text-ink2">{tray.complaint}</span>;
  return <span className="truncate text-ink2">{tray.station === 'sleeve' ? 'sleeve' : tray.position}</span>;
}
