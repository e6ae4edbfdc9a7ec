import type { PartKind } from '../family/part-kind';
import { MEASURES } from '../strip/measures';
import { IN_BORE } from './needs-of';

/** Seals whose rubber a catalogue may name: it decides which fluid they bear. */
const RUBBER: readonly PartKind[] = ['cup', 'plunger-seal', 'o-ring', 'square-seal', 'end-seal', 'cap-seal', 'cross-over-seal'];

/** What a catalogue states of a kind beside what a bench measures of it. */
const ALSO: { readonly [K in PartKind]?: readonly string[] } = {
  'bleed-screw': ['thread', 'lengthMm', 'tip'],
  'banjo-bolt': ['thread'],
  'union-nut': ['thread'],
  'set-screw': ['thread'],
  'sealing-washer': ['idMm', 'odMm', 'thickMm'],
  circlip: ['odMm'],
  'wire-ring': ['odMm'],
  'split-pin': ['diaMm'],
  'cap-seal': ['odMm'],
  'square-seal': ['odMm'],
  'dust-seal': ['idMm'],
  spring: ['odMm'],
};

/** Dimensions by which pieces of a kind are told apart, in the order a catalogue gives them. */
export const dimsOfKind = (kind: PartKind): readonly string[] => [
  ...(IN_BORE.includes(kind) ? ['boreMm'] : []),
  ...(MEASURES[kind] ?? []).map((m) => m.dim),
  ...(ALSO[kind] ?? []),
  ...(RUBBER.includes(kind) ? ['rubber'] : []),
];
