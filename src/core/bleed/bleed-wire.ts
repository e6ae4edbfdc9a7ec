/** Fluids as the wire names them. */
export const WIRE_FLUIDS = ['dot3', 'dot4', 'dot5.1', 'dot5', 'mineral'] as const;
export type WireFluid = (typeof WIRE_FLUIDS)[number];
export const ORDERS = ['longest-first', 'nearest-first', 'given'] as const;
export type BleedOrder = (typeof ORDERS)[number];
