import { FAMILIES } from '../../family/families';
import { geometryAt } from '../../family/family';
import type { FamilyName } from '../../family/family-name';
import type { Geometry } from '../../family/geometry';
import type { Material } from '../../family/material';
import { PART_KINDS, type PartKind } from '../../family/part-kind';
import { GRID_CLOCKS, suggestDepths } from '../../gauge/suggest-grid';
import { cuttingRate, type Grit, turnsOf } from '../../hone/cutting-rate';
import { type Judgement, judgeBore } from '../../judge/judge';
import type { Mark } from '../../judge/mark';
import { type Rules, STANDARD_RULES } from '../../rules/rule-set';
import { type Random, randomFrom } from '../../statistics/random';
import type { Condition } from '../../strip/condition';
import { between, oneOf, shuffled } from '../draw';

/** Families that a whole job is practised on: each station has its work on them. */
export const JOB_FAMILIES = ['wheel-double', 'master-single', 'slave'] as const satisfies readonly FamilyName[];
export type JobFamily = (typeof JOB_FAMILIES)[number];

/** What a practice unit is really like, which nobody is told before the end. Lengths mm, depths µm, leak ml/min at 80 bar. */
export type JobTruth = {
  readonly family: JobFamily;
  readonly material: Material;
  readonly geometry: Geometry;
  readonly pistonMm: number;
  /** How far it is worn in the middle of its pressure seal’s way, over how long, and how oval all over. */
  readonly wornMm: number;
  readonly wornAtMm: number;
  readonly wornOverMm: number;
  readonly ovalMm: number;
  readonly marks: readonly Mark[];
  /** Parts that came out bad, by slot; all others are good. */
  readonly bad: { readonly [slotId: string]: Condition };
  /** The kind of piece in the bag that is the wrong one, and by how much; null: the bag is right. */
  readonly wrongPiece: { readonly kind: PartKind; readonly byMm: number } | null;
  /** A lip that was nicked as it was closed up, and leaks until that is done again; null: it is sound. */
  readonly leak: { readonly mlPerMin: number } | null;
  /** What stones really take here, of the table’s rate. */
  readonly cuts: number;
};

/** Before anybody cut it, over its nominal, mm. */
const ALL_OVER_MM = 0.012;

/** What the bore truly measures at a place, mm; the narrowest is what was cut first. @param cutMm what honing took off the narrowest */
export const trueDiaMm = (
  t: Pick<JobTruth, 'geometry' | 'wornMm' | 'wornAtMm' | 'wornOverMm' | 'ovalMm'>,
  xMm: number,
  clockDeg: number,
  cutMm = 0,
): number => {
  const worn = t.wornMm * Math.exp(-(((xMm - t.wornAtMm) / t.wornOverMm) ** 2));
  const oval = (t.ovalMm / 2) * (1 + Math.cos((2 * (clockDeg - 80) * Math.PI) / 180));
  return t.geometry.nominalMm + ALL_OVER_MM + Math.max(worn + oval, cutMm);
};

/** One sigma of the stand-in gauge, mm. */
const GAUGE_MM = 0.0012;
/** What the stand-in gauge reads there, to 0.001 mm. */
export const readDiaMm = (t: JobTruth, xMm: number, clockDeg: number, cutMm: number, random: Random): number =>
  Math.round((trueDiaMm(t, xMm, clockDeg, cutMm) + GAUGE_MM * random.normal()) * 1000) / 1000;

/** What the gauge reads at the narrowest place that seals run over, mm. */
export const narrowestMm = (t: JobTruth, cutMm: number, random: Random): number =>
  Math.round(
    (Math.min(...suggestDepths(t.geometry, STANDARD_RULES).map((x) => trueDiaMm(t, x, 170, cutMm))) + GAUGE_MM * random.normal()) * 1000,
  ) / 1000;

type Cut = { readonly grit: Grit; readonly strokes: number; readonly strokesPerMin: number; readonly rpm: number };
/** What passes took off the narrowest place, mm. */
export const cutByMm = (t: Pick<JobTruth, 'material' | 'cuts'>, passes: readonly Cut[]): number =>
  passes.reduce((sum, p) => sum + (t.cuts * cuttingRate(p.grit, t.material, [], 1).umPer100Turns * turnsOf(p)) / 1e5, 0);

/** The marks as they are after a cut: shallower by what the radius gained, or gone. */
export const marksAfter = (marks: readonly Mark[], cutMm: number): readonly Mark[] =>
  marks.flatMap((m) => {
    if (m.depthUm == null) return [m];
    const depthUm = m.depthUm - (cutMm * 1000) / 2;
    return depthUm < 1 ? [] : [{ ...m, depthUm: Math.round(depthUm) }];
  });

/** The bore as somebody would judge it who knew all of it. */
export const judgedTruly = (t: Omit<JobTruth, 'cuts' | 'bad' | 'wrongPiece' | 'leak'>, rules: Rules): Judgement => {
  const { geometry } = t;
  return judgeBore(
    {
      family: t.family,
      material: t.material,
      bore: { lengthMm: geometry.lengthMm, nominalMm: geometry.nominalMm, wallMm: geometry.wallMm },
      pistonDiaMm: t.pistonMm,
      seals: geometry.seals,
      marks: t.marks,
      readings: suggestDepths(geometry, rules).flatMap((xMm) =>
        GRID_CLOCKS.map((clockDeg) => ({ xMm, clockDeg, diaMm: trueDiaMm(t, xMm, clockDeg) })),
      ),
    },
    rules,
  );
};

const WORN_RUBBER: readonly Condition[] = ['hard', 'swollen', 'split', 'worn'];

/** A unit’s hidden truth, decided by a seed. Its bore is worth saving: a sleeve goes out of the shop, and there is nobody to send it to. */
export const jobTruth = (seed: number, family: JobFamily, rules: Rules): JobTruth => {
  const random = randomFrom(seed);
  const { drawing, slots } = FAMILIES[family];
  const geometry = drawing === null ? null : geometryAt(drawing, drawing.atMm);
  if (geometry === null) throw new Error(`${family} has a bore`);
  const seals = geometry.seals.filter((s) => s.role === 'pressure');
  for (;;) {
    const seal = oneOf(random, seals);
    const marks = marksOf(random, geometry, seal);
    const bore = {
      family,
      material: 'cast-iron' as const,
      geometry,
      pistonMm: Number((geometry.nominalMm - 0.045).toFixed(3)),
      wornMm: oneOf(random, [0, 0.004, 0.012, 0.018]),
      wornAtMm: seal.restXMm + seal.travelMm * 0.5,
      wornOverMm: Math.max(4, Math.abs(seal.travelMm) * 0.6),
      ovalMm: between(random, 0.002, 0.01, 0.001),
      marks,
    };
    const judged = judgedTruly(bore, rules);
    if (!['reuse', 'polish', 'hone'].includes(judged.outcome)) continue;
    const rubber = shuffled(
      random,
      slots.filter((s) => PART_KINDS[s.kind].policy === 'never'),
    );
    const bad = Object.fromEntries(rubber.slice(0, 1 + random.below(2)).map((s) => [s.id, oneOf(random, WORN_RUBBER)]));
    const sized = slots.filter((s) => s.kind === 'boot' || s.kind === 'cup');
    return {
      ...bore,
      bad,
      wrongPiece: random.below(2) === 0 ? null : { kind: oneOf(random, sized).kind, byMm: oneOf(random, [-3.2, 3.2]) },
      leak: random.below(2) === 0 ? null : { mlPerMin: between(random, 0.3, 0.8, 0.05) },
      cuts: between(random, 0.85, 1.15, 0.05),
    };
  }
};

type Seal = Geometry['seals'][number];
const marksOf = (random: Random, geometry: Geometry, seal: Seal): readonly Mark[] => {
  const at = (id: string, kind: Mark['kind'], xMm: number, more: Partial<Mark>): Mark => {
    const clock0Deg = between(random, 40, 300, 10);
    return {
      id,
      kind,
      x0Mm: Number((xMm - 0.5).toFixed(1)),
      x1Mm: Number((xMm + 0.5).toFixed(1)),
      clock0Deg,
      clock1Deg: clock0Deg + 12,
      cleaned: true,
      ...more,
    };
  };
  const all = [
    at('a', 'pit', seal.restXMm, { depthUm: oneOf(random, [8, 11, 14]), depthUncertaintyUm: 1.5 }),
    at('b', 'stain', seal.restXMm + seal.travelMm * 0.5, {}),
    at('c', 'corrosion', geometry.lengthMm - 2, { depthUm: oneOf(random, [20, 40]), depthUncertaintyUm: 3 }),
  ];
  return shuffled(random, all).slice(0, 1 + random.below(2));
};

/** What the stand-in rig finds of it; its nicked lip leaks until it was closed up anew. Pressures bar, volumes ml. @see docs/devices.md */
export const rigTruth = (t: Pick<JobTruth, 'leak'>, lip: 'nicked' | 'mended') => ({
  complianceMlPerBar: 0.05,
  airMl: 0.08,
  settleBar: 1.1,
  settleTauS: 9,
  leakMlPerMinAt80: t.leak === null || lip === 'mended' ? 0.008 : t.leak.mlPerMin,
});
