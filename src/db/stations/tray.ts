import { NEVER_REUSED } from '@/core/close-up/stack-check';
import { FAMILIES, slotFacing } from '@/core/family/family';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import type { TrayPart } from '@/core/strip/tray-door';
import { routeOfUnit } from '@/core/unit/facts-of';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../change-unit';
import type { Db } from '../connection';
import { type Edit, put } from '../event-payload';

/** What a person may say about a part: what came out at strip, or what went in at close-up. */
export type PartNews = Partial<Pick<TrayPart, 'found' | 'condition' | 'faces' | 'dims' | 'note' | 'photoId' | 'fate' | 'goesIn'>>;

/** Records one part of the tray. The diameter of a piston is the unit's piston diameter: the limit rests on it. */
export const recordPart = (db: Db, change: Change, partId: string, news: PartNews): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [partId] }, (record) => {
    const seq = record.tray.findIndex((p) => p.id === partId);
    const part = record.tray[seq];
    if (part === undefined) return refused('There is no such part on this tray.');
    const notNow = whyNotNow('goesIn' in news ? 'close-up' : 'strip', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    const objection = news.goesIn == null ? undefined : closeUpObjection(record, part, news.goesIn);
    if (objection !== undefined) return refused(objection);
    const edits: Edit[] = [put('parts', { ...part, ...news, unitId: record.unit.id, seq })];
    const diaMm = part.kind === 'piston' ? news.dims?.diaMm : undefined;
    if (typeof diaMm === 'number') {
      const pistons = record.tray.filter((p) => p.kind === 'piston').map((p) => (p.id === partId ? diaMm : p.dims.diaMm));
      const largest = Math.max(...pistons.flatMap((d) => (typeof d === 'number' ? [d] : [])));
      edits.push(put('units', { ...record.unit, pistonDiaMm: largest }));
    }
    return ok(edits);
  });

/** A wrong piece or a wrong way round is refused at once, with the reason. */
const closeUpObjection = (record: UnitRecord, part: TrayPart, goesIn: NonNullable<TrayPart['goesIn']>): string | undefined => {
  if (goesIn.piece === 'same' && NEVER_REUSED.includes(part.kind))
    return `The old ${part.name} is rubber in the fluid path: it never goes back.`;
  if (goesIn.piece === 'same' && part.fate !== 'refitted')
    return `The old ${part.name} is not to be used again: its fate is “${part.fate ?? 'none'}”.`;
  const family = FAMILIES[record.unit.family];
  const slot = family.slots.find((s) => s.id === part.slotId);
  const expected = slot === undefined ? undefined : slotFacing(family, slot);
  if (expected === undefined) return undefined;
  if (goesIn.faces === null) return `Say which way the lip of the ${part.name} faces.`;
  return goesIn.faces === expected
    ? undefined
    : `The ${part.name} faces the wrong way: its lip must open toward the ${expected} end, where the higher pressure is. Turn it round.`;
};
