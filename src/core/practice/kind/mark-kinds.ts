import { FAMILIES } from '../../family/families';
import { geometryAt } from '../../family/family';
import type { Geometry } from '../../family/geometry';
import { GRID_CLOCKS, suggestDepths } from '../../gauge/suggest-grid';
import { type Judgement, judgeBore } from '../../judge/judge';
import { MARK_WORDS, type Mark } from '../../judge/mark';
import { fixed, plain } from '../../quantity/figure';
import { STANDARD_RULES } from '../../rules/rule-set';
import type { Random } from '../../statistics/random';
import { between, oneOf } from '../draw';
import type { Exercise, Level, Picture } from '../exercise';

const NOMINAL_MM = 22.225;
const PISTON_MM = 22.18;
const FAMILY_NAME = 'master-single';

type Seal = Geometry['seals'][number];

const boreOf = (): { readonly geometry: Geometry; readonly seals: readonly Seal[] } => {
  const { drawing } = FAMILIES[FAMILY_NAME];
  const geometry = drawing === null ? null : geometryAt(drawing, NOMINAL_MM);
  if (geometry === null) throw new Error('a single master has a bore');
  return { geometry, seals: geometry.seals.filter((s) => s.role !== 'static') };
};

/** A mark somewhere in the way of a seal, where it rests, or clear of all. */
const markAt = (
  random: Random,
  id: string,
  of: { readonly geometry: Geometry; readonly seals: readonly Seal[]; readonly where: Where; readonly kind: Mark['kind'] },
): Mark => {
  const seal = oneOf(random, of.seals);
  const xMm = of.where === 'rest' ? seal.restXMm : of.where === 'way' ? seal.restXMm + seal.travelMm * 0.6 : of.geometry.lengthMm - 2;
  const clock = between(random, 30, 300, 10);
  return {
    id,
    kind: of.kind,
    x0Mm: Number((xMm - 0.6).toFixed(1)),
    x1Mm: Number((xMm + 0.6).toFixed(1)),
    clock0Deg: clock,
    clock1Deg: clock + 14,
    cleaned: true,
  };
};
type Where = 'rest' | 'way' | 'clear';
const WHERE_WORDS: { readonly [W in Where]: string } = {
  rest: 'where a cup rests',
  way: 'in a cup’s way',
  clear: 'clear of every cup',
};

/** The bore judged with these marks in it; as wide all over as is said. */
const judged = (geometry: Geometry, marks: readonly Mark[], diaMm: number): Judgement =>
  judgeBore(
    {
      family: FAMILY_NAME,
      material: 'cast-iron',
      bore: { lengthMm: geometry.lengthMm, nominalMm: NOMINAL_MM, wallMm: geometry.wallMm },
      pistonDiaMm: PISTON_MM,
      seals: geometry.seals,
      marks,
      readings: suggestDepths(geometry, STANDARD_RULES).flatMap((xMm) => GRID_CLOCKS.map((clockDeg) => ({ xMm, clockDeg, diaMm }))),
    },
    STANDARD_RULES,
  );

const mapOf = (geometry: Geometry, marks: readonly Mark[]): Picture => ({
  kind: 'map',
  geometry,
  marks: marks.map(({ id, x0Mm, x1Mm, clock0Deg, clock1Deg }) => ({ name: id, x0Mm, x1Mm, clock0Deg, clock1Deg })),
});

type Story = 'came-off' | 'stain' | 'pit' | 'not-cleaned';
const STORIES: { readonly [L in Level]: readonly Story[] } = {
  1: ['came-off', 'stain', 'pit'],
  2: ['came-off', 'stain', 'pit', 'not-cleaned'],
  3: ['stain', 'pit', 'pit', 'not-cleaned'],
};
/** Told apart by a gauge, and never within its doubt of what may stay. */
const DEPTHS_UM: { readonly [L in Level]: readonly number[] } = { 1: [40, 80], 2: [12, 30, 60], 3: [9, 14, 20, 45] };
const OPTIONS = [
  'Dirt: it came off, and nothing is left to judge.',
  'A stain: it stays, and nothing is done about it.',
  'A mark, where none is asked about: it is noted, and stays.',
  'A mark that has to go: polished, cut or sleeved.',
  'Nothing yet: it is cleaned and looked at again first.',
] as const;

/** A dark patch before and after cleaning: dirt, a stain, a mark, or not to be said yet. */
export const dirtOrPit = (random: Random, level: Level): Exercise => {
  const { geometry, seals } = boreOf();
  const story = oneOf(random, STORIES[level]);
  const where = oneOf(random, level === 1 ? (['rest', 'way'] as const) : (['rest', 'way', 'clear'] as const));
  const depthUm = oneOf(random, DEPTHS_UM[level]);
  const seen = markAt(random, 'm1', { geometry, seals, where, kind: story === 'pit' ? 'pit' : 'stain' });
  const mark: Mark =
    story === 'pit'
      ? { ...seen, depthUm, depthUncertaintyUm: 1 }
      : story === 'not-cleaned'
        ? { ...seen, kind: 'pit', cleaned: false }
        : seen;
  const answer = story === 'came-off' ? undefined : judged(geometry, [mark], NOMINAL_MM + 0.01).marks[0];
  const right =
    answer === undefined
      ? 0
      : answer.outcome === 'undecided'
        ? 4
        : answer.outcome !== 'reuse'
          ? 3
          : story === 'pit' || story === 'not-cleaned'
            ? 2
            : 1;
  const after: { readonly [S in Story]: string } = {
    'came-off': 'Cleaned: the wall is bright there, and a needle runs over it without a catch.',
    stain: 'Cleaned: the colour stays. A needle runs over it without a catch, and the gauge finds no depth.',
    pit: `Cleaned: it stays, a needle catches in it, and it is ${depthUm} µm deep, ± 1.`,
    'not-cleaned': 'It has not been cleaned yet.',
  };
  return {
    asks: 'What is it, and what follows?',
    facts: [`As it came out: a dark patch, ${WHERE_WORDS[where]}.`, after[story]],
    picture: mapOf(geometry, [mark]),
    form: { kind: 'choose', options: OPTIONS },
    right,
    hints: ['Dirt looks like pits until it is cleaned. Then: does a needle catch, and does a seal run or rest there?'],
    because: [answer === undefined ? 'What came off was dirt: the metal under it is sound.' : answer.reason],
  };
};

/** Which of a bore’s marks makes it what it is judged: the one without which it would come out otherwise. */
export const whichDecides = (random: Random, level: Level): Exercise => {
  for (;;) {
    const { geometry, seals } = boreOf();
    const count = level + 1;
    const wide = NOMINAL_MM + between(random, 0.005, level === 3 ? 0.06 : 0.03, 0.005);
    const marks = Array.from({ length: count }, (_, i): Mark & { readonly where: Where } => {
      const where = oneOf(random, ['rest', 'way', 'clear'] as const);
      const kind = oneOf(random, ['pit', 'pit', 'stain', 'corrosion'] as const);
      const depthUm = oneOf(random, [3, 9, 14, 22, 35, 48, 80, 160]);
      return {
        ...markAt(random, `m${i + 1}`, { geometry, seals, where, kind }),
        ...(kind === 'stain' ? {} : { depthUm, depthUncertaintyUm: Math.max(0.5, depthUm * 0.05) }),
        where,
      };
    });
    const all = judged(geometry, marks, wide);
    if (all.outcome === 'undecided' || all.outcome === 'reuse') continue;
    const otherwise = (j: Judgement): boolean => j.outcome !== all.outcome || j.targetDiaMm !== all.targetDiaMm;
    const without = marks.map((m) =>
      judged(
        geometry,
        marks.filter((x) => x !== m),
        wide,
      ),
    );
    const deciding = without.flatMap((j, i) => (otherwise(j) ? [i] : []));
    const none = !otherwise(judged(geometry, [], wide));
    // One mark, or the bore itself: where two would do it alone, nobody could say which.
    if (!(deciding.length === 1 && !none) && !(deciding.length === 0 && none)) continue;
    const right = deciding[0] ?? marks.length;
    const target = all.targetDiaMm === null ? '' : ` to ${fixed(all.targetDiaMm, 3)} mm`;
    return {
      asks: `This bore is judged: ${all.outcome}${target}. What decides that?`,
      facts: [
        `Single master of cast iron, nominal ${fixed(NOMINAL_MM, 3)} mm, wall ${fixed(geometry.wallMm, 1)} mm; gauged ${fixed(wide, 3)} mm all over; the limit is ${fixed(all.limitDiaMm, 3)} mm.`,
        ...marks.map(
          (m) =>
            `${m.id}: ${MARK_WORDS[m.kind]}, ${m.depthUm == null ? 'no depth' : `${plain(m.depthUm)} µm deep`}, ${WHERE_WORDS[m.where]}, cleaned.`,
        ),
      ],
      picture: mapOf(geometry, marks),
      form: { kind: 'choose', options: [...marks.map((m) => m.id), 'the bore itself: how wide it is'] },
      right,
      hints: ['Deep is not all: what lies clear of every cup asks for nothing, and under a resting cup the least may stay.'],
      because: [
        ...all.marks.map((m) => `${m.id}: ${m.reason}`),
        ...(right < marks.length
          ? [`Without ${marks[right]?.id} it would be: ${without[right]?.outcome}${sayTarget(without[right])}.`]
          : [all.reasons[0] ?? '']),
      ],
    };
  }
};

const sayTarget = (j: Judgement | undefined): string => (j?.targetDiaMm == null ? '' : ` to ${fixed(j.targetDiaMm, 3)} mm`);

/** To which diameter a marked bore is cut, so that its mark is gone and the bore stays round and inside its limit. */
export const whichTarget = (random: Random, level: Level): Exercise => {
  for (;;) {
    const { geometry, seals } = boreOf();
    const wide = NOMINAL_MM + between(random, 0.005, 0.025, level === 1 ? 0.005 : 0.001);
    const depthUm = between(random, 7, level === 3 ? 26 : 16, 1);
    const where = oneOf(random, ['rest', 'way'] as const);
    const mark: Mark = {
      ...markAt(random, 'm1', { geometry, seals, where, kind: 'pit' }),
      depthUm,
      depthUncertaintyUm: level === 1 ? 0.5 : oneOf(random, [1, 2, 3]),
    };
    const said = judged(geometry, [mark], wide);
    if (said.outcome !== 'hone' || said.targetDiaMm === null) continue;
    return {
      asks: 'To which diameter is it honed?',
      facts: [
        `Single master of cast iron; gauged ${fixed(wide, 3)} mm all over; the limit is ${fixed(said.limitDiaMm, 3)} mm.`,
        `m1: a pit, ${plain(depthUm)} µm deep, ± ${plain(mark.depthUncertaintyUm ?? 0)}, ${WHERE_WORDS[where]}, cleaned.`,
        `The shop cuts ${plain(STANDARD_RULES.cleanUpUm)} µm past the bottom of a mark; targets go by 0.005 mm.`,
      ],
      picture: mapOf(geometry, [mark]),
      form: { kind: 'number', unit: 'mm', within: 0.0025, decimals: 3 },
      right: said.targetDiaMm,
      hints: [
        'A radius: what is cut off one side counts twice on the diameter.',
        'The gauged diameter, and twice the depth at its deepest with what is cut past it, up to the next 0.005.',
      ],
      because: [...said.marks.map((m) => `${m.id}: ${m.reason}`), said.reasons[0] ?? ''],
    };
  }
};
