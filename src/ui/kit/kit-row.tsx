import { dimWords, sayDim } from '@/core/family/say-dims';
import { sizeDiffers } from '@/core/kit/fit';
import type { KitMatch } from '@/core/kit/match-kit';
import type { Need } from '@/core/kit/need';
import { sayMoney } from '@/core/quantity/say-money';
import type { Units } from '@/core/quantity/units';
import { isExpired, type Stocked } from '@/core/store/article';
import type { LotFinding } from '@/core/store/stock-record';
import type { NamedNeed } from '@/core/unit/ranked-kits';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';
import { LotWarnings } from './lot-warnings';

/** One kit against the unit's needs, part by part. */
export function KitRow({
  kit,
  match,
  named,
  warned,
  needs,
  shown,
  onShow,
  onTake,
  busy,
}: {
  readonly kit: Stocked;
  readonly match: KitMatch;
  /** It is named for the unit's fitment. */
  readonly named: boolean;
  readonly warned: readonly LotFinding[];
  readonly needs: readonly NamedNeed[];
  readonly shown: boolean;
  readonly onShow: () => void;
  readonly onTake: (() => void) | undefined;
  readonly busy: boolean;
}) {
  const units = useUnits();
  const { now } = useStation();
  const nameOf = (id: string): string => needs.find((n) => n.id === id)?.name ?? id;
  const expired = kit.lots.some((l) => l.qty > 0 && isExpired(l, now));
  const faults = kit.lots.filter((l) => l.qty > 0 && l.fault !== '');
  const times = (qty: number): string => (qty > 1 ? ` × ${qty}` : '');
  return (
    <article aria-label={`Kit ${kit.number}`} className={`border bg-sheet ${shown ? 'border-act' : 'border-line'}`}>
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair px-3 py-1.5">
        <button
          type="button"
          className="inline-flex min-h-[44px] items-center font-bold text-brass underline"
          aria-pressed={shown}
          onClick={onShow}
        >
          {kit.number}
        </button>
        <span>{kit.name}</span>
        {named && <b className="text-act">named for its fitment</b>}
        <CoverBar share={match.coverage} />
        <span className="whitespace-nowrap text-ink2">{sayMoney(kit.price)}</span>
        <span className={kit.stock > 0 ? 'text-ink2' : 'text-amber'}>{sayStock(kit, expired)}</span>
        {onTake !== undefined && (
          <button type="button" className="btn ml-auto" disabled={kit.stock < 1 || busy} onClick={onTake}>
            Set aside
          </button>
        )}
      </header>
      {faults.map((l) => (
        <p key={l.id} className="border-l-4 border-amber px-3 py-1">
          Lot {l.code}: {l.fault}. Open the bag and look before anything old is thrown away.
        </p>
      ))}
      <LotWarnings warned={warned} />
      {kit.supersededBy !== null && (
        <p className="border-l-4 border-amber px-3 py-1">Superseded by {kit.supersededBy}: what is here may be used up, no more comes.</p>
      )}
      <div className="grid gap-x-6 gap-y-0.5 px-3 py-2 text-[13px] md:grid-cols-2">
        <Line
          label="covers"
          text={
            match.covered.map((c) => `${nameOf(c.needId)}${times(c.qty)}${c.verified ? '' : ' (not verified)'}`).join(', ') || 'nothing'
          }
        />
        <Line label="missing" text={match.missing.map((m) => `${nameOf(m.needId)}${times(m.qty)}`).join(', ')} warn />
        <Line label="left over" text={match.surplus.map((s) => `${kit.items[s.itemIndex]?.name}${times(s.qty)}`).join(', ')} />
        <Line
          label="does not fit"
          text={match.misfits
            .map((m) => `${nameOf(m.needId)}: ${dimWords(m.dim)} ${sayDim(m.dim, m.want, units)}, this has ${sayDim(m.dim, m.have, units)}`)
            .join('; ')}
          warn
        />
        <Line label="size differs" text={differing(needs, kit, match, units)} />
        <Line label="not stated" text={unstated(needs, kit, match)} warn />
      </div>
    </article>
  );
}

const sayStock = (kit: Stocked, expired: boolean): string => {
  if (kit.stock > 0) return `${kit.stock} on the shelf`;
  const why = expired ? 'past its date' : 'none';
  if (kit.supersededBy !== null) return `${why}, superseded`;
  return kit.leadDays === null ? `${why}, not to be had` : `${why}, ${kit.leadDays} ${kit.leadDays === 1 ? 'day' : 'days'} to get`;
};

type Sized = { readonly name: string; readonly need: Need; readonly item: Stocked['items'][number] };
const pairs = (needs: readonly NamedNeed[], kit: Stocked, match: KitMatch): readonly Sized[] =>
  match.covered.flatMap((c) => {
    const [need, item] = [needs.find((n) => n.id === c.needId), kit.items[c.itemIndex]];
    return need === undefined || item === undefined ? [] : [{ name: need.name, need, item }];
  });

/** Sizes that fit but are not the same, each said once. */
const differing = (needs: readonly NamedNeed[], kit: Stocked, match: KitMatch, units: Units): string => {
  const said = pairs(needs, kit, match).flatMap(({ need, item }) =>
    sizeDiffers(need.dims, item.dims).map(
      (d) => `${item.name}: ${dimWords(d)} ${sayDim(d, need.dims[d], units)} / ${sayDim(d, item.dims[d], units)}`,
    ),
  );
  return [...new Set(said)].join('; ');
};

/** Dimensions that the unit was measured for and the catalogue does not state. */
const unstated = (needs: readonly NamedNeed[], kit: Stocked, match: KitMatch): string => {
  const said = pairs(needs, kit, match).flatMap(({ need, item }) =>
    Object.keys(need.dims).flatMap((d) => (need.dims[d] != null && item.dims[d] == null ? [`${dimWords(d)} of the ${item.name}`] : [])),
  );
  return said.length === 0 ? '' : `${[...new Set(said)].join(', ')}: measure the piece in the bag and be sure`;
};

const Line = ({ label, text, warn = false }: { readonly label: string; readonly text: string; readonly warn?: boolean }) =>
  text !== '' && (
    <p className="flex gap-2">
      <span className="w-22 shrink-0 text-ink2">{label}</span>
      <span className={warn ? 'text-amber' : ''}>{text}</span>
    </p>
  );

/** Share of what must be replaced that a kit covers: a bar, and the figure. */
function CoverBar({ share }: { readonly share: number }) {
  return (
    <span className="inline-flex items-center gap-2">
      <svg width="60" height="10" viewBox="0 0 60 10" aria-hidden="true">
        <rect x="0.5" y="0.5" width="59" height="9" fill="none" stroke="var(--line)" />
        <rect x="0.5" y="0.5" width={59 * share} height="9" fill="var(--act)" />
      </svg>
      <b>{Math.round(100 * share)} %</b>
    </span>
  );
}
