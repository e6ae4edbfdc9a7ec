import { NEVER_REUSED } from '@/core/close-up/stack-check';
import { partFacing } from '@/core/family/family';
import { PART_KINDS, type PartKind } from '@/core/family/part-kind';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { rinseFaults, sayWhyNot, unopened } from '@/core/route/why-not';
import { isForeign } from '@/core/strip/part-state';
import { bareRow } from '@/core/strip/tray';
import type { TrayPart } from '@/core/strip/tray-door';
import { factsOf, routeOfUnit } from '@/core/unit/facts-of';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../change-unit';
import type { Db } from '../connection';
import { drop, type Edit, put } from '../event-payload';

/** What a person may say about a part: what came out at strip, or what went in at close-up. */
export type PartNews = Partial<Pick<TrayPart, 'kind' | 'found' | 'condition' | 'faces' | 'dims' | 'checks' | 'note' | 'fate' | 'goesIn'>>;

/** Records one part of the tray. The diameter of a piston is the unit's piston diameter: the limit rests on it. */
export const recordPart = (db: Db, change: Change, partId: string, news: PartNews): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [partId] }, (record) => {
    const part = record.tray.find((p) => p.id === partId);
    if (part === undefined) return refused('There is no such part on this tray.');
    const notNow = whyNotNow('goesIn' in news ? 'close-up' : 'strip', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    const unrinsed = news.goesIn == null ? [] : rinseFaults(record).map(sayWhyNot);
    if (unrinsed.length > 0) return refused(...unrinsed);
    const closed = news.goesIn?.piece === 'new' ? unopened(factsOf(record)).map(sayWhyNot) : [];
    if (closed.length > 0) return refused(...closed);
    const objection =
      kindObjection(record, part, news.kind) ?? (news.goesIn == null ? undefined : closeUpObjection(record, part, news.goesIn));
    if (objection !== undefined) return refused(objection);
    const edits: Edit[] = [put('parts', { ...part, ...news, unitId: record.unit.id })];
    const diaMm = MEASURED_PISTONS.includes(part.kind) ? news.dims?.diaMm : undefined;
    if (typeof diaMm === 'number') {
      const pistons = record.tray.filter((p) => MEASURED_PISTONS.includes(p.kind)).map((p) => (p.id === partId ? diaMm : p.dims.diaMm));
      const largest = Math.max(...pistons.flatMap((d) => (typeof d === 'number' ? [d] : [])));
      edits.push(put('units', { ...record.unit, pistonDiaMm: largest }));
    }
    return ok(edits);
  });

/** What runs in the bore: the largest of these is the unit's piston. */
const MEASURED_PISTONS: readonly PartKind[] = ['piston', 'plunger'];

export type NewPart = {
  readonly partId: string;
  readonly kind: PartKind;
  readonly name: string;
  readonly qty: number;
  readonly note: string;
  /** The part that it lay behind, from the open end; null: it came first. */
  readonly behindId: string | null;
};

/** Puts a part on the tray that its family does not know, where it lay among the others. It came out, so it was there. */
export const addPart = (db: Db, change: Change, p: NewPart): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record) => {
    const notNow = whyNotNow('strip', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    if (record.tray.some((x) => x.name === p.name)) return refused(`There is a ${p.name} on this tray already: give it a name of its own.`);
    const at = p.behindId === null ? -1 : record.tray.findIndex((x) => x.id === p.behindId);
    if (p.behindId !== null && at === -1) return refused('The part it is to lie behind is not on this tray.');
    const before = record.tray[at]?.seq ?? (record.tray[0]?.seq ?? 0) - 1;
    const after = record.tray[at + 1]?.seq ?? before + 1;
    return ok([
      put('parts', {
        ...bareRow({ id: p.partId, slotId: `added-${p.partId.slice(-12)}`, kind: p.kind, name: p.name, qty: p.qty }, (before + after) / 2),
        found: 'present',
        note: p.note,
        unitId: record.unit.id,
      }),
    ]);
  });

/** Takes a part off the tray again that was added to it. */
export const dropPart = (db: Db, change: Change, partId: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [partId] }, (record) => {
    const notNow = whyNotNow('strip', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    const part = record.tray.find((p) => p.id === partId);
    if (part === undefined) return refused('There is no such part on this tray.');
    return isForeign(record.family, part)
      ? ok([drop('parts', partId)])
      : refused(`The ${part.name} belongs to this family: if there was none, mark it absent.`);
  });

/** A place is held by the kinds that its family knows for it. */
const kindObjection = (record: UnitRecord, part: TrayPart, kind: PartKind | undefined): string | undefined => {
  if (kind === undefined || kind === part.kind) return undefined;
  const known = record.family.slots.find((s) => s.id === part.slotId)?.oneOf ?? [];
  return known.includes(kind)
    ? undefined
    : `The ${part.name} cannot be a ${PART_KINDS[kind].label} in this family; add that as a part of its own.`;
};

/** A wrong piece or a wrong way round is refused at once, with the reason. */
const closeUpObjection = (record: UnitRecord, part: TrayPart, goesIn: NonNullable<TrayPart['goesIn']>): string | undefined => {
  if (goesIn.piece === 'same' && NEVER_REUSED.includes(part.kind))
    return `The old ${part.name} is rubber in the fluid path: it never goes back.`;
  if (goesIn.piece === 'same' && part.fate !== 'refitted')
    return `The old ${part.name} is not to be used again: its fate is “${part.fate ?? 'none'}”.`;
  const { family } = record;
  const expected = partFacing(family, part);
  if (expected === undefined) return undefined;
  if (goesIn.faces === null) return `Say which way the lip of the ${part.name} faces.`;
  return goesIn.faces === expected
    ? undefined
    : `The ${part.name} faces the wrong way: its lip must open toward the ${expected} end, where the higher pressure is. Turn it round.`;
};
