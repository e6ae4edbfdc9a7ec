import { type BenchRecord, newestOf } from '../bench/bench-record';
import { isFastener, PART_KINDS, type Stuff } from '../family/part-kind';
import { seatOf } from '../family/pots';
import { NO_TOUCH, type Touch } from '../fluid/contact';
import { FLUIDS } from '../fluid/fluid';
import { LUBRICANTS } from '../fluid/lubricant';
import type { Units } from '../quantity/units';
import { removalOrder } from '../strip/removal-order';
import type { Torque } from './fastening';
import { type Fitting, fittingOf, type Wet } from './fitting';
import { assemblyOrder } from './order';
import { edgesOnTheWay, lipLeads, sayPassing } from './passing';
import { type Closing, piecesOf, sayPiece, usesOld } from './piece';
import { mayBeEven, type Side, sideOf } from './side';

/** How one part of this unit goes in: everything that is to be known at its turn. What does not apply is null. */
export type CloseUpStep = {
  readonly partId: string;
  readonly piece: 'same' | 'new';
  /** Which piece that is: the unit's own, or its place in a bag. */
  readonly from: string;
  readonly fitting: Fitting;
  readonly wetWith: string;
  /** How its lip gets past the edges on its way. */
  readonly passing: string | null;
  readonly side: Side | null;
  /** It may also be the same at both ends. */
  readonly even: boolean;
  readonly fastener: { readonly torque: Torque | null } | null;
  /** A piece that is usually replaced goes back: why is still to be said. */
  readonly asksReason: boolean;
};

/**
 * The close-up guide of a unit: the order of stripping reversed, each part with its piece, its lubricant, its side, and the way in.
 * @param torques what manuals gave for the screws of its fitment
 */
export const closeUpSteps = (
  r: Closing & { readonly bench: readonly BenchRecord[]; readonly photos: readonly { readonly onKind: string; readonly onId: string }[] },
  torques: readonly Torque[],
  units: Units,
): readonly CloseUpStep[] => {
  const pieces = piecesOf(r);
  const touch = newestOf(r.bench, 'touch') ?? NO_TOUCH;
  const groups = removalOrder(r.family, r.tray);
  return assemblyOrder(r.family, r.tray).map((part) => {
    const [carrier, ...riders] = groups.find((g) => g.includes(part)) ?? [part];
    const on = carrier === part ? null : (carrier ?? null);
    const photographed = r.photos.some((p) => p.onKind === 'part' && p.onId === part.id);
    const fitting = fittingOf(part, r.family, on, photographed);
    const side = sideOf(r.family, r.tray, part) ?? null;
    const { geometry, place } = seatOf(r, part.slotId);
    // A seal that goes in on its piston meets the edges with it.
    const lipped = on === null && side?.what === 'lip' && geometry !== null && geometry.spans[place] !== undefined;
    const edges =
      geometry === null
        ? []
        : (lipped ? [part] : on === null ? riders : []).map((p) => edgesOnTheWay(r.family, geometry, seatOf(r, p.slotId).place));
    const passing = sayPassing(
      edges.reduce((most, e) => (e.length > most.length ? e : most), []),
      units,
    );
    const leads =
      lipped && lipLeads(r.family, geometry, part, side)
        ? 'Its lip goes in first: fold it in all round, so that it does not turn over. '
        : '';
    return {
      partId: part.id,
      piece: usesOld(part) ? ('same' as const) : ('new' as const),
      from: sayPiece(pieces.get(part.slotId) ?? { kind: 'unlisted' }),
      fitting,
      wetWith: sayWet(
        r.family.proof === 'rig' ? fitting.wet : fitting.wet === 'fluid-path' ? 'dry' : fitting.wet,
        PART_KINDS[part.kind].stuff,
        touch,
      ),
      passing: passing === null && leads === '' ? null : `${leads}${passing ?? ''}`.trim(),
      side,
      even: mayBeEven(part.kind),
      fastener: isFastener(part.kind) ? { torque: torques.find((t) => t.slotId === part.slotId) ?? null } : null,
      asksReason: usesOld(part) && PART_KINDS[part.kind].policy === 'last-resort' && part.note === '',
    };
  });
};

/** How long new rubber lies in fluid before it goes in. @source design, domain, school on soaking seals */
const SOAK_MIN = 10;

const sayWet = (wet: Wet, stuff: Stuff, { fluid, lubricant }: Touch): string => {
  switch (wet) {
    case 'fluid-path': {
      if (lubricant !== 'fresh-fluid') return LUBRICANTS[lubricant].label;
      const fresh = fluid === null ? 'fresh fluid of this system' : `fresh ${FLUIDS[fluid].label}`;
      return stuff === 'rubber' ? `soaked ${SOAK_MIN} min in ${fresh}` : fresh;
    }
    case 'dust-side':
      return 'a thin film of rubber-safe grease, on the dust side only';
    case 'dry':
      return 'clean and dry';
  }
};
