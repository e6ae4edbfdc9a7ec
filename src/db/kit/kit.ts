import { eq } from 'drizzle-orm';
import { piecesOf } from '@/core/close-up/piece';
import type { Dims } from '@/core/family/dims';
import { PART_KINDS } from '@/core/family/part-kind';
import { fitOf } from '@/core/kit/fit';
import type { SetAside } from '@/core/kit/set-aside';
import { ok, type Result } from '@/core/result';
import { type BagItem, lotsFor } from '@/core/store/article';
import type { BagFinding } from '@/core/store/bag-finding';
import type { TrayPart } from '@/core/strip/tray-door';
import { spareIn } from '@/core/unit/facts-of';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Tx } from '../engine/connection';
import { drop, type Edit, put } from '../engine/edit';
import { lotsOf, toArticle } from '../store/catalogue';
import { lotFor } from '../store/stock';
import { articles } from '../tables';
import { waitEdit } from '../unit/waits';

/**
 * Sets pieces of an article aside for a unit: they leave the shelf in the same transaction, never below zero, the lot that ages first before others.
 * What has passed its date is refused.
 */
export const setAside = (
  db: Db,
  change: Change,
  wanted: { readonly articleId: string; readonly qty: number },
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const [row] = await tx.select().from(articles).where(eq(articles.id, wanted.articleId));
    if (row === undefined) return refused('There is no such kit.');
    if (record.steps.some((s) => s.station === 'close-up')) return refused('The unit is closed up already.');
    const article = toArticle(row);
    const lots = await lotsOf(tx, article.id);
    const taken = lotsFor(lots, wanted.qty, at);
    if (taken === undefined) {
      const there = lots.reduce((sum, l) => sum + l.qty, 0);
      return refused(
        there >= wanted.qty
          ? `${article.number}: what is on the shelf has passed its date and is not fitted any more.`
          : there === 0
            ? `${article.number} is gone: none on the shelf.`
            : `Of ${article.number} only ${there} are on the shelf.`,
      );
    }
    const who = { unitId: record.unit.id, articleId: article.id, at };
    return ok(
      taken.flatMap(({ lot, qty }, i): readonly Edit[] => {
        const id = i === 0 ? change.eventId : `${change.eventId}-${i}`;
        return [
          put('stockMoves', { ...who, id, lotId: lot.id, qty: -qty, reason: 'set-aside', note: '', personId: change.person.id }),
          put('bags', {
            ...who,
            id,
            lotId: lot.id,
            number: article.number,
            name: article.name,
            lotCode: lot.code,
            expiresAt: lot.expiresAt,
            qty,
            items: article.items,
            openedAt: null,
            openedBy: null,
            findings: [],
            kept: [],
            spoilt: [],
          }),
        ];
      }),
    );
  });

/** Puts a bag that was set aside back on the shelf; one that was opened stays with its unit. */
export const putBack = (db: Db, change: Change, bagId: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record) => {
    const bag = record.setAside.find((s) => s.id === bagId);
    if (bag === undefined) return refused('That is not set aside for this unit.');
    const fromIt = (p: TrayPart): boolean => p.goesIn?.piece === 'new' && (p.goesIn.from === null || p.goesIn.from.bagId === bagId);
    if (record.tray.some(fromIt)) return refused('Parts of it are in the unit already.');
    if (bag.kept.length > 0) return refused('Parts of it were kept for the store already.');
    if (bag.spoilt.length > 0) return refused('Parts of it were spoilt: it is no whole bag any more.');
    return ok([drop('bags', bagId), drop('stockMoves', bagId), drop('steps', `${record.unit.id}-kit`)]);
  });

/** What was really in a bag: recorded against its lot, so that the next one of it is warned of. Opened again, it is told anew. */
export const openBag = (
  db: Db,
  change: Change,
  opened: { readonly bagId: string; readonly findings: readonly BagFinding[] },
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [opened.bagId] }, (record, at) => {
    const bag = record.setAside.find((s) => s.id === opened.bagId);
    if (bag === undefined) return refused('That is not set aside for this unit.');
    const nowhere = opened.findings.filter((f) => f.what !== 'extra' && bag.items[f.item] === undefined);
    if (nowhere.length > 0) return refused('A part is told that the catalogue does not name in this bag.');
    return ok([putBag(record, { ...bag, openedAt: at, openedBy: change.person.id, findings: opened.findings })]);
  });

const putBag = ({ unit }: UnitRecord, bag: SetAside): Edit =>
  put('bags', {
    ...bag,
    unitId: unit.id,
    items: [...bag.items],
    findings: [...bag.findings],
    kept: [...bag.kept],
    spoilt: [...bag.spoilt],
  });

/**
 * A new piece was nicked or cut on its way in, or is found so when it comes out: it is not fitted, and Kit is open again until another is set aside.
 * The lot it came from is not to blame.
 */
export const spoilPiece = (db: Db, change: Change, partId: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [partId] }, (record) => {
    const part = record.tray.find((p) => p.id === partId);
    if (part === undefined) return refused('There is no such part on this tray.');
    if (part.goesIn !== null) return refused(`The ${part.name} is said to be in: take it out first.`);
    const piece = piecesOf(record).get(part.slotId);
    if (piece?.kind !== 'bag') return refused(`No new ${part.name} is set aside for this unit.`);
    const spoilt = [...piece.bag.spoilt, { item: piece.place - 1, qty: part.qty }];
    return ok([putBag(record, { ...piece.bag, spoilt }), drop('steps', `${record.unit.id}-kit`)]);
  });

/** A dimension of a part that is to be replaced, measured on the tray after strip: it decides which kit fits. */
export const measureNeed = (
  db: Db,
  change: Change,
  measured: { readonly partId: string; readonly dims: Dims },
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [measured.partId] }, (record) => {
    const part = record.tray.find((p) => p.id === measured.partId);
    if (part === undefined) return refused('There is no such part on this tray.');
    if (part.goesIn !== null) return refused(`The ${part.name} is in the unit already.`);
    return ok([put('parts', { ...part, dims: { ...part.dims, ...measured.dims }, unitId: record.unit.id })]);
  });

/** Lets the old part go back because nothing else is to be had; never rubber in the fluid path. The reason stands with the part. */
export const reuseOld = (
  db: Db,
  change: Change,
  r: { readonly partId: string; readonly reason: string },
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [r.partId] }, (record) => {
    const part = record.tray.find((p) => p.id === r.partId);
    if (part === undefined || part.found !== 'present') return refused('There is no such old part on this tray.');
    if (PART_KINDS[part.kind].policy === 'never') return refused(`A used ${PART_KINDS[part.kind].label} never goes back.`);
    if (part.goesIn !== null) return refused(`The ${part.name} is in the unit already.`);
    const note = [part.note, `old one goes back: ${r.reason}`]
      .filter((t) => t !== '')
      .join('; ')
      .slice(0, 500);
    return ok([put('parts', { ...part, fate: 'refitted', note, unitId: record.unit.id })]);
  });

/** Orders what is short for a unit, and starts its wait until the day it is expected. */
export const orderFor = (
  db: Db,
  change: Change,
  o: { readonly articleId: string; readonly qty: number; readonly expectedAt: number },
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, version: null }, async (record, at, tx) => {
    const [article] = await tx.select().from(articles).where(eq(articles.id, o.articleId));
    if (article === undefined) return refused('There is no such kit.');
    if (o.expectedAt <= at) return refused('It is expected before it is ordered: give a later day.');
    const by = { unitId: record.unit.id, personId: change.person.id };
    const timerId = `${change.eventId}-wait`;
    const label = `parts: ${o.qty > 1 ? `${o.qty} × ` : ''}${article.number}`;
    return ok([
      waitEdit(change, at, { id: timerId, label, endsAt: o.expectedAt }),
      put('orders', {
        ...by,
        id: change.eventId,
        articleId: o.articleId,
        timerId,
        qty: o.qty,
        orderedAt: at,
        expectedAt: o.expectedAt,
        receivedAt: null,
      }),
    ]);
  });

/** Keeps pieces of an opened bag that the unit does not need as a sundry, with their lot; the sundry is made where the store has none like it. */
export const keepSurplus = (
  db: Db,
  change: Change,
  k: { readonly bagId: string; readonly item: number; readonly qty: number },
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [k.bagId] }, async (record, at, tx) => {
    const bag = record.setAside.find((s) => s.id === k.bagId);
    const item = bag?.items[k.item];
    if (bag === undefined || item === undefined) return refused('That is not in a bag of this unit.');
    if (bag.openedAt === null) return refused('Open the bag first: what is kept is what was really in it.');
    const spare = spareIn(record).find((s) => s.bagId === k.bagId && s.item === k.item)?.qty ?? 0;
    if (k.qty > spare) return refused(`Only ${spare} of the ${item.name} are left over.`);
    const sundry = (await sundryLike(tx, item)) ?? (await newSundry(tx, bag, k.item, at));
    const lot = await lotFor(tx, { id: change.eventId, at }, { articleId: sundry, lot: bag.lotCode, expiresAt: bag.expiresAt });
    if (!lot.ok) return lot;
    const move = { articleId: sundry, lotId: lot.value, unitId: null, qty: k.qty, reason: 'kept' as const, note: `from ${bag.number}` };
    return ok([
      put('stockMoves', { ...move, id: `${change.eventId}-kept`, at, personId: change.person.id }),
      putBag(record, { ...bag, kept: [...bag.kept, { item: k.item, qty: k.qty }] }),
    ]);
  });

const sundryLike = async (tx: Tx, item: BagItem): Promise<string | undefined> => {
  const rows = await tx.select().from(articles).where(eq(articles.type, 'sundry'));
  return rows.map(toArticle).find((a) => a.items.some((i) => fitOf(i, item)?.kind === 'verified' && fitOf(item, i)?.kind === 'verified'))
    ?.id;
};

const newSundry = async (tx: Tx, bag: SetAside, at: number, now: number): Promise<string> => {
  const item = bag.items[at] as BagItem;
  const number = `${bag.number}-${at + 1}`;
  const id = `art-${number}`;
  const sundry = { id, number, type: 'sundry' as const, name: `${item.name} of ${bag.number}`, price: 0, leadDays: null, note: '' };
  await tx
    .insert(articles)
    .values({ ...sundry, supersededBy: null, reorderAt: null, items: [{ ...item, qty: 1 }], changedAt: now })
    .onConflictDoNothing();
  return id;
};
