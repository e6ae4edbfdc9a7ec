import { PART_KINDS, partKind } from './part-kind';

/** A space in the bore, and what presses in it. */
export type Chamber = { readonly id: string; readonly pressure: 'none' | 'reservoir' | 'working' };
export type Faces = 'open' | 'blind';

const RANK: { readonly [P in Chamber['pressure']]: number } = { none: 0, reservoir: 1, working: 2 };

/** Where a seal's lip must open: toward the neighbour of higher pressure. @source design, domain, "Facing: which way a cup goes" */
export const expectedFacing = (kind: string, open: Chamber['pressure'], blind: Chamber['pressure']): Faces | 'either' | 'none' => {
  const known = partKind(kind);
  if (known === undefined || PART_KINDS[known].seal !== 'lip') return 'none';
  const step = RANK[blind] - RANK[open];
  return step > 0 ? 'blind' : step < 0 ? 'open' : 'either';
};
