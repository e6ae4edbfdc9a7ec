import { NOISE } from '../statistics/compare';

/** A seal in its bore. Travel is signed, + toward the blind end; a static seal does not move. */
export type BoreSeal = {
  readonly id: string;
  readonly role: 'pressure' | 'secondary' | 'static';
  readonly restXMm: number;
  readonly contactMm: number;
  readonly travelMm: number;
};

/** Where a seal's contact can be: over its stroke (x0 to x1), and at rest (parked0 to parked1). */
export type Lane = {
  readonly sealId: string;
  readonly role: BoreSeal['role'];
  readonly x0Mm: number;
  readonly x1Mm: number;
  readonly parked0Mm: number;
  readonly parked1Mm: number;
};

/** The lane of a seal, with the margin by which it may sit to either side. @source design, chapter 2 */
export const laneOf = (seal: BoreSeal, marginMm: number): Lane => {
  const reach = seal.contactMm / 2 + marginMm;
  const end = seal.role === 'static' ? seal.restXMm : seal.restXMm + seal.travelMm;
  return {
    sealId: seal.id,
    role: seal.role,
    x0Mm: Math.min(seal.restXMm, end) - reach,
    x1Mm: Math.max(seal.restXMm, end) + reach,
    parked0Mm: seal.restXMm - reach,
    parked1Mm: seal.restXMm + reach,
  };
};

type OfRole = Pick<BoreSeal, 'role'>;
/** Seals that move, or their lanes. */
export const movingLanes = <L extends OfRole>(lanes: readonly L[]): readonly L[] => lanes.filter((l) => l.role !== 'static');
/** Those that wear and limits are judged by: the ones that move, or all where none does. */
export const countedLanes = <L extends OfRole>(lanes: readonly L[]): readonly L[] => {
  const moving = movingLanes(lanes);
  return moving.length > 0 ? moving : lanes;
};

/** Do two closed stretches of the bore touch? */
export const touches = (a0: number, a1: number, b0: number, b1: number): boolean => a0 <= b1 + NOISE && b0 <= a1 + NOISE;

/** Gap between two stretches along the bore, mm; 0 when they touch. */
export const gapBetween = (a0: number, a1: number, b0: number, b1: number): number => Math.max(0, b0 - a1, a0 - b1);
