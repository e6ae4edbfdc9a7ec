import type { FamilyName } from '../family/family-name';
import { type Lane, laneOf } from '../family/lane';
import { openLanes } from '../gauge/coverage';
import { type FormBetween, formBetween } from '../gauge/form-between';
import { type BoreForm, type GaugeInput, gaugeBore, gaugeRules, gaugeUncertainty } from '../gauge/gauge';
import type { Station } from '../gauge/station';
import { METRIC, type Units } from '../quantity/units';
import type { RuleName, Rules } from '../rules/rule-set';
import { type School, usualSchool } from '../rules/school';
import { above, atMost, roundUpTo } from '../statistics/compare';
import { normalCdf, spread } from '../statistics/summary';
import { laneWear, stationsInLanes } from './lane-stations';
import { type BoreLimits, boreLimits, type CarriedSeal, type LaneLimit, type MakersLimit } from './limits';
import type { Mark } from './mark';
import { CUT_STEP_MM, grooveLeakMlPerMin, judgeMark, type MarkContext, type MarkVerdict } from './mark-verdict';
import type { BoreOutcome } from './outcome';
import { type BoreReason, sayBore, sayToDo, type ToDo } from './say-bore';
import { sayMark } from './say-mark';
import { type Zone, zoneOf } from './zone';

export type JudgeInput = Omit<GaugeInput, 'readings'> & {
  readonly family: FamilyName;
  readonly bore: { readonly lengthMm: number; readonly nominalMm: number; readonly wallMm?: number | null | undefined };
  readonly pistonDiaMm: number;
  readonly seals: readonly CarriedSeal[];
  readonly marks?: readonly Mark[] | null | undefined;
  readonly readings?: GaugeInput['readings'] | null | undefined;
  readonly school?: School | null | undefined;
  /** The largest bore that a manual allows, and which manual. It prevails over the shop's limits. */
  readonly makersLimit?: MakersLimit | null | undefined;
};

export type JudgedMark = {
  readonly id: string;
  readonly zone: Zone['zone'];
  readonly nearestSealId: string;
  readonly distanceMm: number;
  readonly outcome: BoreOutcome;
  readonly needsDiaMm: number | null;
  readonly grooveLeakMlPerMin?: number;
  readonly reason: string;
};

/** What is to be done before the bore can be judged; `xMm` are depths, rising. */
export type OpenQuestion = {
  readonly what: ToDo['what'];
  readonly markId?: string;
  readonly sealId?: string;
  readonly xMm?: readonly number[];
  readonly text: string;
};

export type Judgement = {
  readonly outcome: BoreOutcome;
  readonly targetDiaMm: number | null;
  /** Of the lane that decides: before a cut the one with the least to spare, for a cut the one with the least limit. */
  readonly limitDiaMm: number;
  /** That lane, where pistons of more than one diameter run in the bore. */
  readonly decides?: LaneLimit & { readonly highMm: number | null };
  readonly marginMm: number | null;
  readonly confidence: number | null;
  readonly formDiaMm: number | null;
  /** What the bore may do between the depths gauged, 1σ, mm; null without readings. */
  readonly formDoubtMm: number | null;
  readonly lanes: readonly Lane[];
  readonly marks: readonly JudgedMark[];
  readonly toDo: readonly OpenQuestion[];
  readonly reasons: readonly string[];
  readonly gauge: BoreForm | null;
  readonly rulesUsed: Partial<Rules>;
};

/** The rules a judgement rests on, in the order they are reported. */
const JUDGE_RULES: readonly RuleName[] = [
  'laneMarginMm',
  'toleratedParkedUm',
  'toleratedSweptUm',
  'toleratedStaticUm',
  'cleanUpUm',
  'ovalityLimitMm',
  'taperLimitMm',
  'clearanceMaxMm',
  'oversizeMaxMm',
  'polishStockUm',
  'sleeveMinWallMm',
  'gaugeRepeatabilityMm',
  'gaugeCalibrationMm',
  'grooveDpMPa',
  'grooveViscosityPaS',
  'laneGapMaxMm',
  'depthDoubtUm',
  'depthDoubtPct',
];

/**
 * Can this bore be saved? Every mark by where it lies and what clearing it costs, the form, the wear and the piston, against the limit.
 * @param input lengths in mm from the open end, depths in µm; at least one seal; marks with x0 ≤ x1
 * @param gauged the form of these very readings, where it is known already
 * @param units in which the sentences say their lengths
 * @returns diameters in mm at 20 °C, unrounded but for the target, which is a multiple of 0.005
 * @source design, chapter 2
 */
export function judgeBore(input: JudgeInput, shop: Rules, gauged?: BoreForm | null, units = METRIC): Judgement {
  const gauge = gauged === undefined ? formOf(input, shop) : gauged;
  const judged = judgeOnce(input, shop, gauge);
  const again = gaugeAgain(input, shop, gauge, judged.outcome);
  const { context, decides, limits, uncertaintyMm } = judged;
  const { limitDiaMm } = decides;
  const outcome = again === undefined ? judged.outcome : 'undecided';
  const toDo = again === undefined ? judged.toDo : inOrder([...judged.toDo, again]);
  const { targetDiaMm } = judged;
  const marginMm = targetDiaMm === null ? null : limitDiaMm - uncertaintyMm - targetDiaMm;
  return {
    outcome,
    targetDiaMm,
    limitDiaMm,
    ...(limits.lanes.some((l) => l.pistonDiaMm !== decides.pistonDiaMm) ? { decides } : {}),
    marginMm,
    confidence: targetDiaMm === null ? null : chanceWithin(limitDiaMm - targetDiaMm, judged.doubtMm),
    formDiaMm: judged.formDiaMm,
    formDoubtMm: judged.between?.doubtMm ?? null,
    lanes: context.lanes,
    marks: judged.marks.map(({ mark, zone, verdict }) => {
      const leak = grooveLeakMlPerMin(mark, zone, context);
      return {
        id: mark.id,
        zone: zone.zone,
        nearestSealId: zone.nearestSealId,
        distanceMm: zone.distanceMm,
        outcome: verdict.kind,
        needsDiaMm: 'needsDiaMm' in verdict ? verdict.needsDiaMm : null,
        reason: sayMark(mark, zone, verdict, units),
        ...(leak === undefined ? {} : { grooveLeakMlPerMin: leak }),
      };
    }),
    toDo: toDo.map((t) => openQuestion(t, units)),
    reasons: sayBore(
      {
        outcome,
        reasons: judged.reasons,
        targetDiaMm,
        limitDiaMm,
        uncertaintyMm,
        marginMm,
        marks: judged.marks.map((m) => ({ id: m.mark.id, kind: m.verdict.kind })),
      },
      units,
    ),
    gauge,
    rulesUsed: Object.fromEntries(JUDGE_RULES.map((name) => [name, judged.rules[name]])),
  };
}

/** Standard uncertainty of a diameter between the depths gauged, mm: the gauge's, and what a bend of the form hides. */
const doubtOf = (uncertaintyMm: number, between: FormBetween | null): number => Math.hypot(uncertaintyMm / 2, between?.doubtMm ?? 0);

/** Without any doubt there is nothing to ask: Φ(0/0) is not a number. */
const chanceWithin = (marginMm: number, doubtMm: number): number => (doubtMm === 0 ? 1 : normalCdf(marginMm / doubtMm));

const openQuestion = (t: ToDo, units: Units): OpenQuestion => ({
  what: t.what,
  ...('markId' in t ? { markId: t.markId } : {}),
  ...('sealId' in t ? { sealId: t.sealId } : {}),
  ...('xMm' in t ? { xMm: t.xMm } : {}),
  text: sayToDo(t, units),
});

/** Of marks, of the gauging, then the piston and the form. */
const inOrder = (toDo: readonly ToDo[]): readonly ToDo[] => {
  const late = (t: ToDo): number => ['gauge-again', 'check-piston', 'form'].indexOf(t.what);
  return [...toDo].sort((a, b) => late(a) - late(b));
};

/**
 * Where readings do not fit the others: the whole judged without them. Another outcome is a question, not a verdict.
 * @source design, chapter 2, suspects
 */
const gaugeAgain = (input: JudgeInput, shop: Rules, gauge: BoreForm | null, withAll: BoreOutcome): ToDo | undefined => {
  if (gauge === null || gauge.suspects.length === 0) return undefined;
  const suspect = new Set(gauge.suspects.map((s) => s.index));
  const readings = input.readings ?? [];
  const kept = { ...input, readings: readings.filter((_, i) => !suspect.has(i)) };
  const without = judgeOnce(kept, shop, formOf(kept, shop)).outcome;
  if (without === withAll) return undefined;
  const xMm = [...new Set(readings.filter((_, i) => suspect.has(i)).map((r) => r.xMm))].sort((a, b) => a - b);
  return { what: 'gauge-again', xMm, without, withAll };
};

/** The judgement with every reading that it is given. */
const judgeOnce = (input: JudgeInput, shop: Rules, gauge: BoreForm | null) => {
  const ofGauge = gaugeRules(input, shop);
  const uncertaintyMm = gaugeUncertainty(ofGauge);
  const limits = boreLimits(input, shop);
  const rules: Rules = { ...shop, ...ofGauge, clearanceMaxMm: limits.clearanceMaxMm, oversizeMaxMm: limits.oversizeMaxMm };
  const lanes = input.seals.map((s) => laneOf(s, rules.laneMarginMm));
  const context: MarkContext = {
    family: input.family,
    school: input.school ?? usualSchool(input.material),
    seals: input.seals,
    lanes,
    stations: gauge?.stations ?? [],
    uncertaintyMm,
    limitDiaMm: limits.limitDiaMm,
    rules,
  };
  const thinWall = input.bore.wallMm != null && above(rules.sleeveMinWallMm, input.bore.wallMm);
  const marks = (input.marks ?? []).map((mark) => {
    const zone = zoneOf(mark, input.seals, lanes);
    return { mark, zone, verdict: withWall(judgeMark(mark, zone, context), thinWall) };
  });
  const verdicts = marks.map((m) => m.verdict);
  const between = gauge === null ? null : formBetween(context.stations, lanes);
  const whole = judgeWhole(input, context, limits, verdicts, thinWall, between);
  const toDo = inOrder([
    ...marks.flatMap(({ mark, verdict: v }): readonly ToDo[] => (v.kind === 'undecided' ? [toDoOf(mark, v)] : [])),
    ...whole.toDo,
  ]);
  const uncut = verdicts.some((v) => v.kind === 'polish') ? 'polish' : 'reuse';
  const outcome: BoreOutcome = whole.certain ?? (toDo.length > 0 ? 'undecided' : whole.targetDiaMm !== null ? 'hone' : uncut);
  return {
    outcome,
    targetDiaMm: whole.certain === undefined ? whole.targetDiaMm : null,
    formDiaMm: whole.formDiaMm,
    decides: whole.decides,
    reasons: whole.reasons,
    toDo,
    marks,
    context,
    limits,
    rules,
    uncertaintyMm,
    between,
    doubtMm: doubtOf(uncertaintyMm, between),
  };
};

const toDoOf = (mark: Mark, v: Extract<MarkVerdict, { readonly kind: 'undecided' }>): ToDo => {
  switch (v.toDo) {
    case 'clean':
      return { what: 'clean', markId: mark.id };
    case 'look-again':
      return { what: 'look-again', markId: mark.id, expectedUm: v.expectedUm };
    case 'measure-depth':
      return { what: 'measure-depth', markId: mark.id, because: v.because };
    case 'gauge':
      return { what: 'gauge', of: 'mark', markId: mark.id };
  }
};

/** The form of the bore by its readings; null without any. */
export const formOf = ({ readings, ...input }: JudgeInput, shop: Rules): BoreForm | null =>
  readings == null || readings.length === 0 ? null : gaugeBore({ ...input, readings }, shop);

const withWall = (v: MarkVerdict, thinWall: boolean): MarkVerdict => (thinWall && v.kind === 'sleeve' ? { ...v, kind: 'scrap' } : v);

type Whole = {
  readonly certain: 'scrap' | 'sleeve' | undefined;
  readonly targetDiaMm: number | null;
  readonly formDiaMm: number | null;
  readonly decides: LaneLimit & { readonly highMm: number | null };
  readonly toDo: readonly ToDo[];
  readonly reasons: readonly BoreReason[];
};

/** What the bore as a whole says, marks aside but for the diameters that they need. */
const judgeWhole = (
  input: JudgeInput,
  c: MarkContext,
  limits: BoreLimits,
  marks: readonly MarkVerdict[],
  thinWall: boolean,
  between: FormBetween | null,
): Whole => {
  const counted = stationsInLanes(c.stations, c.lanes);
  const highMm = Math.max(...counted.map((s) => s.highMm));
  const wear = laneWear(c.stations, c.lanes, limits.lanes);
  const several = limits.lanes.some((l) => l.pistonDiaMm !== limits.lanes[0]?.pistonDiaMm);
  const named = ({ sealId }: LaneLimit): string | null => (several ? sealId : null);
  const spareMm = (l: LaneLimit & { readonly highMm: number }): number => l.limitDiaMm - l.highMm;
  const worst = wear.reduce<(typeof wear)[number] | undefined>((w, l) => (w === undefined || spareMm(l) < spareMm(w) ? l : w), undefined);
  const form = formFault(counted, c.rules);
  const formDiaMm = form === undefined ? null : highMm;
  const fits = (diaMm: number): boolean => atMost(diaMm + c.uncertaintyMm, limits.limitDiaMm);
  const needs = marks.flatMap((v) => ('needsDiaMm' in v ? [v.needsDiaMm] : []));
  const cuts = c.school === 'hone-to-limit' && counted.length > 0 && (needs.length > 0 || formDiaMm !== null);
  const targetDiaMm = cuts ? roundUpTo(Math.max(...needs, highMm), CUT_STEP_MM) : null;
  const reasons: BoreReason[] = [];
  const toDo: ToDo[] = openLanes({ ...c, lengthMm: input.bore.lengthMm }).map((l) => ({ what: 'gauge', of: 'lane', ...l }));
  if (worst !== undefined) {
    if (!atMost(worst.highMm + c.uncertaintyMm, worst.limitDiaMm))
      reasons.push({ code: 'worn', ...worst, ofSealId: named(worst), uncertaintyMm: c.uncertaintyMm });
    else if (targetDiaMm !== null && !fits(targetDiaMm))
      reasons.push({ code: 'target-past-limit', targetDiaMm, limitDiaMm: limits.limitDiaMm, uncertaintyMm: c.uncertaintyMm });
    const tight = [...wear].sort((a, b) => a.lowMm - a.pistonDiaMm - (b.lowMm - b.pistonDiaMm))[0] ?? worst;
    if (atMost(tight.lowMm - c.uncertaintyMm, tight.pistonDiaMm)) toDo.push({ what: 'check-piston', ...tight, ofSealId: named(tight) });
  } else if (toDo.length === 0) toDo.push({ what: 'gauge', of: 'bore' });
  if (form !== undefined) {
    reasons.push({ code: 'form', ...form, school: c.school });
    if (c.school === 'keep-the-skin') toDo.push({ what: 'form', ...form });
  }
  const wholeSleeve =
    reasons.some((r) => r.code === 'worn' || r.code === 'target-past-limit') || (form !== undefined && c.school === 'sleeve-first');
  const scrap = marks.some((v) => v.kind === 'scrap') || (wholeSleeve && thinWall);
  const sleeve = wholeSleeve || marks.some((v) => v.kind === 'sleeve');
  // Wide enough as gauged; not, if it bends between the depths as sharply as it does at them.
  const least = limits.lanes.reduce((low, l) => (l.limitDiaMm < low.limitDiaMm ? l : low));
  const decides = targetDiaMm === null && worst !== undefined ? worst : { ...least, highMm: null };
  const widestMm = targetDiaMm ?? worst?.highMm ?? Number.NEGATIVE_INFINITY;
  const mayPass =
    atMost(widestMm + c.uncertaintyMm, decides.limitDiaMm) && above(widestMm + 2 * doubtOf(c.uncertaintyMm, between), decides.limitDiaMm);
  if (between?.xMm != null && mayPass && !scrap && !sleeve && toDo.every((t) => t.what !== 'form'))
    toDo.push({ what: 'gauge', of: 'form', xMm: between.xMm, doubtMm: between.doubtMm });
  if (thinWall && scrap && input.bore.wallMm != null)
    reasons.push({ code: 'thin-wall', wallMm: input.bore.wallMm, minMm: c.rules.sleeveMinWallMm });
  if (input.makersLimit != null) reasons.push({ code: 'makers-limit', limitDiaMm: limits.limitDiaMm, source: input.makersLimit.source });
  return { certain: scrap ? 'scrap' : sleeve ? 'sleeve' : undefined, targetDiaMm, formDiaMm, decides, toDo, reasons };
};

const formFault = (stations: readonly Station[], rules: Rules): { readonly ovalityMm: number; readonly taperMm: number } | undefined => {
  if (stations.length === 0) return undefined;
  const ovalityMm = Math.max(0, ...stations.flatMap((s) => s.ovalityMm ?? []));
  const taperMm = spread(stations.map((s) => s.meanMm));
  return above(ovalityMm, rules.ovalityLimitMm) || above(taperMm, rules.taperLimitMm) ? { ovalityMm, taperMm } : undefined;
};
