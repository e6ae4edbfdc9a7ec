import { eq } from 'drizzle-orm';
import { piecesOf } from '@/core/close-up/piece';
import { isPiston } from '@/core/family/carrier';
import type { Dims } from '@/core/family/dims';
import { PART_KINDS } from '@/core/family/part-kind';
import { fitOf } from '@/core/kit/fit';
import type { SetAside } from '@/core/kit/set-aside';
import { may } from '@/core/people/role';
import { ok, type Result } from '@/core/result';
import type { BagItem } from '@/core/store/article';
import type { BagFinding } from '@/core/store/bag-finding';
import { letBack, whyNotBack } from '@/core/strip/going-back';
import type { TrayPart } from '@/core/strip/tray-schema';
import { spareIn } from '@/core/unit/facts-of';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Tx } from '../engine/connection';
import { drop, type Edit, put } from '../engine/edit';
import { rulesInForce } from '../rules/rules';
import { toArticle } from '../store/catalogue';
import { lotFor } from '../store/stock';
import { articles } from '../tables';

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
    const { diaMm } = measured.dims;
    if (isPiston(part) && diaMm !== undefined && diaMm !== part.dims.diaMm)
      return refused(`The bore is judged by the diameter of the ${part.name}: it is entered at Strip, and a lead reopens that.`);
    return ok([put('parts', { ...part, dims: { ...part.dims, ...measured.dims }, unitId: record.unit.id })]);
  });

/** Lets the old part go back because nothing else is to be had; never rubber in the fluid path. The reason stands with the part. */
export const reuseOld = (
  db: Db,
  change: Change,
  r: { readonly partId: string; readonly reason: string },
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [r.partId] }, async (record, _, tx) => {
    const part = record.tray.find((p) => p.id === r.partId);
    if (part === undefined || part.found !== 'present') return refused('There is no such old part on this tray.');
    if (PART_KINDS[part.kind].policy === 'never') return refused(`A used ${PART_KINDS[part.kind].label} never goes back.`);
    if (part.goesIn !== null) return refused(`The ${part.name} is in the unit already.`);
    const note = [part.note, `old one goes back: ${r.reason}`]
      .filter((t) => t !== '')
      .join('; ')
      .slice(0, 500);
    const against = whyNotBack(part, (await rulesInForce(tx)).rules);
    if (against === undefined) return ok([put('parts', { ...part, fate: 'refitted', note, unitId: record.unit.id })]);
    if (!may(change.person.role, 'override')) return refused(`${against} It is not used again; a lead may let it, with a reason.`);
    return ok([put('parts', { ...letBack(part, change.person, r.reason), note, unitId: record.unit.id })]);
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
