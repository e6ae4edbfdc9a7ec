import { MEASURES } from './measures';
import { isBoreSeal, PART_KINDS, type PartKind } from './part-kind';

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
  ...(isBoreSeal(kind) ? ['boreMm'] : []),
  ...(MEASURES[kind] ?? []).map((m) => m.dim),
  ...(ALSO[kind] ?? []),
  // The rubber of a seal decides which fluid it bears.
  ...(PART_KINDS[kind].seal !== null ? ['rubber'] : []),
];
