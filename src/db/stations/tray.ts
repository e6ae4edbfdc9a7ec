import { ok, type Result } from '@/core/result';
import type { TrayPart } from '@/core/strip/tray-door';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../change-unit';
import type { Db } from '../connection';
import { type Edit, put } from '../event-payload';

/** What a person may say about a part: what came out at strip, or what went in at close-up. */
export type PartNews = Partial<Pick<TrayPart, 'found' | 'condition' | 'faces' | 'dims' | 'note' | 'photoId' | 'fate' | 'goesIn'>>;

/** Records one part of the tray. The diameter of a piston is the unit's piston diameter: the limit rests on it. */
export const recordPart = (db: Db, change: Change, partId: string, news: PartNews): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record) => {
    const seq = record.tray.findIndex((p) => p.id === partId);
    const part = record.tray[seq];
    if (part === undefined) return refused('There is no such part on this tray.');
    const edits: Edit[] = [put('parts', { ...part, ...news, unitId: record.unit.id, seq })];
    const diaMm = part.kind === 'piston' ? news.dims?.diaMm : undefined;
    if (typeof diaMm === 'number') {
      const pistons = record.tray.filter((p) => p.kind === 'piston').map((p) => (p.id === partId ? diaMm : p.dims.diaMm));
      const largest = Math.max(...pistons.flatMap((d) => (typeof d === 'number' ? [d] : [])));
      edits.push(put('units', { ...record.unit, pistonDiaMm: largest }));
    }
    return ok(edits);
  });
