import { SIDED_WORDS, sideOf } from '../../close-up/side';
import { FAMILIES } from '../../family/families';
import { type Family, slotFacing } from '../../family/family';
import type { FamilyName } from '../../family/family-name';
import { isRadial } from '../../family/part-kind';
import type { Random } from '../../statistics/random';
import { emptyTray } from '../../strip/tray';
import { oneOf, shuffled, someOf } from '../draw';
import type { Exercise, Level } from '../exercise';

/** Families by how much there is to see in them. */
const BY_LEVEL: { readonly [L in Level]: readonly FamilyName[] } = {
  1: ['wheel-single', 'slave', 'master-lever'],
  2: ['wheel-double', 'master-single', 'caliper-half'],
  3: ['master-valve', 'master-tandem'],
};
const drawn = (family: Family, numbered: readonly string[], without: readonly string[] = []) =>
  ({ kind: 'section', family: family.name as FamilyName, nominalMm: family.drawing?.atMm ?? 22.225, numbered, without }) as const;

/** Slots that are drawn, by names that no other has. */
const named = (family: Family): readonly Family['slots'][number][] =>
  family.slots.filter((s) => family.drawing?.spans[s.id] !== undefined && family.slots.filter((x) => x.name === s.name).length === 1);

/** Names to the numbers on a section. */
export const labelSection = (random: Random, level: Level, of?: FamilyName): Exercise => {
  const family = FAMILIES[of ?? oneOf(random, BY_LEVEL[level])];
  const parts = someOf(random, named(family), 3 + level);
  const options = shuffled(
    random,
    parts.map((p) => p.name),
  );
  return {
    asks: 'Which part is which?',
    facts: [`${family.label}, open end to the left.`],
    picture: drawn(
      family,
      parts.map((p) => p.id),
    ),
    form: { kind: 'match', items: parts.map((_, i) => `number ${i + 1}`), options },
    right: parts.map((p) => options.indexOf(p.name)),
    hints: ['From the open end: what keeps it in, what is pushed, what seals, what pushes back.', `Number 1 is the ${parts[0]?.name}.`],
    because: parts.map((p, i) => `Number ${i + 1} is the ${p.name}.`),
  };
};

/** Whether a unit has one open end to lay it out from. */
export const isLaidOut = (f: FamilyName): boolean => FAMILIES[f].bore === 'blind';

/** A pulled-apart unit in the order from its open end. */
export const orderParts = (random: Random, level: Level, of?: FamilyName): Exercise => {
  const family = FAMILIES[of ?? oneOf(random, BY_LEVEL[level].filter(isLaidOut))];
  const axial = named(family).filter((s) => !isRadial(s.kind) && s.kind !== 'reservoir');
  const starts = family.slots.indexOf(axial[0] as Family['slots'][number]);
  const parts = axial
    .map((s) => ({ s, x: family.drawing?.spans[s.id] }))
    .sort((a, b) => (a.x?.x0Mm ?? 0) - (b.x?.x0Mm ?? 0))
    .map(({ s }) => s);
  const count = Math.min(parts.length, 3 + level);
  const first = random.below(parts.length - count + 1);
  const run = parts.slice(first, first + count);
  const items = shuffled(
    random,
    run.map((p) => p.name),
  );
  return {
    asks: 'Lay them in order, from the open end.',
    facts: [`${family.label}${starts > 0 ? '' : ''}.`],
    picture: null,
    form: { kind: 'order', items },
    right: run.map((p) => items.indexOf(p.name)),
    hints: [
      'What keeps the others in lies nearest the open end; the spring lies nearest the blind end of its piston.',
      `First comes the ${run[0]?.name}.`,
    ],
    because: [`From the open end: ${run.map((p) => p.name).join(', ')}.`],
  };
};

export const hasLips = (f: FamilyName): boolean => FAMILIES[f].slots.some((s) => slotFacing(FAMILIES[f], s) !== undefined);

/** Which way each lip, bowl and small end faces. */
export const faceCups = (random: Random, level: Level, of?: FamilyName): Exercise => {
  const family = FAMILIES[of ?? oneOf(random, BY_LEVEL[level].filter(hasLips))];
  const tray = emptyTray(family, (slot) => slot.id).map((p) => ({ ...p, found: 'present' as const }));
  const sided = named(family).flatMap((s) => {
    const part = tray.find((p) => p.slotId === s.id);
    const side = part === undefined ? undefined : sideOf(family, tray, part);
    return side === undefined ? [] : [{ s, side }];
  });
  const ids = sided.map(({ s }) => s.id);
  const options = ['toward the open (left) end', 'toward the other end'];
  const pressure = (id: string): string => {
    const p = family.chambers.find((c) => c.id === id)?.pressure;
    return p === 'working' ? 'the pressure' : p === 'reservoir' ? 'the reservoir’s fluid' : 'the air outside';
  };
  return {
    asks: 'Which way does each face?',
    facts: [`${family.label}, open end to the left.`],
    picture: drawn(family, ids, ids),
    form: { kind: 'match', items: sided.map(({ s, side }, i) => `number ${i + 1}, ${s.name}: its ${SIDED_WORDS[side.what]}`), options },
    right: sided.map(({ side }) => (side.toward === 'open' ? 0 : 1)),
    hints: [
      'A lip holds what it opens toward: fluid under pressure before fluid at rest, fluid before air.',
      'A washer’s bowl backs its seal, and a spring’s small end goes to the piston.',
    ],
    because: sided.map(({ s, side }, i) => {
      const to = side.toward === 'open' ? 'left' : 'right';
      if (side.what !== 'lip') return `Number ${i + 1}: ${side.because}`;
      const [open, blind] = s.between ?? ['', ''];
      return `Number ${i + 1} parts ${pressure(open)} on its left from ${pressure(blind)} on its right, and opens to the ${to}.`;
    }),
  };
};
