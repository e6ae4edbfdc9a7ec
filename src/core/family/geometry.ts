/** Where a part lies along the bore at rest, mm from the open end; parts outside the bore have negative x. */
export type Span = { readonly x0Mm: number; readonly x1Mm: number };

export type { Geometry, Groove, Port } from './geometry-schema';
