import type { Family } from '../family/family';
import { PART_KINDS, type PartKind } from '../family/part-kind';
import type { Station } from '../station';
import type { TrayPart } from '../strip/tray-schema';

/** Does putting this part in bear on what was proved? What holds no working pressure does not. */
export const bearsOnProof = (kind: PartKind): boolean => PART_KINDS[kind].bears !== 'nothing';

/** Does putting this part in move where the piston rests or what the rod meets? */
export const bearsOnGap = (kind: PartKind): boolean => PART_KINDS[kind].bears === 'gap-and-proof';

/** Stations whose sign-off falls when these parts go in again; the signatures always do. */
export const reopenedByParts = (family: Family, parts: readonly Pick<TrayPart, 'kind'>[]): readonly Station[] => [
  'close-up',
  ...(family.hasGap && parts.some((p) => bearsOnGap(p.kind)) ? (['set'] as const) : []),
  ...(family.proof !== 'none' && parts.some((p) => bearsOnProof(p.kind)) ? (['prove'] as const) : []),
  'release',
];

/** When the last of the parts that bear on something went in, ms since 1970; `closedUpAt` stands for those that nobody said were put in. */
export const lastIn = (tray: readonly TrayPart[], bears: (kind: PartKind) => boolean, closedUpAt: number): number =>
  Math.max(
    Number.NEGATIVE_INFINITY,
    ...tray.filter((p) => bears(p.kind) && p.fate !== 'binned' && p.found !== 'absent').map((p) => p.goesIn?.at ?? closedUpAt),
  );
