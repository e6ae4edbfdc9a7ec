import type { BoreSeal } from '../bore/lane';
import { type Chamber, expectedFacing, type Faces } from '../close-up/stack-check';
import type { FamilyName } from './family-name';
import type { Geometry, Port, Span } from './geometry';
import type { PartKind } from './part-kind';

/** A place in a unit that one part (or `qty` like parts) fills, from the open end. `between` names the chambers that a seal parts. */
export type Slot = {
  readonly id: string;
  readonly name: string;
  readonly kind: PartKind;
  readonly qty: number;
  /** Some units of the family have none. */
  readonly optional: boolean;
  readonly between?: readonly [string, string];
};

/** Everything that is fixed by the family. Facing is not stored: it follows from the chambers. */
export type Family = {
  readonly name: FamilyName;
  readonly label: string;
  readonly bore: 'blind' | 'through';
  /** Stops a vehicle: two people sign. */
  readonly brake: boolean;
  /** Its pushrod gap against a booster or pedal is set. */
  readonly hasGap: boolean;
  readonly chambers: readonly Chamber[];
  readonly slots: readonly Slot[];
  readonly drawing: Drawing;
};

/** The family's default geometry at one bore size; other sizes are scaled along the bore in proportion. */
type Drawing = {
  readonly atMm: number;
  readonly lengthMm: number;
  readonly wallMm: number;
  readonly ports: readonly Port[];
  readonly seals: readonly BoreSeal[];
  readonly spans: { readonly [slotId: string]: Span };
};

const slot = (id: string, name: string, kind: PartKind, more: Partial<Pick<Slot, 'qty' | 'optional' | 'between'>> = {}): Slot => ({
  id,
  name,
  kind,
  qty: 1,
  optional: false,
  ...more,
});
const cup = (id: string, name: string, open: string, blind: string): Slot => slot(id, name, 'cup', { between: [open, blind] });
const seal = (id: string, role: BoreSeal['role'], restXMm: number, travelMm: number): BoreSeal => ({
  id,
  role,
  restXMm,
  contactMm: 2.5,
  travelMm,
});
const port = (id: string, kind: Port['kind'], xMm: number, diaMm: number, side: Port['side']): Port => ({ id, kind, xMm, diaMm, side });
const span = (x0Mm: number, x1Mm: number): Span => ({ x0Mm, x1Mm });

const masterSingle: Family = {
  name: 'master-single',
  label: 'Single master',
  bore: 'blind',
  brake: true,
  hasGap: true,
  chambers: [
    { id: 'outside', pressure: 'none' },
    { id: 'feed', pressure: 'reservoir' },
    { id: 'pressure', pressure: 'working' },
  ],
  slots: [
    slot('boot', 'boot', 'boot'),
    slot('circlip', 'circlip', 'circlip'),
    slot('stop-washer', 'stop washer', 'stop-washer'),
    slot('pushrod', 'pushrod', 'pushrod'),
    slot('piston', 'piston', 'piston'),
    cup('secondary', 'secondary cup', 'outside', 'feed'),
    slot('protector', 'thin protector washer', 'protector-washer'),
    cup('primary', 'primary cup', 'feed', 'pressure'),
    slot('spring-seat', 'spring seat', 'spring-seat'),
    slot('spring', 'return spring', 'spring'),
    slot('residual-valve', 'residual valve', 'residual-valve', { optional: true }),
  ],
  drawing: {
    atMm: 20.6375,
    lengthMm: 64,
    wallMm: 4.5,
    // The compensating port opens just ahead of the resting primary cup; the feed stays between the two cups over the whole stroke.
    ports: [
      port('feed', 'feed', 32, 3, 'top'),
      port('compensating', 'compensating', 38.9, 0.8, 'top'),
      port('outlet', 'outlet', 59.5, 5, 'bottom'),
    ],
    seals: [seal('secondary', 'secondary', 11, 17), seal('primary', 'pressure', 36, 17)],
    spans: {
      boot: span(-13, 1.5),
      circlip: span(2.5, 3.7),
      'stop-washer': span(4.2, 5.6),
      pushrod: span(-34, 9),
      piston: span(6, 33.4),
      secondary: span(9.5, 14),
      protector: span(33.6, 34.2),
      primary: span(34.4, 39),
      'spring-seat': span(39.4, 41),
      spring: span(41, 61.5),
      'residual-valve': span(61.5, 64),
    },
  },
};

const masterTandem: Family = {
  name: 'master-tandem',
  label: 'Tandem master',
  bore: 'blind',
  brake: true,
  hasGap: true,
  chambers: [
    { id: 'outside', pressure: 'none' },
    { id: 'rear-feed', pressure: 'reservoir' },
    { id: 'rear', pressure: 'working' },
    { id: 'front-feed', pressure: 'reservoir' },
    { id: 'front', pressure: 'working' },
  ],
  slots: [
    slot('boot', 'boot', 'boot'),
    slot('circlip', 'circlip', 'circlip'),
    slot('stop-washer', 'stop washer', 'stop-washer'),
    slot('rear-piston', 'rear piston', 'piston'),
    cup('secondary', 'secondary cup', 'outside', 'rear-feed'),
    slot('protector', 'thin protector washer', 'protector-washer'),
    cup('rear-primary', 'rear primary cup', 'rear-feed', 'rear'),
    slot('rear-spring', 'intermediate spring', 'spring'),
    slot('floating-piston', 'floating piston', 'piston'),
    cup('floating-rear', 'floating rear cup', 'rear', 'front-feed'),
    cup('front-primary', 'front primary cup', 'front-feed', 'front'),
    slot('front-spring', 'front spring', 'spring'),
    slot('stop-screw', 'stop screw', 'set-screw'),
    slot('grommets', 'reservoir grommets', 'grommet', { qty: 2 }),
  ],
  drawing: {
    atMm: 22.225,
    lengthMm: 98,
    wallMm: 5,
    ports: [
      port('rear-feed', 'feed', 35, 3, 'top'),
      port('rear-compensating', 'compensating', 43.9, 0.8, 'top'),
      port('rear-outlet', 'outlet', 49.5, 4, 'bottom'),
      port('front-feed', 'feed', 74, 3, 'top'),
      port('front-compensating', 'compensating', 82.9, 0.8, 'top'),
      port('front-outlet', 'outlet', 96, 3, 'bottom'),
    ],
    seals: [
      seal('secondary', 'secondary', 11, 18),
      seal('rear-primary', 'pressure', 41, 18),
      seal('floating-rear', 'pressure', 56, 12),
      seal('front-primary', 'pressure', 80, 12),
    ],
    spans: {
      boot: span(-12, 1.5),
      circlip: span(2.5, 3.7),
      'stop-washer': span(4.2, 5.6),
      'rear-piston': span(6, 38.4),
      secondary: span(9.5, 14),
      protector: span(38.6, 39.2),
      'rear-primary': span(39.4, 44),
      'rear-spring': span(44.4, 53.6),
      'floating-piston': span(53.8, 78.2),
      'floating-rear': span(53, 57.6),
      'front-primary': span(78.4, 83),
      'front-spring': span(83.4, 97.5),
      'stop-screw': span(66, 68.5),
      grommets: span(32, 77),
    },
  },
};

const wheelDouble: Family = {
  name: 'wheel-double',
  label: 'Wheel cylinder, double',
  bore: 'through',
  brake: true,
  hasGap: false,
  chambers: [
    { id: 'outside-left', pressure: 'none' },
    { id: 'pressure', pressure: 'working' },
    { id: 'outside-right', pressure: 'none' },
  ],
  slots: [
    slot('left-boot', 'left boot', 'boot'),
    slot('left-piston', 'left piston', 'piston'),
    cup('left-cup', 'left cup', 'outside-left', 'pressure'),
    slot('expander', 'expander spring', 'spring'),
    cup('right-cup', 'right cup', 'pressure', 'outside-right'),
    slot('right-piston', 'right piston', 'piston'),
    slot('right-boot', 'right boot', 'boot'),
    slot('bleed-screw', 'bleed screw', 'bleed-screw'),
  ],
  drawing: {
    atMm: 22.225,
    lengthMm: 62,
    wallMm: 4.5,
    ports: [port('bleed', 'bleed', 31, 2, 'top'), port('inlet', 'inlet', 31, 4, 'bottom')],
    seals: [seal('left-cup', 'pressure', 24, -6), seal('right-cup', 'pressure', 38, 6)],
    spans: {
      'left-boot': span(-6, 3),
      'left-piston': span(3, 22.2),
      'left-cup': span(22.4, 27),
      expander: span(27, 35),
      'right-cup': span(35, 39.6),
      'right-piston': span(39.8, 59),
      'right-boot': span(59, 68),
      'bleed-screw': span(29.5, 32.5),
    },
  },
};

/** Families that can be worked on so far. */
export const FAMILIES = { 'master-single': masterSingle, 'master-tandem': masterTandem, 'wheel-double': wheelDouble } as const;
export type WorkedFamily = keyof typeof FAMILIES;
export const WORKED_FAMILIES = Object.keys(FAMILIES) as [WorkedFamily, ...WorkedFamily[]];

/**
 * A family's geometry at a nominal bore: its drawing scaled along the bore, to 0.1 mm.
 * @param nominalMm bore, mm
 */
export const defaultGeometry = (family: Family, nominalMm: number): Geometry => {
  const { atMm, lengthMm, wallMm, ports, seals, spans } = family.drawing;
  const scale = (mm: number): number => Math.round(((mm * nominalMm) / atMm) * 10) / 10;
  return {
    nominalMm,
    lengthMm: scale(lengthMm),
    wallMm,
    ports: ports.map((p) => ({ ...p, xMm: scale(p.xMm) })),
    seals: seals.map((s) => ({ ...s, restXMm: scale(s.restXMm), travelMm: scale(s.travelMm) })),
    spans: Object.fromEntries(Object.entries(spans).map(([id, s]) => [id, { x0Mm: scale(s.x0Mm), x1Mm: scale(s.x1Mm) }])),
  };
};

/** Where a slot's lip must open; undefined for parts without one. */
export const slotFacing = (family: Family, s: Slot): Faces | undefined => {
  if (s.between === undefined) return undefined;
  const pressure = (id: string): Chamber['pressure'] => family.chambers.find((c) => c.id === id)?.pressure ?? 'none';
  const facing = expectedFacing(s.kind, pressure(s.between[0]), pressure(s.between[1]));
  return facing === 'open' || facing === 'blind' ? facing : undefined;
};
