import type { Units } from '../quantity/units';
import type { Rules } from '../rules/rule-set';
import { sayFine } from '../set/say-gap';
import { atMost } from '../statistics/compare';

/** A clevis or lever hole with its pin, measured across its longest and shortest; mm. */
export type PinnedHole = { readonly longMm: number; readonly shortMm: number; readonly pinMm: number };
export type HoleAnswer = {
  readonly playMm: number;
  readonly ovalMm: number;
  /** Lost at the pedal by the play, mm; null without a ratio. */
  readonly lostPedalMm: number | null;
  readonly verdict: 'good' | 'worn';
  readonly reasons: readonly string[];
};
/** What was done to a hole. */
export const REMEDIES = {
  'as-it-is': 'left as it is',
  'welded-redrilled': 'welded up and drilled again',
  bushed: 'bushed',
  'new-part': 'new part',
} as const;
export type Remedy = keyof typeof REMEDIES;
export const REMEDY_NAMES = Object.keys(REMEDIES) as [Remedy, ...Remedy[]];

/**
 * Wear of a hole and its pin, and the pedal that it costs.
 * @param pedalRatio travel of the pedal over that of the rod; null where it is not known
 * @source design, domain: "worn clevis holes are lost pedal"; limits are the shop's rules holeWearMm and holeOvalMm
 */
export const holeAnswer = (
  hole: PinnedHole,
  pedalRatio: number | null,
  rules: Pick<Rules, 'holeWearMm' | 'holeOvalMm'>,
  units: Units,
): HoleAnswer => {
  const playMm = hole.longMm - hole.pinMm;
  const ovalMm = hole.longMm - hole.shortMm;
  const f = (mm: number): string => `${sayFine(mm, units)} ${units.length}`;
  const holds = atMost(playMm, rules.holeWearMm) && atMost(ovalMm, rules.holeOvalMm);
  const lostPedalMm = pedalRatio === null ? null : playMm * pedalRatio;
  return {
    playMm,
    ovalMm,
    lostPedalMm,
    verdict: holds ? 'good' : 'worn',
    reasons: [
      `The pin plays ${f(playMm)} in it, at most ${f(rules.holeWearMm)}.`,
      `It is oval by ${f(ovalMm)}, at most ${f(rules.holeOvalMm)}.`,
      ...(lostPedalMm === null ? [] : [`The play costs ${f(lostPedalMm)} at the pedal.`]),
      ...(holds ? [] : ['Weld it up and drill it to the pin, bush it, or take a new part; with a new pin and a new split pin.']),
    ],
  };
};

/** A hole whose pin is thicker than it, or longer across its short side than its long one: mistyped. */
export const holeProblems = ({ longMm, shortMm, pinMm }: PinnedHole): readonly string[] => [
  ...(longMm < shortMm ? ['The longest measure across a hole is not less than the shortest.'] : []),
  ...(pinMm > shortMm + 0.02 ? ['The pin is thicker than its hole: measure both again.'] : []),
];
