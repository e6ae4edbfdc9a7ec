import type { Geometry } from '../family/geometry';
import { onePot } from '../family/pots';
import { thinnestPiston } from '../strip/pistons';
import type { Unit, UnitRecord } from './unit-record';

/** One bore of a unit, and the record as this bore sees it. */
export type Bore = { readonly pot: number; readonly name: string; readonly geometry: Geometry; readonly record: UnitRecord };

/** Every bore of a unit, the first first; none where it has none. Several where it is a caliper half with several pots. */
export const boresOf = (r: UnitRecord): readonly Bore[] =>
  r.unit.geometry === null
    ? []
    : [r.unit.geometry, ...r.unit.morePots.map((p) => p.geometry)].map((geometry, i) => ({
        pot: i + 1,
        name: potName(r.unit, i + 1),
        geometry,
        record: inPot(r, i + 1),
      }));

/** What one bore of a unit is called. */
export const potName = (unit: Pick<Unit, 'morePots'>, pot: number): string => (unit.morePots.length === 0 ? 'the bore' : `pot ${pot}`);

/** Is there such a bore? The first one counts as there. */
export const hasPot = (unit: Pick<Unit, 'morePots'>, pot: number): boolean =>
  Number.isInteger(pot) && pot >= 1 && pot <= 1 + unit.morePots.length;

export const noPot = (pot: number): string => `It has no pot ${pot}.`;

/**
 * A unit as if one of its bores were all it had: that pot's geometry, material and piston, what was gauged, marked, judged and cut in it, and
 * its own parts by the names of a half with one pot. To read from, never to write back.
 * @param pot from 1; one that the unit has (see `hasPot`)
 */
export const inPot = (r: UnitRecord, pot: number): UnitRecord => {
  if (r.unit.morePots.length === 0) return r;
  const mine = <T extends { readonly pot: number }>(list: readonly T[]): readonly T[] => list.filter((x) => x.pot === pot);
  const tray = r.tray.flatMap((p) => {
    const own = r.family.slots.find((s) => s.id === p.slotId)?.pot;
    return own === undefined ? [p] : own.no === pot ? [{ ...p, slotId: own.place }] : [];
  });
  return {
    ...r,
    unit: { ...r.unit, ...r.unit.morePots[pot - 2], morePots: [], pistonDiaMm: thinnestPiston(tray) },
    family: onePot(r.family, pot),
    tray,
    gaugings: mine(r.gaugings),
    marks: mine(r.marks),
    verdicts: mine(r.verdicts),
    passes: mine(r.passes),
    sleevings: mine(r.sleevings),
    underlays: mine(r.underlays),
  };
};

/** A unit with some of its bores changed: what is written when one is cut or sleeved. @param news by pot */
export const withBores = (unit: Unit, news: ReadonlyMap<number, Partial<Pick<Unit, 'material' | 'boreChangedAt'>>>): Unit => ({
  ...unit,
  ...news.get(1),
  morePots: unit.morePots.map((p, i) => ({ ...p, ...news.get(i + 2) })),
});
