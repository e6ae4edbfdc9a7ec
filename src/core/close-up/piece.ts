import type { Family } from '../family/family';
import { neverReused } from '../family/part-kind';
import { type Bored, boreMmAt } from '../family/pots';
import { assignItems } from '../kit/assign';
import { asFound, leftIn } from '../kit/bag';
import { inFirst, needsOf } from '../kit/needs-of';
import type { SetAside } from '../kit/set-aside';
import { isExpired } from '../store/article';
import type { PieceFrom, TrayPart } from '../strip/tray-schema';

/** Where a piece that goes in comes from. */
export type Piece =
  | { readonly kind: 'same' }
  /** Out of a bag that was set aside; `place` counts from 1 in the bag's list. */
  | { readonly kind: 'bag'; readonly bag: SetAside; readonly place: number; readonly of: number; readonly name: string }
  /** New, but nothing set aside gives it. */
  | { readonly kind: 'unlisted' };

/** What of a unit's record tells which piece goes where. */
export type Closing = {
  readonly family: Family;
  readonly tray: readonly TrayPart[];
  readonly unit: Bored;
  readonly setAside: readonly SetAside[];
};

/**
 * Which piece goes into which place of a unit, by slot: of what is in, as it was written when it went in; else the bags' pieces that are
 * left, as they are assigned to what the tray still needs.
 */
export const piecesOf = (r: Closing): ReadonlyMap<string, Piece> => {
  const placed = new Map(r.tray.flatMap((part) => placedPiece(r, part)));
  const used = r.tray.flatMap((p) => (p.goesIn?.piece === 'new' && p.goesIn.from !== null ? [{ ...p.goesIn.from, qty: p.qty }] : []));
  const pieces = r.setAside.flatMap((bag) =>
    bag.items.map((item, i) => {
      const gone = used.reduce((sum, u) => sum + (u.bagId === bag.id && u.place === i ? u.qty : 0), 0);
      return { bag, place: i + 1, item: { ...asFound(item, i, bag.findings), qty: Math.max(0, leftIn(bag, i) - gone) } };
    }),
  );
  const needs = inFirst(
    needsOf(r.family, r.tray, (slotId) => boreMmAt(r, slotId)),
    r.tray,
  ).filter((n) => !placed.has(n.id));
  const given = new Map(
    assignItems(
      needs,
      pieces.map((p) => p.item),
    ).map((a) => [needs[a.need]?.id, pieces[a.item]]),
  );
  return new Map(
    r.tray.map((part): readonly [string, Piece] => {
      const known = placed.get(part.slotId);
      if (known !== undefined) return [part.slotId, known];
      if (usesOld(part)) return [part.slotId, { kind: 'same' }];
      const piece = given.get(part.slotId);
      if (piece === undefined) return [part.slotId, { kind: 'unlisted' }];
      const { bag, place, item } = piece;
      return [part.slotId, { kind: 'bag', bag, place, of: bag.items.length, name: item.name }];
    }),
  );
};

/** The piece that is in a place, where its bag was written with it. */
const placedPiece = (r: Closing, part: TrayPart): readonly (readonly [string, Piece])[] => {
  const from = part.goesIn?.piece === 'new' ? part.goesIn.from : null;
  const bag = r.setAside.find((b) => b.id === from?.bagId);
  const item = from === null ? undefined : bag?.items[from.place];
  if (from === null || bag === undefined || item === undefined) return [];
  return [[part.slotId, { kind: 'bag', bag, place: from.place + 1, of: bag.items.length, name: item.name }]];
};

/** What is written with a new piece when it goes in; null where nothing set aside gives it. */
export const fromWhere = (r: Closing, part: TrayPart): PieceFrom | null => {
  const piece = piecesOf(r).get(part.slotId);
  return piece?.kind === 'bag' ? { bagId: piece.bag.id, lotId: piece.bag.lotId, place: piece.place - 1 } : null;
};

/** Does the unit's own piece go back? */
export const usesOld = (p: Pick<TrayPart, 'fate' | 'kind'>): boolean => p.fate === 'refitted' && !neverReused(p.kind);

/** Why the new piece for a part is too old to go in; undefined when it is not. */
export const expiredPiece = (r: Closing, part: TrayPart, now: number): string | undefined => {
  const piece = piecesOf(r).get(part.slotId);
  return piece?.kind === 'bag' && isExpired(piece.bag, now)
    ? `The ${part.name} of ${piece.bag.number}, lot ${piece.bag.lotCode}, is past its date: take another bag at Kit.`
    : undefined;
};

/** A piece in a few words: `K-118, piece 3 of 9`. */
export const sayPiece = (piece: Piece): string => {
  switch (piece.kind) {
    case 'same':
      return 'same one back';
    case 'bag':
      return piece.of === 1 ? piece.bag.number : `${piece.bag.number}, piece ${piece.place}`;
    case 'unlisted':
      return 'a new one';
  }
};
