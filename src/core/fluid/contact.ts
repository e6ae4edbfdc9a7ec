import { capital } from '../capital';
import { fixed } from '../quantity/figure';
import { METHODS, type MethodName, toRinse } from '../strip/treatment';
import { FLUIDS, type FluidName, lowerBoiling, mixingOf, sayBoiling } from './fluid';
import { LUBRICANTS, type LubricantName } from './lubricant';
import { type Bears, bears, RUBBERS, type RubberName, type SwellTest, swellAnswer, swellPct } from './rubber';

/** What meets the new rubber of a unit, as far as somebody has said. */
export type Touch = {
  /** What the system is filled with. */
  readonly fluid: FluidName | null;
  /** What was in it when it came; null where nobody knows. */
  readonly wasFluid: FluidName | null;
  /** Whether the lines were, or will be, emptied and flushed. */
  readonly flush: 'flushed' | 'to-flush' | 'no';
  /** As somebody said; null: as the bag states. */
  readonly rubber: RubberName | null;
  readonly swell: SwellTest | null;
  readonly lubricant: LubricantName;
};
export const NO_TOUCH: Touch = { fluid: null, wasFluid: null, flush: 'no', rubber: null, swell: null, lubricant: 'fresh-fluid' };

/** One thing that meets another in the unit. */
export type Contact =
  | { readonly code: 'fluid-unknown' }
  | { readonly code: 'fluid'; readonly fluid: FluidName }
  | { readonly code: 'rubber-unknown'; readonly swell: SwellTest | null }
  | { readonly code: 'bag-contradicts'; readonly rubber: RubberName; readonly stated: RubberName }
  | { readonly code: 'swell-contradicts'; readonly rubber: RubberName; readonly swell: SwellTest }
  | { readonly code: 'rubber-fluid'; readonly rubber: RubberName; readonly fluid: FluidName; readonly bears: Bears }
  | {
      readonly code: 'lubricant';
      readonly lubricant: LubricantName;
      readonly rubber: RubberName;
      readonly bears: Bears | 'petroleum' | 'other-base';
    }
  | { readonly code: 'was-unknown'; readonly fluid: FluidName }
  | { readonly code: 'mixed'; readonly was: FluidName; readonly fluid: FluidName; readonly flush: Touch['flush'] }
  | { readonly code: 'used'; readonly methods: readonly MethodName[]; readonly rinsed: boolean };

/** Holds the work, is worth knowing, or is as it should be. */
export type Weight = 'stop' | 'note' | 'good';

/**
 * Everything that touches the rubber of a unit, each judged: its fluid, what lubricates it, what was in the system before, and what freed and cleaned the body.
 * @param stated the rubbers that the bags set aside name
 * @param treatments what was done to the body, oldest first or not
 * @source design, domain, "Fluids and what touches rubber"
 */
export const contactsOf = (
  said: Touch,
  stated: readonly RubberName[],
  treatments: readonly { readonly method: MethodName; readonly at: number }[],
): readonly Contact[] => {
  const t = { ...said, rubber: said.rubber ?? stated[0] ?? null };
  return [
    ...ofRubber(t, stated),
    ...(t.fluid === null ? [{ code: 'fluid-unknown' as const }] : [{ code: 'fluid' as const, fluid: t.fluid }, ...mixedWith(t, t.fluid)]),
    ...ofLubricant(t),
    ...usedOn(treatments),
  ];
};

const ofRubber = ({ rubber, fluid, swell }: Touch, stated: readonly RubberName[]): readonly Contact[] => {
  if (rubber === null) return [{ code: 'rubber-unknown', swell }];
  const answer = swell === null ? 'undecided' : swellAnswer(swell);
  const contradicts = swell !== null && answer !== 'undecided' && (answer === 'oil-rubber') !== (rubber === 'nbr');
  const other = stated.find((s) => s !== rubber);
  return [
    ...(other === undefined ? [] : [{ code: 'bag-contradicts' as const, rubber, stated: other }]),
    ...(contradicts ? [{ code: 'swell-contradicts' as const, rubber, swell }] : []),
    ...(fluid === null ? [] : [{ code: 'rubber-fluid' as const, rubber, fluid, bears: bears(rubber, FLUIDS[fluid].base) }]),
  ];
};

const mixedWith = ({ wasFluid, flush }: Touch, fluid: FluidName): readonly Contact[] => {
  if (wasFluid === null) return [{ code: 'was-unknown', fluid }];
  return wasFluid === fluid ? [] : [{ code: 'mixed', was: wasFluid, fluid, flush }];
};

const ofLubricant = ({ lubricant, rubber, fluid }: Touch): readonly Contact[] => {
  const { base } = LUBRICANTS[lubricant];
  if (base === 'own' || rubber === null) return [];
  if (base === null) return [{ code: 'lubricant', lubricant, rubber, bears: 'petroleum' }];
  const borne = bears(rubber, base);
  const other = fluid !== null && FLUIDS[fluid].base !== base;
  return [{ code: 'lubricant', lubricant, rubber, bears: borne === 'good' && other ? 'other-base' : borne }];
};

const usedOn = (treatments: readonly { readonly method: MethodName; readonly at: number }[]): readonly Contact[] => {
  const left = toRinse(treatments);
  const petroleum = [...new Set(treatments.map((t) => t.method).filter((m) => METHODS[m].leaves === 'petroleum'))];
  const gone = petroleum.filter((m) => !left.includes(m));
  return [
    ...(left.length > 0 ? [{ code: 'used' as const, methods: left, rinsed: false }] : []),
    ...(gone.length > 0 ? [{ code: 'used' as const, methods: gone, rinsed: true }] : []),
  ];
};

export const weightOf = (c: Contact): Weight => {
  switch (c.code) {
    case 'fluid-unknown':
    case 'rubber-unknown':
    case 'swell-contradicts':
    case 'bag-contradicts':
      return 'stop';
    case 'fluid':
      return 'good';
    case 'was-unknown':
      return 'note';
    case 'rubber-fluid':
      return c.bears === 'good' ? 'good' : 'stop';
    case 'lubricant':
      return c.bears === 'good' ? 'good' : c.bears === 'other-base' ? 'note' : 'stop';
    case 'mixed':
      return mixingOf(c.was, c.fluid) === 'flush' && c.flush === 'no' ? 'stop' : 'note';
    case 'used':
      return c.rinsed ? 'good' : 'stop';
  }
};

const FLUSH = 'hoses, lines, reservoir and every other cylinder of the circuit, whose rubber may be soaked in it';

/** The one place that words a contact. */
export const sayContact = (c: Contact): string => {
  switch (c.code) {
    case 'fluid-unknown':
      return 'Say which fluid the system is filled with: the cap or the handbook names it.';
    case 'fluid':
      return `${capital(FLUIDS[c.fluid].label)} ${sayBoiling(c.fluid)}. ${FLUIDS[c.fluid].note}`;
    case 'rubber-unknown':
      return c.swell === null
        ? 'Say what the rubber of the kit is: its bag or its maker states it. If nobody can say, put a spare piece in mineral oil for a day.'
        : `The test piece grew by ${fixed(swellPct(c.swell), 1)} %: ${SWELL_WORDS[swellAnswer(c.swell)]}`;
    case 'bag-contradicts':
      return `A bag set aside holds ${RUBBERS[c.stated]}, and ${RUBBERS[c.rubber]} goes into this unit: one of the two is wrong.`;
    case 'swell-contradicts':
      return `The test piece grew by ${fixed(swellPct(c.swell), 1)} % in mineral oil: that is not ${RUBBERS[c.rubber]}. Ask the kit’s maker before anything goes in.`;
    case 'rubber-fluid':
      return c.bears === 'good'
        ? `${RUBBERS[c.rubber]} bears ${FLUIDS[c.fluid].label} well.`
        : c.bears === 'poor'
          ? `${RUBBERS[c.rubber]} bears ${FLUIDS[c.fluid].label} poorly: it shrinks and goes hard in it. Take a kit for this fluid.`
          : `${RUBBERS[c.rubber]} swells in ${FLUIDS[c.fluid].label}, and is ruined. Take a kit for this fluid.`;
    case 'lubricant':
      return sayLubricant(c.lubricant, c.rubber, c.bears);
    case 'was-unknown':
      return `Nobody has said what was in it before. If it was not of the kind of ${FLUIDS[c.fluid].label}, flush ${FLUSH}.`;
    case 'mixed':
      return sayMixed(c.was, c.fluid, c.flush);
    case 'used': {
      const names = c.methods.map((m) => METHODS[m].label).join(', ');
      return c.rinsed
        ? `Petroleum was used (${names}) and has been rinsed out.`
        : `Petroleum is still in it (${names}): rinse and sign at Clean.`;
    }
  }
};

const SWELL_WORDS = {
  'glycol-rubber': 'it is EPDM or SBR, for glycol or silicone fluid. Say so.',
  'oil-rubber': 'it is NBR, for mineral fluid. Say so.',
  undecided: 'that does not tell. Leave it in longer, or ask the kit’s maker.',
} as const;

const sayLubricant = (
  lubricant: LubricantName,
  rubber: RubberName,
  bears: Extract<Contact, { readonly code: 'lubricant' }>['bears'],
): string => {
  const { label } = LUBRICANTS[lubricant];
  switch (bears) {
    case 'good':
      return `${RUBBERS[rubber]} bears ${label}.`;
    case 'other-base':
      return `${capital(label)} is of another base than the fluid: on the dust side only, none of it in the fluid.`;
    case 'petroleum':
      return `${capital(label)} never goes on a seal of a fluid path: it ruins ${RUBBERS[rubber]} or stays in the fluid. Use fresh fluid of the system.`;
    case 'poor':
    case 'swells':
      return `${capital(label)} ruins ${RUBBERS[rubber]}. Use fresh fluid of the system.`;
  }
};

const sayMixed = (was: FluidName, fluid: FluidName, flush: Touch['flush']): string => {
  const [from, to] = [FLUIDS[was].label, FLUIDS[fluid].label];
  if (mixingOf(was, fluid) === 'lower-boiling') {
    const lower = lowerBoiling(was, fluid);
    return `${from} and ${to} mix; what is left of the old counts: take it for ${FLUIDS[lower].label}, which ${sayBoiling(lower)}.`;
  }
  switch (flush) {
    case 'flushed':
      return `It held ${from}, which does not mix with ${to}: the lines have been flushed.`;
    case 'to-flush':
      return `It held ${from}, which does not mix with ${to}: whoever fits it flushes ${FLUSH}. The certificate says so.`;
    case 'no':
      return `It held ${from}, which does not mix with ${to}: flush ${FLUSH}, or say that whoever fits it will.`;
  }
};
