import { type KitMatch, matchKit } from '../kit/match-kit';
import type { Need } from '../kit/need';
import { needsOf } from '../kit/needs-of';
import type { StoredKit } from '../kit/stored-kit';
import type { UnitRecord } from './unit-record';

/** What a unit needs, with the parts' names. */
export const namedNeeds = (r: UnitRecord): readonly (Need & { readonly name: string })[] =>
  needsOf(r.family, r.tray, r.unit.geometry?.nominalMm ?? null).map((n) => ({
    ...n,
    name: r.tray.find((p) => p.slotId === n.id)?.name ?? n.id,
  }));

/** Kits that cover something, the most first; of like ones those on the shelf, then the cheaper. Pieces of which a dimension is not stated count, and are said to be unverified. */
export const rankedKits = (
  needs: readonly Need[],
  store: readonly StoredKit[],
): readonly { readonly kit: StoredKit; readonly match: KitMatch }[] =>
  store
    .map((kit) => ({ kit, match: matchKit(needs, kit, true) }))
    .filter((r) => r.match.covered.length > 0)
    .sort((a, b) => b.match.coverage - a.match.coverage || Number(b.kit.stock > 0) - Number(a.kit.stock > 0) || a.kit.price - b.kit.price);
