import { expiredPiece, fromWhere } from '@/core/close-up/piece';
import { sideOf, wrongSide } from '@/core/close-up/side';
import { isFastener, neverReused, PART_KINDS, type PartKind } from '@/core/family/part-kind';
import { may, type Person } from '@/core/people/role';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { curing, rinseFaults, sayWhyNot, touchFaults, unopened } from '@/core/route/why-not';
import type { Rules } from '@/core/rules/rule-set';
import { letBack, whyNotBack } from '@/core/strip/going-back';
import { type PartNews, sayNewsFault, withNews } from '@/core/strip/part-news';
import { isForeign } from '@/core/strip/part-state';
import { thinnestPiston } from '@/core/strip/pistons';
import { bareRow, cameOutAsUsual, cameWithout, perhapsNone, toBeLookedAt } from '@/core/strip/tray';
import type { TrayPart } from '@/core/strip/tray-schema';
import { factsOf, routeOfUnit } from '@/core/unit/facts-of';
import { whyTooLate } from '@/core/unit/late-word';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { drop, type Edit, put } from '../engine/edit';
import { rulesInForce } from '../rules/rules';

/** Records one part of the tray. The thinnest piston is the unit's piston diameter. */
export const recordPart = (db: Db, change: Change, partId: string, news: PartNews): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [partId] }, async (record, at, tx) => {
    const part = record.tray.find((p) => p.id === partId);
    if (part === undefined) return refused('There is no such part on this tray.');
    const station = 'goesIn' in news || 'fastened' in news ? 'close-up' : 'strip';
    const notNow = whyNotNow(station, routeOfUnit(record));
    const late = station === 'strip' && notNow.length > 0 && record.steps.some((s) => s.station === 'strip');
    if (notNow.length > 0 && !(late && may(change.person.role, 'override'))) return refused(...notNow);
    const objections = [
      ...kindObjections(record, part, news.kind),
      ...(news.goesIn == null ? [] : goingInObjections(record, part, news.goesIn, at)),
    ];
    if (objections.length > 0) return refused(...objections);
    if (news.fastened != null && !isFastener(part.kind)) return refused(`The ${part.name} is not tightened.`);
    const heard = withNews(part, news, at, news.goesIn?.piece === 'new' ? fromWhere(record, part) : null);
    if (typeof heard === 'string') return refused(sayNewsFault(heard, part.name));
    const tooLate = late ? whyTooLate(record, part, heard, news) : undefined;
    if (tooLate !== undefined) return refused(tooLate);
    const { rules } = await rulesInForce(tx);
    const goes = goingBack(heard, news, change.person, rules);
    if (!goes.ok) return goes;
    if (late && goes.value.fate !== part.fate)
      return refused(`Then the ${part.name} does not pass any more: a lead reopens Strip for that.`);
    const told = goes.value;
    const edits: Edit[] = [put('parts', { ...told, unitId: record.unit.id })];
    const pistonDiaMm = thinnestPiston(record.tray.map((p) => (p.id === partId ? told : p)));
    if (pistonDiaMm !== record.unit.pistonDiaMm) edits.push(put('units', { ...record.unit, pistonDiaMm }));
    return ok(edits);
  });

/** Records several parts in one word; of each only what nobody has said yet. */
export const recordRest = (
  db: Db,
  change: Change,
  partIds: readonly string[],
  as: 'usual' | 'none',
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: partIds }, ({ unit, family, tray, ...record }) => {
    const notNow = whyNotNow('strip', routeOfUnit({ unit, family, tray, ...record }));
    if (notNow.length > 0) return refused(...notNow);
    const open = as === 'usual' ? toBeLookedAt(family, tray) : perhapsNone(family, tray);
    const parts = open.filter((p) => partIds.includes(p.id));
    if (parts.length !== new Set(partIds).size) return refused('Of one of them something has been said already: look at the tray again.');
    return ok(parts.map((p) => put('parts', { ...(as === 'usual' ? cameOutAsUsual(family, p) : cameWithout(p)), unitId: unit.id })));
  });

/** A part as it was told, with the fate that it may have: one that does not pass goes back on a lead's word only, with a reason. */
const goingBack = (part: TrayPart, news: PartNews, person: Person, rules: Rules): Result<TrayPart, ChangeError> => {
  const against = whyNotBack(part, rules);
  if (news.allow !== undefined)
    return may(person.role, 'override') ? ok(letBack(part, person, news.allow)) : refused('Only a lead lets such a part go back.');
  if (against === undefined || part.allowed !== null || part.fate !== 'refitted') return ok(part);
  if (news.fate === 'refitted' || news.goesIn != null) return refused(`${against} It is not used again; a lead may let it, with a reason.`);
  return ok({ ...part, fate: 'replaced' });
};

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
    const row = lyingBehind(record.tray, p);
    return row.ok ? ok([put('parts', { ...row.value, qty: p.qty, note: p.note, unitId: record.unit.id })]) : row;
  });

/** The row of a part that the family knows none of, behind another one; it came out, so it was there. */
export const lyingBehind = (
  tray: readonly TrayPart[],
  p: Pick<NewPart, 'partId' | 'kind' | 'name' | 'behindId'>,
): Result<TrayPart, Extract<ChangeError, { readonly code: 'refused' }>> => {
  if (tray.some((x) => x.name === p.name)) return refused(`There is a ${p.name} on this tray already: give it a name of its own.`);
  const at = p.behindId === null ? -1 : tray.findIndex((x) => x.id === p.behindId);
  if (p.behindId !== null && at === -1) return refused('The part it is to lie behind is not on this tray.');
  const before = tray[at]?.seq ?? (tray[0]?.seq ?? 0) - 1;
  const after = tray[at + 1]?.seq ?? before + 1;
  const row = bareRow({ id: p.partId, slotId: `added-${p.partId.slice(-12)}`, kind: p.kind, name: p.name, qty: 1 }, (before + after) / 2);
  return ok({ ...row, found: 'present' });
};

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
const kindObjections = (record: UnitRecord, part: TrayPart, kind: PartKind | undefined): readonly string[] => {
  if (kind === undefined || kind === part.kind) return [];
  const known = record.family.slots.find((s) => s.id === part.slotId)?.oneOf ?? [];
  return known.includes(kind)
    ? []
    : [`The ${part.name} cannot be a ${PART_KINDS[kind].label} in this family; add that as a part of its own.`];
};

/** Why this piece may not go in now, or not this way round: everything at once. */
const goingInObjections = (record: UnitRecord, part: TrayPart, goesIn: NonNullable<PartNews['goesIn']>, at: number): readonly string[] => {
  const facts = factsOf(record);
  const rubber = PART_KINDS[part.kind].stuff === 'rubber';
  const wrong = wrongSide(sideOf(record.family, record.tray, part), part, goesIn.faces);
  const expired = goesIn.piece === 'new' ? expiredPiece(record, part, at) : undefined;
  return [
    ...[
      ...curing('close-up', facts),
      ...rinseFaults(record),
      ...(rubber ? touchFaults(facts) : []),
      ...(goesIn.piece === 'new' ? unopened(facts) : []),
    ].map(sayWhyNot),
    ...(expired === undefined ? [] : [expired]),
    ...(goesIn.piece === 'same' && neverReused(part.kind)
      ? [`The old ${part.name} is never used again: a new one goes in.`]
      : goesIn.piece === 'same' && part.fate !== 'refitted'
        ? [`The old ${part.name} is not to be used again: its fate is “${part.fate ?? 'none'}”.`]
        : []),
    ...(wrong === undefined ? [] : [wrong]),
  ];
};
