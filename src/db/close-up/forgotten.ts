import { reopenedByParts } from '@/core/close-up/bearing';
import { inTheWay } from '@/core/close-up/order';
import type { PartKind } from '@/core/family/part-kind';
import { ok, type Result } from '@/core/result';
import { usualFate } from '@/core/strip/tray';
import type { TrayPart } from '@/core/strip/tray-schema';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { drop, type Edit, put } from '../engine/edit';
import { lyingBehind } from '../strip/tray';

/** A part found on the bench after it was said to be in: one of the tray, or one that was never on its list. */
export type Forgotten =
  | { readonly what: 'listed'; readonly partId: string }
  | {
      readonly what: 'unlisted';
      readonly partId: string;
      readonly kind: PartKind;
      readonly name: string;
      /** The part that it lies behind, from the open end; null: it comes first. */
      readonly behindId: string | null;
    };

/** A part that turned up: it was whole enough to be taken for one of this unit's, and what is never used again is replaced. */
const foundOnBench = (part: TrayPart): TrayPart => ({
  ...part,
  condition: 'good',
  fate: usualFate(part.kind, 'good'),
  note: 'found on the bench after closing up',
});

/** A forgotten part is found: it and what stands in its way come out again, and just the stations that those bear on are open again. */
export const findForgotten = (db: Db, change: Change, f: Forgotten): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record) => {
    if (record.tray.every((p) => p.goesIn === null)) return refused('Nothing has been put in yet.');
    const added = f.what === 'listed' ? undefined : lyingBehind(record.tray, f);
    if (added !== undefined && !added.ok) return added;
    const part = added === undefined ? record.tray.find((p) => p.id === f.partId) : foundOnBench(added.value);
    if (part === undefined) return refused('There is no such part on this tray.');
    if (part.goesIn === null && f.what === 'listed') return refused(`The ${part.name} is not in yet: it has its turn at Close up.`);
    const tray = added === undefined ? record.tray : [...record.tray, part].sort((a, b) => a.seq - b.seq);
    return ok(takenOutEdits(record, tray, [part]));
  });

/** Parts come out again with all that stands in their way; the stations that those bear on are open again, and the signatures fall. */
export const takenOutEdits = (record: UnitRecord, tray: readonly TrayPart[], parts: readonly TrayPart[]): readonly Edit[] => {
  const unitId = record.unit.id;
  const inside = parts.flatMap((part) => inTheWay(record.family, tray, part)).filter((p) => p.goesIn !== null);
  const out = [...new Set([...inside, ...parts])];
  return [
    ...out.map((p) => put('parts', { ...p, goesIn: null, unitId })),
    ...reopenedByParts(record.family, out).map((s) => drop('steps', `${unitId}-${s}`)),
    ...record.signatures.map((s) => drop('signatures', s.id)),
  ];
};
