import type { FamilyName } from '../family/family-name';
import { type BoreSeal, type Lane, laneOf, touches } from '../family/lane';
import { type BoreForm, type GaugeInput, gaugeBore, gaugeRules, gaugeUncertainty } from '../gauge/gauge';
import type { Station } from '../gauge/station';
import { RULE_NAMES, type RuleName, type Rules } from '../rules/rule-set';
import { type School, usualSchool } from '../rules/school';
import { above, atMost, roundUpTo } from '../statistics/compare';
import { normalCdf, spread } from '../statistics/summary';
import { stationsInLanes } from './lane-stations';
import { type BoreLimits, boreLimits, type MakersLimit } from './limits';
import type { Mark } from './mark';
import { CUT_STEP_MM, grooveLeakMlPerMin, judgeMark, type MarkContext, type MarkVerdict, movingLanes } from './mark-verdict';
import type { BoreOutcome } from './outcome';
import { type BoreReason, sayBore, sayToDo, type ToDo } from './say-bore';
import { sayMark } from './say-mark';
import { type Zone, zoneOf } from './zone';

export type JudgeInput = Omit<GaugeInput, 'readings'> & {
  readonly family: FamilyName;
  readonly bore: { readonly lengthMm: number; readonly nominalMm: number; readonly wallMm?: number | null | undefined };
  readonly pistonDiaMm: number;
  readonly seals: readonly BoreSeal[];
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

export type Judgement = {
  readonly outcome: BoreOutcome;
  readonly targetDiaMm: number | null;
  readonly limitDiaMm: number;
  readonly marginMm: number | null;
  readonly confidence: number | null;
  readonly formDiaMm: number | null;
  readonly lanes: readonly Lane[];
  readonly marks: readonly JudgedMark[];
  readonly toDo: readonly (ToDo & { readonly text: string })[];
  readonly reasons: readonly string[];
  readonly gauge: BoreForm | null;
  readonly rulesUsed: Partial<Rules>;
};

/** The rules a judgement rests on, in the order they are reported. */
const JUDGE_RULES: readonly RuleName[] = RULE_NAMES.slice(0, RULE_NAMES.indexOf('grooveViscosityPaS') + 1);

/** A station this far from a lane still tells about it, mm. */
const COVERAGE_REACH_MM = 3;

/**
 * Can this bore be saved? Every mark by where it lies and what clearing it costs, the form, the wear and the piston, against the limit.
 * @param input lengths in mm from the open end, depths in µm; at least one seal; marks with x0 ≤ x1
 * @param gauged the form of these very readings, where it is known already
 * @returns diameters in mm at 20 °C, unrounded but for the target, which is a multiple of 0.005
 * @source design, chapter 2
 */
export function judgeBore(input: JudgeInput, shop: Rules, gauged?: BoreForm | null): Judgement {
  const school = input.school ?? usualSchool(input.material);
  const gauge = gauged === undefined ? formOf(input, shop) : gauged;
  const ofGauge = gaugeRules(input, shop);
  const uncertaintyMm = gaugeUncertainty(ofGauge);
  const limits = boreLimits(input, shop);
  const rules: Rules = { ...shop, ...ofGauge, clearanceMaxMm: limits.clearanceMaxMm, oversizeMaxMm: limits.oversizeMaxMm };
  const lanes = input.seals.map((s) => laneOf(s, rules.laneMarginMm));
  const stations = gauge?.stations ?? [];
  const context: MarkContext = {
    family: input.family,
    school,
    seals: input.seals,
    lanes,
    stations,
    uncertaintyMm,
    limitDiaMm: limits.limitDiaMm,
    rules,
  };
  const thinWall = input.bore.wallMm != null && above(rules.sleeveMinWallMm, input.bore.wallMm);
  const marks = (input.marks ?? []).map((mark) => {
    const zone = zoneOf(mark, input.seals, lanes);
    return { mark, zone, verdict: withWall(judgeMark(mark, zone, context), thinWall) };
  });
  const whole = judgeWhole(
    input,
    context,
    limits,
    marks.map((m) => m.verdict),
    thinWall,
  );
  const toDo: readonly ToDo[] = [
    ...marks.flatMap(({ mark, verdict: v }) => (v.kind === 'undecided' ? [{ what: v.toDo, markId: mark.id }] : [])),
    ...whole.toDo,
  ];
  const outcome =
    whole.certain ??
    (toDo.length > 0
      ? 'undecided'
      : whole.targetDiaMm !== null
        ? 'hone'
        : marks.some((m) => m.verdict.kind === 'polish')
          ? 'polish'
          : 'reuse');
  const targetDiaMm = outcome === 'sleeve' || outcome === 'scrap' ? null : whole.targetDiaMm;
  const marginMm = targetDiaMm === null ? null : limits.limitDiaMm - uncertaintyMm - targetDiaMm;
  return {
    outcome,
    targetDiaMm,
    limitDiaMm: limits.limitDiaMm,
    marginMm,
    // A gauge without any doubt leaves none: Φ(0/0) is not a number.
    confidence: targetDiaMm === null ? null : uncertaintyMm === 0 ? 1 : normalCdf((limits.limitDiaMm - targetDiaMm) / (uncertaintyMm / 2)),
    formDiaMm: whole.formDiaMm,
    lanes,
    marks: marks.map(({ mark, zone, verdict }) => {
      const leak = grooveLeakMlPerMin(mark, zone, context);
      return {
        id: mark.id,
        zone: zone.zone,
        nearestSealId: zone.nearestSealId,
        distanceMm: zone.distanceMm,
        outcome: verdict.kind,
        needsDiaMm: 'needsDiaMm' in verdict ? verdict.needsDiaMm : null,
        reason: sayMark(mark, zone, verdict),
        ...(leak === undefined ? {} : { grooveLeakMlPerMin: leak }),
      };
    }),
    toDo: toDo.map((t) => ({ ...t, text: sayToDo(t) })),
    reasons: sayBore({
      outcome,
      reasons: whole.reasons,
      targetDiaMm,
      limitDiaMm: limits.limitDiaMm,
      uncertaintyMm,
      marginMm,
      marks: marks.map((m) => ({ id: m.mark.id, kind: m.verdict.kind })),
    }),
    gauge,
    rulesUsed: Object.fromEntries(JUDGE_RULES.map((name) => [name, rules[name]])),
  };
}

/** The form of the bore by its readings; null without any. */
export const formOf = ({ readings, ...input }: JudgeInput, shop: Rules): BoreForm | null =>
  readings == null || readings.length === 0 ? null : gaugeBore({ ...input, readings }, shop);

const withWall = (v: MarkVerdict, thinWall: boolean): MarkVerdict => (thinWall && v.kind === 'sleeve' ? { ...v, kind: 'scrap' } : v);

type Whole = {
  readonly certain: 'scrap' | 'sleeve' | undefined;
  readonly targetDiaMm: number | null;
  readonly formDiaMm: number | null;
  readonly toDo: readonly ToDo[];
  readonly reasons: readonly BoreReason[];
};

/** What the bore as a whole says, marks aside but for the diameters that they need. */
const judgeWhole = (input: JudgeInput, c: MarkContext, limits: BoreLimits, marks: readonly MarkVerdict[], thinWall: boolean): Whole => {
  const counted = stationsInLanes(c.stations, c.lanes);
  const highMm = Math.max(...counted.map((s) => s.highMm));
  const form = formFault(counted, c.rules);
  const formDiaMm = form === undefined ? null : highMm;
  const fits = (diaMm: number): boolean => atMost(diaMm + c.uncertaintyMm, limits.limitDiaMm);
  const needs = marks.flatMap((v) => ('needsDiaMm' in v ? [v.needsDiaMm] : []));
  const cuts = c.school === 'hone-to-limit' && counted.length > 0 && (needs.length > 0 || formDiaMm !== null);
  const targetDiaMm = cuts ? roundUpTo(Math.max(...needs, highMm), CUT_STEP_MM) : null;
  const reasons: BoreReason[] = [];
  const toDo: ToDo[] = coverageGaps(c);
  if (counted.length > 0) {
    if (!fits(highMm)) reasons.push({ code: 'worn', highMm, limitDiaMm: limits.limitDiaMm, uncertaintyMm: c.uncertaintyMm });
    else if (targetDiaMm !== null && !fits(targetDiaMm))
      reasons.push({ code: 'target-past-limit', targetDiaMm, limitDiaMm: limits.limitDiaMm, uncertaintyMm: c.uncertaintyMm });
    const lowMm = Math.min(...counted.map((s) => s.lowMm));
    if (atMost(lowMm - c.uncertaintyMm, input.pistonDiaMm)) toDo.push({ what: 'check-piston', pistonDiaMm: input.pistonDiaMm, lowMm });
  } else if (toDo.length === 0) toDo.push({ what: 'gauge' });
  if (form !== undefined) {
    reasons.push({ code: 'form', ...form, school: c.school });
    if (c.school === 'keep-the-skin') toDo.push({ what: 'form', ...form });
  }
  const wholeSleeve =
    reasons.some((r) => r.code === 'worn' || r.code === 'target-past-limit') || (form !== undefined && c.school === 'sleeve-first');
  const scrap = marks.some((v) => v.kind === 'scrap') || (wholeSleeve && thinWall);
  const sleeve = wholeSleeve || marks.some((v) => v.kind === 'sleeve');
  if (thinWall && scrap && input.bore.wallMm != null)
    reasons.push({ code: 'thin-wall', wallMm: input.bore.wallMm, minMm: c.rules.sleeveMinWallMm });
  if (input.makersLimit != null) reasons.push({ code: 'makers-limit', limitDiaMm: limits.limitDiaMm, source: input.makersLimit.source });
  return { certain: scrap ? 'scrap' : sleeve ? 'sleeve' : undefined, targetDiaMm, formDiaMm, toDo, reasons };
};

const formFault = (stations: readonly Station[], rules: Rules): { readonly ovalityMm: number; readonly taperMm: number } | undefined => {
  if (stations.length === 0) return undefined;
  const ovalityMm = Math.max(0, ...stations.flatMap((s) => s.ovalityMm ?? []));
  const taperMm = spread(stations.map((s) => s.meanMm));
  return above(ovalityMm, rules.ovalityLimitMm) || above(taperMm, rules.taperLimitMm) ? { ovalityMm, taperMm } : undefined;
};

/** Seals in whose lane, or at whose rest, the bore has not been gauged across two diameters. */
const coverageGaps = (c: MarkContext): ToDo[] => {
  const crossed = c.stations.filter((s) => s.method !== 'single');
  const near = (x0: number, x1: number): boolean =>
    crossed.some((s) => touches(s.xMm, s.xMm, x0 - COVERAGE_REACH_MM, x1 + COVERAGE_REACH_MM));
  return movingLanes(c.lanes)
    .filter((l) => !near(l.x0Mm, l.x1Mm) || (l.role === 'pressure' && !near(l.parked0Mm, l.parked1Mm)))
    .map((l) => ({ what: 'gauge' as const, sealId: l.sealId, x0Mm: l.x0Mm, x1Mm: l.x1Mm, parkedMm: (l.parked0Mm + l.parked1Mm) / 2 }));
};
