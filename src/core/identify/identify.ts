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
 * @param among how many of the likeliest are told, and told apart by the next feature; that work grows with their square
 * @returns candidates by probability, then id; empty without fitments, and then nothing fits
 * @source design, chapter 6: log-likelihoods of features, softmax, expected drop of entropy
 */
export function identify({ measured, fitments }: IdentifyInput, rules: IdentifyRules, among = Infinity): Identified {
  const seen = FEATURES.filter((f) => measured[f] != null);
  const comparers = seen.map((f) => comparer(f, measured, rules));
  const logs = new Float64Array(fitments.length);
  for (const c of comparers) for (let i = 0; i < logs.length; i++) logs[i] = (logs[i] as number) + c((fitments[i] as Fitted).features).log;
  const p = softmax(logs);
  const order = likeliest(fitments, logs, among);
  const candidates = order.map((i) => {
    const { id, features } = fitments[i] as Fitted;
    const says = comparers.map((c) => c(features).says);
    return {
      id,
      probability: p[i] as number,
      agree: seen.filter((_, k) => says[k] === 'agree'),
      clash: seen.filter((_, k) => says[k] === 'clash'),
    };
  });
  const best = candidates[0];
  return {
    candidates,
    noneFits: best === undefined || (best.clash.length > 0 && best.clash.length >= best.agree.length),
    measureNext: measureNext(
      order.map((i) => fitments[i] as Fitted),
      Float64Array.from(order, (i) => logs[i] as number),
      seen,
      rules,
    ),
    rulesUsed: Object.fromEntries(Object.values(LENGTHS).map(({ spread }) => [spread, rules[spread]])),
  };
}

/** Places of the likeliest fitments, by probability, then id; of those that are alike at the end of the list, the first given. */
const likeliest = (fitments: readonly Fitted[], logs: Float64Array, most: number): readonly number[] => {
  // Only what is among the first is put in order: with very many, most lie below the log of the last of them, or at it.
  const least = logs.length <= most ? -Infinity : (logs.slice().sort().at(-most) ?? -Infinity);
  const [above, alike]: [number[], number[]] = [[], []];
  for (let i = 0; i < logs.length; i++) {
    const log = logs[i] as number;
    if (log > least) above.push(i);
    else if (log === least) alike.push(i);
  }
  return [...above, ...alike.slice(0, most - above.length)].sort(
    (a, b) => (logs[b] as number) - (logs[a] as number) || ((fitments[a] as Fitted).id < (fitments[b] as Fitted).id ? -1 : 1),
  );
};

/** Compares one feature with that of many fitments: what was worked out for a value is given again for the next that has it. */
const comparer = (f: Feature, measured: Measured, rules: IdentifyRules): ((known: Features) => Compared) => {
  const byValue = new Map<unknown, Compared>();
  return (known) => {
    const value: unknown = Array.isArray(known[f]) ? known[f].join(' ') : known[f];
    const said = byValue.get(value) ?? compare(f, measured, known, rules);
    byValue.set(value, said);
    return said;
  };
};

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
  logs: Float64Array,
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
      const then = Float64Array.from(fitments, ({ features }, i) => {
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

const softmax = (logs: Float64Array): Float64Array => {
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity);
  const weights = logs.map((l) => Math.exp(l - most));
  const total = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / total);
};

const entropyBits = (p: Float64Array): number => p.reduce((sum, x) => (x > 0 ? sum - x * Math.log2(x) : sum), 0);
