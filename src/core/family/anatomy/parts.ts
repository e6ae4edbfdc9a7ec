import type { Slot } from '../family';
import type { Groove, Port, Span } from '../geometry';
import type { BoreSeal } from '../lane';
import type { PartKind } from '../part-kind';

// Short forms in which the families are written down.

type More = Partial<Pick<Slot, 'qty' | 'optional' | 'between' | 'groove' | 'oneOf'>>;

export const slot = (id: string, name: string, kind: PartKind, more: More = {}): Slot => ({
  id,
  name,
  kind,
  qty: 1,
  optional: false,
  ...more,
});
/** A seal between two neighbouring chambers, the open-end one first. */
export const seal = (id: string, name: string, kind: PartKind, open: string, blind: string, more: More = {}): Slot =>
  slot(id, name, kind, { between: [open, blind], ...more });
export const cup = (id: string, name: string, open: string, blind: string): Slot => seal(id, name, 'cup', open, blind);
/** What keeps the piston in, in a groove of its own; which of these it is differs from maker to maker. */
export const clip = (groove: string, more: More = {}): Slot =>
  slot('circlip', 'circlip', 'circlip', { groove, oneOf: ['circlip', 'wire-ring', 'nylon-ring', 'tanged-clip'], ...more });
export const bleedScrew = (optional = false): readonly Slot[] => [
  slot('bleed-screw', 'bleed screw', 'bleed-screw', { optional }),
  slot('bleed-cap', 'bleed cap', 'bleed-cap', { optional: true }),
];

export const running = (id: string, role: BoreSeal['role'], restXMm: number, travelMm: number, contactMm = 2.5): BoreSeal => ({
  id,
  role,
  restXMm,
  contactMm,
  travelMm,
});
export const port = (id: string, kind: Port['kind'], xMm: number, diaMm: number, side: Port['side']): Port => ({
  id,
  kind,
  xMm,
  diaMm,
  side,
});
export const groove = (id: string, xMm: number, widthMm: number, depthMm = 1.3): Groove => ({ id, xMm, widthMm, depthMm });
export const span = (x0Mm: number, x1Mm: number): Span => ({ x0Mm, x1Mm });
