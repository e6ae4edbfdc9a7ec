import { type Chamber, expectedFacing, type Faces } from './facing';
import type { UnitKind } from './family-name';
import type { Geometry, Groove, Port, Span } from './geometry';
import type { BoreSeal } from './lane';
import type { PartKind } from './part-kind';

/** A place in a unit that one part (or `qty` like parts) fills, from the open end. */
export type Slot = {
  readonly id: string;
  readonly name: string;
  readonly kind: PartKind;
  readonly qty: number;
  /** Some units of the family have none. */
  readonly optional: boolean;
  /** The chambers that a seal parts: neighbours, the open-end one first. */
  readonly between?: readonly [string, string];
  /** The groove of the bore that it sits in. */
  readonly groove?: string;
  /** Kinds that hold this place in other units of the family; which one is seen at strip. */
  readonly oneOf?: readonly PartKind[];
  /** Which pot of several it lies in, and what its place is called in a half with one. */
  readonly pot?: { readonly no: number; readonly place: string };
};

/** Everything that is fixed by the family. Facing is not stored: it follows from the chambers. */
export type Family = {
  readonly name: UnitKind;
  readonly label: string;
  readonly bore: 'blind' | 'through' | 'none';
  /** Stops a vehicle: two people sign. */
  readonly brake: boolean;
  /** Its pushrod gap against a booster or pedal is set. */
  readonly hasGap: boolean;
  /** How it is proved: held on the rig, tried by hand and noted, or not at all. */
  readonly proof: 'rig' | 'by-hand' | 'none';
  readonly chambers: readonly Chamber[];
  readonly slots: readonly Slot[];
  /** Null where there is no bore to draw. */
  readonly drawing: Drawing | null;
};

/** The family's default geometry at one bore size, `atMm`; other sizes are scaled along the bore in proportion. */
export type Drawing = {
  readonly atMm: number;
  readonly lengthMm: number;
  readonly wallMm: number;
  readonly ports: readonly Port[];
  readonly grooves: readonly Groove[];
  readonly seals: readonly BoreSeal[];
  readonly spans: { readonly [slotId: string]: Span };
};

/**
 * A drawing at a nominal bore, scaled along the bore to 0.1 mm. Walls, holes, clips and lips keep their size.
 * @param nominalMm bore, mm
 */
export const geometryAt = (drawing: Drawing, nominalMm: number): Geometry => {
  const { atMm, lengthMm, wallMm, ports, grooves, seals, spans } = drawing;
  const scale = (mm: number): number => Math.round(((mm * nominalMm) / atMm) * 10) / 10;
  return {
    nominalMm,
    lengthMm: scale(lengthMm),
    wallMm,
    ports: ports.map((p) => ({ ...p, xMm: scale(p.xMm) })),
    grooves: grooves.map((g) => ({ ...g, xMm: scale(g.xMm), widthMm: scale(g.widthMm) })),
    seals: seals.map((s) => ({ ...s, restXMm: scale(s.restXMm), travelMm: scale(s.travelMm) })),
    spans: Object.fromEntries(Object.entries(spans).map(([id, s]) => [id, { x0Mm: scale(s.x0Mm), x1Mm: scale(s.x1Mm) }])),
  };
};

/** Where the lip of a part must open that holds a place of the family, in whichever kind it was found; undefined for parts without a lip. */
export const partFacing = (family: Family, part: { readonly slotId: string; readonly kind: PartKind }): Faces | undefined =>
  slotFacing(family, { kind: part.kind, between: family.slots.find((s) => s.id === part.slotId)?.between });

/** Where a slot's lip must open; undefined for parts without one. */
export const slotFacing = (
  family: Pick<Family, 'chambers'>,
  s: { readonly kind: PartKind; readonly between?: Slot['between'] | undefined },
): Faces | undefined => {
  if (s.between === undefined) return undefined;
  const pressure = (id: string): Chamber['pressure'] => family.chambers.find((c) => c.id === id)?.pressure ?? 'none';
  const facing = expectedFacing(s.kind, pressure(s.between[0]), pressure(s.between[1]));
  return facing === 'open' || facing === 'blind' ? facing : undefined;
};
