import type { Family } from '../family/family';
import type { Geometry } from '../family/geometry';
import { type Lane, laneOf } from '../family/lane';
import type { DrawnPart } from './drawn-parts';
import type { Unit } from './unit-record';

/** One bore of a unit as it is drawn: its places by the names that the tray has for them, at its own size. */
export type BoreDrawing = { readonly pot: number; readonly name: string; readonly family: Family; readonly geometry: Geometry };

/** Every bore of a unit, to be drawn side by side. What belongs to no single pot is drawn with the first. */
export const boreDrawings = (family: Family, unit: Pick<Unit, 'geometry' | 'morePots'>): readonly BoreDrawing[] =>
  unit.geometry === null
    ? []
    : [unit.geometry, ...unit.morePots.map((p) => p.geometry)].map((geometry, i) => {
        const slots = family.slots.filter((s) => (s.pot?.no ?? 1) === i + 1);
        const renamed = slots.flatMap((s) => {
          const span = geometry.spans[s.pot?.place ?? s.id];
          return span === undefined ? [] : [[s.id, span] as const];
        });
        const name = unit.morePots.length === 0 ? '' : `Pot ${i + 1}`;
        return {
          pot: i + 1,
          name,
          family: { ...family, slots },
          geometry: { ...geometry, spans: { ...geometry.spans, ...Object.fromEntries(renamed) } },
        };
      });

/** Those of a unit's parts that are drawn with one of its bores; what the family knows none of lies in the first. */
export const partsIn = <P extends Pick<DrawnPart, 'id'>>({ pot, family }: BoreDrawing, parts: readonly P[], whole: Family): readonly P[] =>
  parts.filter((p) => family.slots.some((s) => s.id === p.id) || (pot === 1 && !whole.slots.some((s) => s.id === p.id)));

/** Where the seals of a bore can be. @param marginMm by which one may sit to either side */
export const lanesIn = ({ geometry }: Pick<BoreDrawing, 'geometry'>, marginMm: number): readonly Lane[] =>
  geometry.seals.map((s) => laneOf(s, marginMm));
