import type { Family } from '../family/family';
import type { PartKind } from '../family/part-kind';
import { isRadial } from '../family/shape/part-shape';
import type { Station } from '../route/station';
import type { TrayPart } from '../strip/tray-door';

/** Parts that hold no working pressure: what was proved stands when one of these goes in later. */
const OUTSIDE_PRESSURE: readonly PartKind[] = [
  'bleed-cap',
  'boot',
  'dust-seal',
  'reservoir-cap',
  'cap-seal',
  'screen',
  'roll-pin',
  'reservoir',
  'grommet',
];
export const bearsOnProof = (kind: PartKind): boolean => !OUTSIDE_PRESSURE.includes(kind);

/** Does putting this part in move where the piston rests or what the rod meets? What stands in the wall does not, but for the stops. */
export const bearsOnGap = (kind: PartKind): boolean =>
  kind === 'stop-pin' ||
  kind === 'set-screw' ||
  !(isRadial(kind) || !bearsOnProof(kind) || kind === 'banjo-bolt' || kind === 'sealing-washer');

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
    ...tray
      .filter((p) => bears(p.kind) && p.fate !== 'binned' && p.found !== 'absent')
      .map((p) => (p.goesIn === null ? closedUpAt : (p.inAt ?? closedUpAt))),
  );
