import { boreMmAt } from '../family/pots';
import { type Fix, fixesFor } from '../kit/bag';
import { type Fit, fitOf } from '../kit/fit';
import { type KitMatch, matchKit } from '../kit/match-kit';
import type { Need, Store } from '../kit/need';
import { needsOf } from '../kit/needs-of';
import type { BagItem, Stocked } from '../store/article';
import type { UnitRecord } from './unit-record';

export type NamedNeed = Need & { readonly name: string; readonly partId: string };
/** What a unit needs, with the parts' names and places on the tray. */
export const namedNeeds = (r: UnitRecord): readonly NamedNeed[] =>
  needsOf(r.family, r.tray, (slotId) => boreMmAt(r, slotId)).map((n) => {
    const part = r.tray.find((p) => p.slotId === n.id);
    return { ...n, name: part?.name ?? n.id, partId: part?.id ?? n.id };
  });

/** The store as the calculations take it: kits, and sundries by what they are. A superseded kit is not ordered any more. */
export const asStore = (store: readonly Stocked[], promiseDays: number | null, allowUnverified: boolean): Store => ({
  kits: store.flatMap((a) => (a.type === 'kit' ? [{ ...a, leadDays: leadOf(a) }] : [])),
  sundries: store.flatMap((a) => {
    const [item] = a.items;
    return a.type === 'sundry' && item !== undefined ? [{ ...a, leadDays: leadOf(a), kind: item.kind, dims: item.dims }] : [];
  }),
  promiseDays,
  allowUnverified,
});
const leadOf = (a: Stocked): number | null => (a.supersededBy === null ? a.leadDays : null);

export type RankedKit = { readonly kit: Stocked; readonly match: KitMatch };

/**
 * Kits that cover something, the most first; of like ones those on the shelf, then the cheaper. Pieces of which a dimension is not stated count, and are said to be unverified.
 * @param most how many are wanted; those that cannot be among them are not looked into
 */
export const rankedKits = (needs: readonly Need[], store: readonly Stocked[], most = Infinity): readonly RankedKit[] => {
  const ranked: RankedKit[] = [];
  const may = store
    .flatMap((kit) => (kit.type === 'kit' ? [{ kit, atMost: mostCovered(needs, kit) }] : []))
    .filter((k) => k.atMost > 0)
    .sort((a, b) => b.atMost - a.atMost);
  const wanted = needs.reduce((sum, n) => sum + (n.policy === 'replace' ? n.qty : 0), 0);
  for (const { kit, atMost } of may) {
    // Enough cover more than this one can at best.
    if (wanted > 0 && ranked.filter((r) => r.match.coverage * wanted > atMost + 0.5).length >= most) break;
    ranked.push({ kit, match: matchKit(needs, kit, true) });
  }
  return ranked
    .sort((a, b) => b.match.coverage - a.match.coverage || Number(b.kit.stock > 0) - Number(a.kit.stock > 0) || a.kit.price - b.kit.price)
    .slice(0, most);
};

/** Pieces of a kit that could serve some need, counted need by need: it never covers more. */
const mostCovered = (needs: readonly Need[], kit: Pick<Stocked, 'items'>): number =>
  needs.reduce((sum, n) => {
    const pieces = kit.items.reduce((all, i) => (i.kind === n.kind && FITS.includes(fitOf(n, i)?.kind) ? all + i.qty : all), 0);
    return sum + Math.min(n.qty, pieces);
  }, 0);
const FITS: readonly (Fit['kind'] | undefined)[] = ['verified', 'unverified'];

/** What a covered need leaves to be measured: dimensions that the piece states and the need does not, and the other way round. */
export const toMeasure = (
  need: Pick<Need, 'dims'>,
  item: Pick<BagItem, 'dims'>,
): { readonly onUnit: readonly string[]; readonly onPiece: readonly string[] } => ({
  onUnit: Object.keys(item.dims).filter((d) => item.dims[d] != null && need.dims[d] == null),
  onPiece: Object.keys(need.dims).filter((d) => need.dims[d] != null && item.dims[d] == null),
});

/** A part that nothing set aside covers, and what can be done about it. */
export type ShortPart = { readonly name: string; readonly partId: string; readonly qty: number; readonly fixes: readonly Fix[] };
export const shortPart = (r: UnitRecord, need: Need, store: readonly Stocked[]): ShortPart => {
  const part = r.tray.find((p) => p.slotId === need.id);
  const fixes = fixesFor(need, store, part?.found === 'present' ? part : undefined);
  return { name: part?.name ?? need.id, partId: part?.id ?? need.id, qty: need.qty, fixes };
};
