import { stackCheck } from '../../close-up/stack-check';
import { FAMILIES } from '../../family/families';
import { slotFacing } from '../../family/family';
import { FAMILY_NAMES, type FamilyName } from '../../family/family-name';
import { isRadial, PART_KINDS } from '../../family/part-kind';
import { sayStep } from '../../prove/programme/say-step';
import { WET, WET_NAMES } from '../../prove/programme/seen';
import { isRunStep, type Step } from '../../prove/programme/step';
import { suspectsOf } from '../../prove/programme/suspects';
import { usualSteps } from '../../prove/programme/usual';
import { METRIC } from '../../quantity/units';
import type { Random } from '../../statistics/random';
import { oneOf, shuffled, someOf } from '../draw';
import type { Exercise, Level } from '../exercise';

const BY_LEVEL: { readonly [L in Level]: readonly FamilyName[] } = {
  1: ['wheel-single', 'wheel-double', 'slave'],
  2: ['master-single', 'master-lever', 'wheel-double'],
  3: ['master-tandem', 'master-single'],
};
type Made = 'right' | 'turned' | 'old' | 'left-out';

/** A closed unit as somebody noted it: what of it is wrong. */
export const wrongInStack = (random: Random, level: Level, of?: FamilyName): Exercise => {
  const family = FAMILIES[of ?? oneOf(random, BY_LEVEL[level])];
  const slots = family.slots.filter((s) => !isRadial(s.kind) && !s.optional && family.slots.filter((x) => x.name === s.name).length === 1);
  const made = slots.map((s): Made => {
    if (random.below(3) > 0) return 'right';
    const may: readonly Made[] = [
      ...(slotFacing(family, s) === undefined ? [] : (['turned'] as const)),
      ...(PART_KINDS[s.kind].policy === 'never' ? (['old'] as const) : []),
      'left-out',
    ];
    return oneOf(random, may);
  });
  const facing = (i: number): 'open' | 'blind' | undefined => {
    const slot = slots[i];
    const asked = slot === undefined ? undefined : slotFacing(family, slot);
    return asked === undefined || made[i] !== 'turned' ? asked : asked === 'open' ? 'blind' : 'open';
  };
  const checked = stackCheck({
    chambers: family.chambers,
    seals: slots.flatMap((s, i) =>
      s.between === undefined || made[i] === 'left-out' ? [] : [{ id: s.id, kind: s.kind, between: s.between, faces: facing(i) ?? null }],
    ),
    slots: slots.map((s) => s.id),
    removed: slots.flatMap((s, i) => (made[i] === 'old' ? [{ id: `old ${s.id}`, kind: s.kind, fate: 'refitted' as const }] : [])),
    fitted: slots.flatMap((s, i) =>
      made[i] === 'left-out' ? [] : [{ id: made[i] === 'old' ? `old ${s.id}` : `new ${s.id}`, slot: s.id }],
    ),
  });
  const wrong = (id: string): boolean =>
    checked.missing.includes(id) || checked.refused.includes(`old ${id}`) || checked.seals.some((x) => x.id === id && !x.ok);
  const noted = slots.map((s, i) => {
    const faces = facing(i);
    if (made[i] === 'left-out') return `${s.name}: nothing`;
    return `${s.name}: ${made[i] === 'old' ? 'its own' : PART_KINDS[s.kind].policy === 'never' ? 'new' : 'in'}${faces === undefined ? '' : `, lip to the ${faces === 'open' ? 'left' : 'right'}`}`;
  });
  const right = slots.flatMap((s, i) => (wrong(s.id) ? [i] : []));
  return {
    asks: 'What is wrong in this stack? None, if it may be closed.',
    facts: [`${family.label}, from the open end, which is to the left.`],
    picture: null,
    form: { kind: 'pick', items: noted },
    right,
    hints: ['Is every place filled, is no rubber used twice, does each lip open toward its pressure?'],
    because:
      right.length === 0
        ? ['Every place is filled, nothing is used twice that may not be, and each lip faces its pressure.']
        : right.map((i) => {
            const s = slots[i];
            if (s === undefined) return '';
            if (checked.missing.includes(s.id)) return `${s.name}: its place is empty.`;
            if (checked.refused.includes(`old ${s.id}`)) return `${s.name}: rubber in the fluid’s way is never used twice.`;
            return `${s.name}: it opens away from the higher pressure.`;
          }),
  };
};

const GROOVED: readonly FamilyName[] = ['master-lever', 'caliper-half'];
export const hasGrooves = (f: FamilyName): boolean => GROOVED.includes(f);

/** Which part lies in which groove of the body, from its mouth. */
export const clipInGroove = (random: Random, level: Level, of?: FamilyName): Exercise => {
  const family = FAMILIES[of ?? (level === 1 ? 'master-lever' : oneOf(random, GROOVED))];
  const grooves = [...(family.drawing?.grooves ?? [])].sort((a, b) => a.xMm - b.xMm);
  const inGroove = grooves.map((g) => family.slots.find((s) => s.groove === g.id)?.name ?? '');
  const others = someOf(
    random,
    family.slots.filter((s) => s.groove === undefined && !isRadial(s.kind)).map((s) => s.name),
    level,
  );
  const options = shuffled(random, [...new Set([...inGroove, ...others])]);
  const ORDINAL = ['first', 'second', 'third'];
  return {
    asks: 'What sits in which groove of the bore?',
    facts: [`${family.label}. Grooves are counted from the mouth.`],
    picture: {
      kind: 'section',
      family: family.name as FamilyName,
      nominalMm: family.drawing?.atMm ?? 22.225,
      numbered: [],
      without: family.slots.filter((s) => s.groove !== undefined).map((s) => s.id),
    },
    form: { kind: 'match', items: grooves.map((_, i) => `${ORDINAL[i] ?? i + 1} groove`), options },
    right: inGroove.map((name) => options.indexOf(name)),
    hints: ['What keeps dirt out sits outside of what keeps the piston in, or the pressure.'],
    because: inGroove.map((name, i) => `${ORDINAL[i] ?? i + 1} groove: ${name}.`),
  };
};

/** Where one looks first when a step fails. */
export const whereToLook = (random: Random, level: Level, of?: FamilyName): Exercise => {
  for (;;) {
    const family = FAMILIES[of ?? oneOf(random, FAMILY_NAMES)];
    const steps = usualSteps(family).filter((s) => level > 1 || isRunStep(s));
    if (steps.length === 0) continue;
    const step = oneOf(random, steps);
    const wet = isRunStep(step) ? oneOf(random, WET_NAMES) : null;
    const [first, ...rest] = suspectsOf(family, step, wet);
    if (first === undefined) continue;
    const named = new Set([first, ...rest].map((s) => s.what));
    const elsewhere = (other: Step): readonly string[] => suspectsOf(family, other, null).map((s) => s.what);
    const others = [...new Set(usualSteps(family).flatMap(elsewhere))].filter((w) => !named.has(w));
    if (others.length < 2) continue;
    const options = shuffled(random, [first.what, ...someOf(random, others, 3)]);
    return {
      asks: 'Where does one look first?',
      facts: [`${family.label}. It failed at this step: ${sayStep(step, METRIC)}.${wet === null ? '' : ` It was wet: ${WET[wet]}.`}`],
      picture: null,
      form: { kind: 'choose', options },
      right: options.indexOf(first.what),
      hints: ['What of the unit holds what this step asks it to hold?'],
      because: [`First: ${first.what}.${rest.length === 0 ? '' : ` Then: ${rest.map((s) => s.what).join('; ')}.`}`],
    };
  }
};
