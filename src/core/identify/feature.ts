import type { RuleName } from '../rules/rule-set';

/** What can be measured or seen on a unit to tell which it is. */
export const NUMBER_FEATURES = ['boreMm', 'strokeMm', 'bodyLengthMm', 'studPitchMm'] as const;
export const FEATURES = [...NUMBER_FEATURES, 'portThreads', 'outletCount', 'castingMark'] as const;
export type NumberFeature = (typeof NUMBER_FEATURES)[number];
export type Feature = (typeof FEATURES)[number];

/** What a fitment is known to have; absent or null is unknown. Lengths in mm. */
export type Features = {
  readonly [F in NumberFeature | 'outletCount']?: number | null | undefined;
} & {
  readonly portThreads?: readonly string[] | null | undefined;
  readonly castingMark?: string | null | undefined;
};

/** A length as measured, with its standard uncertainty where it is known. */
export type MeasuredLength = { readonly value: number; readonly u?: number | null | undefined };
export type Measured = { readonly [F in NumberFeature]?: MeasuredLength | null | undefined } & Omit<Features, NumberFeature>;

/** Rules that say how far units of one fitment differ. */
export type SpreadRule = Extract<RuleName, `spread${string}`>;
/** Standard uncertainty of a length of which none is told, mm; and the rule of its spread. @source design, chapter 6 */
export const LENGTHS: { readonly [F in NumberFeature]: { readonly uMm: number; readonly spread: SpreadRule } } = {
  boreMm: { uMm: 0.01, spread: 'spreadBoreMm' },
  strokeMm: { uMm: 0.3, spread: 'spreadStrokeMm' },
  bodyLengthMm: { uMm: 0.3, spread: 'spreadBodyMm' },
  studPitchMm: { uMm: 0.2, spread: 'spreadStudMm' },
};

export const isLength = (f: Feature): f is NumberFeature => (NUMBER_FEATURES as readonly Feature[]).includes(f);
