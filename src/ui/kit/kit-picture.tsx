import { useSyncExternalStore } from 'react';
import type { Family } from '@/core/family/family';
import type { KitMatch } from '@/core/kit/match-kit';
import type { Stocked } from '@/core/store/article';
import { type BoreDrawing, partsIn } from '@/core/unit/bore-drawing';
import { type DrawnPart, wholeParts } from '@/core/unit/drawn-parts';
import type { NamedNeed } from '@/core/unit/ranked-kits';
import { Sections } from '../drawing/section-view';

/** False on the server: what is only looked at, and costs much to write, is drawn once the page is there. */
const useOnPage = (): boolean =>
  useSyncExternalStore(
    () => () => undefined,
    () => true,
    () => false,
  );

/** The unit with what a kit gives it: covered parts filled, missing ones outlined, what goes back faint; what is too much is named aside. */
export function KitPicture({
  family,
  bores,
  needs,
  kit,
  match,
}: {
  readonly family: Family;
  readonly bores: readonly BoreDrawing[];
  readonly needs: readonly NamedNeed[];
  readonly kit: Stocked;
  readonly match: KitMatch;
}) {
  const onPage = useOnPage();
  const missing = new Set(match.missing.map((m) => m.needId));
  const needed = new Set(needs.map((n) => n.id));
  const parts = wholeParts(family).map((p): DrawnPart => ({ ...p, state: missing.has(p.id) ? 'out' : 'in' }));
  return (
    <figure className="m-0 grid items-center gap-3 border border-act bg-sheet px-3 py-2 md:grid-cols-[minmax(0,1fr)_11rem] min-h-60 [&>svg]:max-h-56">
      {onPage && (
        <Sections
          bores={bores.map((b) => ({ ...b, parts: partsIn(b, parts, family) }))}
          faint={family.slots.filter((s) => !needed.has(s.id)).map((s) => s.id)}
          view="together"
          trayHref={null}
        />
      )}
      <figcaption className="text-[13px]">
        <b className="text-brass">{kit.number}</b>
        <ul className="text-ink2">
          <li>filled: it covers</li>
          <li>dashed: it lacks</li>
          <li>faint: goes back</li>
        </ul>
        {match.surplus.length > 0 && (
          <p className="mt-1">
            Too much: {match.surplus.map((s) => `${kit.items[s.itemIndex]?.name}${s.qty > 1 ? ` × ${s.qty}` : ''}`).join(', ')}
          </p>
        )}
      </figcaption>
    </figure>
  );
}
