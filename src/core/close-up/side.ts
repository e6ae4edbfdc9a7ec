import type { Faces } from '../family/facing';
import { type Family, partFacing } from '../family/family';
import { PART_KINDS, type PartKind, partsChambers } from '../family/part-kind';
import type { TrayPart } from '../strip/tray-schema';

/** What tells the two ways in which a part can go in: the lip of a seal, the bowl of a washer, the small end of a spring. */
export type Sided = 'lip' | 'bowl' | 'small-end';

/** Which way a part goes in, and why; a spring may also be the same at both ends. */
export type Side = { readonly what: Sided; readonly toward: Faces; readonly because: string };

const RIGHT_LEFT: { readonly [F in Faces]: string } = { blind: 'right', open: 'left' };

/**
 * Which way a part of this tray must lie, where that can be told: a lip toward the higher pressure, a bowl toward the seal it backs, the small end of a spring to the piston.
 * @returns undefined for parts that have no sides, and for springs and washers that lie between two of the same
 * @source design, domain, "Facing: which way a cup goes"
 */
export const sideOf = (family: Family, tray: readonly TrayPart[], part: TrayPart): Side | undefined => {
  const lip = partFacing(family, part);
  if (lip !== undefined)
    return {
      what: 'lip',
      toward: lip,
      because: `It holds the pressure that stands to its ${RIGHT_LEFT[lip]}, so its lip opens to the ${RIGHT_LEFT[lip]}.`,
    };
  if (part.kind === 'concave-washer')
    return toNeighbour(family, tray, part, {
      what: 'bowl',
      to: partsChambers,
      why: 'A concave washer backs a seal: its bowl lies toward it',
    });
  if (part.kind === 'spring')
    return toNeighbour(family, tray, part, {
      what: 'small-end',
      to: (kind) => PART_KINDS[kind].carries !== null,
      why: 'A spring with two diameters goes small end to the piston',
    });
  return undefined;
};

/** May this part be put in without a side, because it is the same at both ends? */
export const mayBeEven = (kind: PartKind): boolean => kind === 'spring';

type Toward = { readonly what: Sided; readonly to: (kind: PartKind) => boolean; readonly why: string };

const toNeighbour = (family: Family, tray: readonly TrayPart[], part: TrayPart, { what, to: isIt, why }: Toward): Side | undefined => {
  const x = placesIn(family, tray);
  const here = x(part);
  const away = (to: Faces): number =>
    Math.min(
      ...tray
        .filter((p) => isIt(p.kind) && p.found !== 'absent')
        .map((p) => (to === 'open' ? here - x(p) : x(p) - here))
        .filter((mm) => mm > 0),
    );
  const [left, right] = [away('open'), away('blind')];
  if (left === right) return undefined;
  const toward = left < right ? 'open' : 'blind';
  return { what, toward, because: `${why}, which is to its ${RIGHT_LEFT[toward]}.` };
};

/** Where parts of a tray lie along the unit: in mm where the family's drawing places all that it lists, else by their row. */
const placesIn = (family: Family, tray: readonly TrayPart[]): ((p: TrayPart) => number) => {
  const middle = (p: TrayPart): number | undefined => {
    const span = family.drawing?.spans[p.slotId];
    return span === undefined ? undefined : (span.x0Mm + span.x1Mm) / 2;
  };
  return tray.every((p) => middle(p) !== undefined) ? (p) => middle(p) ?? 0 : (p) => tray.indexOf(p);
};

/** Why a part is the wrong way round, and what to do; undefined when it lies as it must. */
export const wrongSide = (side: Side | undefined, part: Pick<TrayPart, 'kind' | 'name'>, faces: Faces | null): string | undefined => {
  if (side === undefined || faces === side.toward) return undefined;
  if (faces === null) return mayBeEven(part.kind) ? undefined : `Say which way the ${SIDED_WORDS[side.what]} of the ${part.name} faces.`;
  return `The ${part.name} faces the wrong way: turn it round. ${side.because}`;
};

export const SIDED_WORDS: { readonly [S in Sided]: string } = { lip: 'lip', bowl: 'bowl', 'small-end': 'small end' };
