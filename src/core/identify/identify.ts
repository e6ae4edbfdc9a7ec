import type { Rules } from '../rules/rule-set';
import { atMost } from '../statistics/compare';
import { FEATURES, type Feature, type Features, isLength, LENGTHS, type Measured, type SpreadRule } from './feature';
import type { Fitment } from './fitment';
import { likeness, readsAlike, threadSet } from './likeness';

export type Fitted = { readonly id: string; readonly features: Features };
export type IdentifyInput = { readonly measured: Measured; readonly fitments: readonly Fitted[] };
export type Candidate = {
  readonly id: string;
  readonly probability: number;
  readonly agree: readonly Feature[];
  readonly clash: readonly Feature[];
};
export type Identified = {
  readonly candidates: readonly Candidate[];
  /** The best candidate clashes at least once, and at least as often as it agrees. */
  readonly noneFits: boolean;
  readonly measureNext: { readonly feature: Feature; readonly dropBits: number } | null;
  readonly rulesUsed: { readonly [name: string]: number };
};
/** The answer as a screen shows it: the likeliest, with what they are and how many units taught of them. */
export type InStore = Pick<Identified, 'noneFits' | 'measureNext'> & {
  readonly candidates: readonly (Candidate & { readonly fitment: Fitment; readonly seen: number })[];
  readonly inAll: number;
};
type IdentifyRules = Pick<Rules, SpreadRule>;

/** A feature that a fitment is not known to have says little. */
const UNKNOWN = Math.log(0.5);
const CLASHES = Math.log(0.02);
/** A feature is worth measuring next when it takes more than this off the doubt, bits. */
const WORTH_BITS = 0.01;

/**
 * Which fitment a unit is, from what was measured: every fitment with its probability, and which feature would settle most.
 * @param among how many of the likeliest the next feature is chosen to tell apart; its work grows with their square
 * @returns candidates by probability, then id; empty without fitments, and then nothing fits
 * @source design, chapter 6: log-likelihoods of features, softmax, expected drop of entropy
 */
export function identify({ measured, fitments }: IdentifyInput, rules: IdentifyRules, among = Infinity): Identified {
  const seen = FEATURES.filter((f) => measured[f] != null);
  const readings = fitments.map((fit) => seen.map((f) => compare(f, measured, fit.features, rules)));
  const logs = readings.map((all) => all.reduce((sum, r) => sum + r.log, 0));
  const p = softmax(logs);
  const likeliest = logs
    .map((log, i) => ({ log, fit: fitments[i] as Fitted }))
    .sort((a, b) => b.log - a.log)
    .slice(0, among);
  const candidates = fitments
    .map(({ id }, i) => ({
      id,
      probability: p[i] as number,
      agree: seen.filter((_, k) => readings[i]?.[k]?.says === 'agree'),
      clash: seen.filter((_, k) => readings[i]?.[k]?.says === 'clash'),
    }))
    .sort((a, b) => b.probability - a.probability || (a.id < b.id ? -1 : 1));
  const best = candidates[0];
  return {
    candidates,
    noneFits: best === undefined || (best.clash.length > 0 && best.clash.length >= best.agree.length),
    measureNext: measureNext(
      likeliest.map((l) => l.fit),
      likeliest.map((l) => l.log),
      seen,
      rules,
    ),
    rulesUsed: Object.fromEntries(Object.values(LENGTHS).map(({ spread }) => [spread, rules[spread]])),
  };
}

type Compared = { readonly log: number; readonly says: 'agree' | 'clash' | 'nothing' };
const said = (alike: boolean, log: number): Compared => ({ log, says: alike ? 'agree' : 'clash' });

/** One feature as measured against what a fitment is known to have. */
const compare = (f: Feature, measured: Measured, known: Features, rules: IdentifyRules): Compared => {
  if (known[f] == null) return { log: UNKNOWN, says: 'nothing' };
  if (isLength(f)) {
    const { value, u } = measured[f] as { readonly value: number; readonly u?: number | null };
    const z = (value - (known[f] as number)) / Math.hypot(u ?? LENGTHS[f].uMm, rules[LENGTHS[f].spread]);
    return said(atMost(Math.abs(z), 2), (-z * z) / 2);
  }
  if (f === 'castingMark') {
    const share = likeness(measured[f] as string, known[f] as string);
    return said(readsAlike(share), Math.log(Math.max(0.02, share)));
  }
  const same = f === 'portThreads' ? threadSet(measured[f] ?? []) === threadSet(known[f] as readonly string[]) : measured[f] === known[f];
  return said(same, same ? 0 : CLASHES);
};

/** What reading a fitment's own value of a feature would be. */
const asMeasured = (f: Feature, known: Features): Measured => (isLength(f) ? { [f]: { value: known[f] } } : { [f]: known[f] }) as Measured;

/** Fitments whose value of a feature is one and the same: reading it says the same of all of them. */
const valueKey = (f: Feature, known: Features): string =>
  f === 'portThreads'
    ? threadSet(known[f] ?? [])
    : `${typeof known[f] === 'string' ? known[f].replace(/\s+/g, '').toUpperCase() : known[f]}`;

const measureNext = (
  fitments: readonly Fitted[],
  logs: readonly number[],
  seen: readonly Feature[],
  rules: IdentifyRules,
): Identified['measureNext'] => {
  const p = softmax(logs);
  const now = entropyBits(p);
  let best: Identified['measureNext'] = null;
  for (const f of FEATURES) {
    if (seen.includes(f)) continue;
    const values = new Map<string, { share: number; readonly known: Features }>();
    let unknown = 0;
    for (const [i, { features }] of fitments.entries()) {
      const share = p[i] as number;
      if (features[f] == null) unknown += share;
      else {
        const key = valueKey(f, features);
        const group = values.get(key) ?? { share: 0, known: features };
        group.share += share;
        values.set(key, group);
      }
    }
    if (values.size === 0) continue;
    let after = unknown * now;
    for (const { share, known } of values.values()) {
      if (share === 0) continue;
      const reading = asMeasured(f, known);
      const byValue = new Map<string, number>();
      const then = fitments.map(({ features }, i) => {
        if (features[f] == null) return (logs[i] as number) + UNKNOWN;
        const key = valueKey(f, features);
        const log = byValue.get(key) ?? compare(f, reading, features, rules).log;
        byValue.set(key, log);
        return (logs[i] as number) + log;
      });
      after += share * entropyBits(softmax(then));
    }
    if (now - after > Math.max(WORTH_BITS, best?.dropBits ?? 0)) best = { feature: f, dropBits: now - after };
  }
  return best;
};

const softmax = (logs: readonly number[]): readonly number[] => {
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity);
  const weights = logs.map((l) => Math.exp(l - most));
  const total = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / total);
};

const entropyBits = (p: readonly number[]): number => p.reduce((sum, x) => (x > 0 ? sum - x * Math.log2(x) : sum), 0);
