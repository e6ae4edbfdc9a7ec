'use client';

import { useState } from 'react';
import { setAsideAction } from '@/app/actions/kit';
import type { Family } from '@/core/family/family';
import type { SetAside } from '@/core/kit/set-aside';
import type { LotFinding } from '@/core/store/stock-record';
import type { BoreDrawing } from '@/core/unit/bore-drawing';
import type { NamedNeed, RankedKit, ShortPart } from '@/core/unit/ranked-kits';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { late } from '../shell/late';
import { useStation } from '../unit/station-context';
import { Bag } from './bag';
import { KitPicture } from './kit-picture';
import { KitRow } from './kit-row';
import { Needs } from './needs';
import { Short } from './short';

const Sets = late(async () => (await import('./sets')).Sets);

/** Kits that stand open; a bench takes one of the best. */
const FIRST = 3;

/** What the unit needs, what is set aside for it, the sets that would cover it, and the kits ranked by how much of it each covers. */
export function Kit({
  needs,
  ranked,
  setAside,
  short,
  named,
  warned,
  spare,
  family,
  bores,
}: {
  readonly needs: readonly NamedNeed[];
  readonly ranked: readonly RankedKit[];
  readonly setAside: readonly SetAside[];
  /** Parts that nothing set aside covers, once something is. */
  readonly short: readonly ShortPart[];
  /** Numbers of the kits that are named for the unit's fitment. */
  readonly named: readonly string[];
  /** What was found in bags of lots. */
  readonly warned: readonly LotFinding[];
  /** Pieces of the bags that nothing needs. */
  readonly spare: readonly { readonly bagId: string; readonly item: number; readonly qty: number }[];
  readonly family: Family;
  readonly bores: readonly BoreDrawing[];
}) {
  const { open } = useStation();
  const taking = useSave(setAsideAction);
  const [chosen, setChosen] = useState<string>();
  const shown = ranked.find((r) => r.kit.id === chosen) ?? ranked[0];
  const [asked, setAsked] = useState(false);
  const [all, setAll] = useState(false);
  const nameOf = (id: string): string => needs.find((n) => n.id === id)?.name ?? id;
  const take = (articleId: string, qty = 1) => taking.save({ articleId, qty });
  return (
    <div className="grid gap-3">
      <SaveNote saving={taking.saving} onDecide={taking.decide} />
      {setAside.map((bag) => (
        <Bag
          key={bag.id}
          bag={bag}
          warned={warned.filter((w) => w.lotId === bag.lotId && w.at !== bag.openedAt)}
          spare={spare.filter((s) => s.bagId === bag.id)}
        />
      ))}
      {short.length > 0 && <Short short={short} take={take} />}
      <Needs needs={needs} ranked={ranked} />
      {needs.length > 0 && (
        <div>
          <button type="button" className="btn-quiet" aria-expanded={asked} onClick={() => setAsked(!asked)}>
            What covers it best?
          </button>
          {asked && <Sets nameOf={nameOf} />}
        </div>
      )}
      {shown !== undefined && bores.length > 0 && (
        <KitPicture family={family} bores={bores} needs={needs} kit={shown.kit} match={shown.match} />
      )}
      {ranked.slice(0, all ? undefined : FIRST).map(({ kit, match }) => (
        <KitRow
          key={kit.id}
          kit={kit}
          match={match}
          named={named.includes(kit.number)}
          warned={warned.filter((w) => kit.lots.some((l) => l.id === w.lotId && l.qty > 0))}
          needs={needs}
          shown={kit.id === shown?.kit.id}
          onShow={() => setChosen(kit.id)}
          onTake={open ? () => void take(kit.id) : undefined}
          busy={taking.saving.kind === 'saving'}
        />
      ))}
      {!all && ranked.length > FIRST && (
        <button type="button" className="btn-quiet w-fit" onClick={() => setAll(true)}>
          Show {ranked.length - FIRST} more that cover some of it
        </button>
      )}
      {ranked.length === 0 && needs.length > 0 && (
        <p className="text-ink2">No kit in the store covers any of it: look for sundries, or enter the kit that does.</p>
      )}
    </div>
  );
}
