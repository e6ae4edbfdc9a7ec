import type { FamilyName } from '../family/family-name';
import { type BoreSeal, type Lane, movingLanes } from '../family/lane';
import { localHighMm } from '../gauge/local-diameter';
import type { Station } from '../gauge/station';
import type { Rules } from '../rules/rule-set';
import type { School } from '../rules/school';
import { atMost, roundUpTo } from '../statistics/compare';
import type { Mark } from './mark';
import { nearestResting, type Zone } from './zone';

/** What is to be done about one mark, with the numbers that decided it. `tolerated` is the depth that may stay, µm; `depthUm` counts its uncertainty, stated or not. */
export type MarkVerdict =
  | { readonly kind: 'scrap'; readonly because: 'crack' }
  | { readonly kind: 'reuse'; readonly because: 'clear'; readonly distanceMm: number }
  | { readonly kind: 'reuse'; readonly because: 'stain' }
  | { readonly kind: 'polish'; readonly because: 'mouth' | 'burr' | 'anodising' }
  | { readonly kind: 'polish'; readonly because: 'shallow'; readonly depthUm: number; readonly tolerated: number; readonly where: Where }
  | { readonly kind: 'polish'; readonly because: 'skin'; readonly depthUm: number; readonly stockUm: number }
  | {
      readonly kind: 'hone';
      readonly because: 'depth';
      readonly depthUm: number;
      readonly tolerated: number;
      readonly needsDiaMm: number;
      readonly where: Where;
    }
  | {
      readonly kind: 'sleeve' | 'scrap';
      readonly because: 'past-limit';
      readonly depthUm: number;
      readonly needsDiaMm: number;
      readonly limitDiaMm: number;
    }
  | { readonly kind: 'sleeve' | 'scrap'; readonly because: 'static-depth'; readonly depthUm: number; readonly tolerated: number }
  | {
      readonly kind: 'sleeve' | 'scrap';
      readonly because: 'school';
      readonly depthUm: number;
      readonly school: 'keep-the-skin' | 'sleeve-first';
    }
  | { readonly kind: 'sleeve' | 'scrap'; readonly because: 'anodising' }
  | { readonly kind: 'undecided'; readonly toDo: 'clean' }
  | { readonly kind: 'undecided'; readonly toDo: 'look-again'; readonly expectedUm: number | null }
  | { readonly kind: 'undecided'; readonly toDo: 'measure-depth'; readonly because: 'unknown' }
  | {
      readonly kind: 'undecided';
      readonly toDo: 'measure-depth';
      readonly because: 'doubt';
      readonly depthUm: number;
      readonly tolerated: number;
      readonly where: Where;
    }
  | { readonly kind: 'undecided'; readonly toDo: 'gauge'; readonly depthUm: number; readonly tolerated: number };

export type Where = 'parked' | 'swept' | 'static';

/** All that a mark is judged against. `stations` is empty while the bore has not been gauged. */
export type MarkContext = {
  readonly family: FamilyName;
  readonly school: School;
  readonly seals: readonly BoreSeal[];
  readonly lanes: readonly Lane[];
  readonly stations: readonly Station[];
  readonly uncertaintyMm: number;
  readonly limitDiaMm: number;
  readonly rules: Rules;
};

/** Diameters are cut to multiples of this, mm. */
export const CUT_STEP_MM = 0.005;

/** Judges one mark: the first outcome that applies. A sleeve is not yet checked against the wall. @source design, chapter 2 */
export const judgeMark = (mark: Mark, zone: Zone, c: MarkContext): MarkVerdict => {
  const verdict = judgeSeen(mark, zone, c);
  if (mark.beforeCut == null || verdict.kind === 'reuse' || (verdict.kind === 'scrap' && verdict.because === 'crack')) return verdict;
  return { kind: 'undecided', toDo: 'look-again', expectedUm: mark.beforeCut.expectedUm };
};

const judgeSeen = (mark: Mark, zone: Zone, c: MarkContext): MarkVerdict => {
  if (mark.kind === 'crack') return { kind: 'scrap', because: 'crack' };
  if (zone.zone === 'clear') return judgeClear(mark, zone, c);
  if (!mark.cleaned && ['deposit', 'stain', 'pit', 'corrosion'].includes(mark.kind)) return { kind: 'undecided', toDo: 'clean' };
  if (mark.kind === 'stain') return { kind: 'reuse', because: 'stain' };
  if (mark.kind === 'port-burr') return { kind: 'polish', because: 'burr' };
  if (mark.kind === 'lost-anodising') {
    return c.school === 'keep-the-skin' && !onlyStatic(zone)
      ? { kind: 'sleeve', because: 'anodising' }
      : { kind: 'polish', because: 'anodising' };
  }
  if (mark.depthUm == null) return { kind: 'undecided', toDo: 'measure-depth', because: 'unknown' };
  return judgeDepth(mark, mark.depthUm, mark.depthUm + (mark.depthUncertaintyUm ?? depthDoubt(mark.depthUm, c.rules)), zone, c);
};

const judgeClear = (mark: Mark, zone: Zone, c: MarkContext): MarkVerdict => {
  const deepest = movingLanes(c.lanes).reduce<Lane | undefined>(
    (best, l) => (best === undefined || l.x1Mm > best.x1Mm ? l : best),
    undefined,
  );
  const passed = c.family === 'wheel-double' || (deepest !== undefined && mark.x1Mm < deepest.x0Mm);
  if ((mark.kind === 'ridge' || mark.kind === 'port-burr') && passed) return { kind: 'polish', because: 'mouth' };
  return { kind: 'reuse', because: 'clear', distanceMm: zone.distanceMm };
};

/** What a depth may be wrong by where nobody said how well it is known, expanded, µm. @source design, chapter 2 */
export const depthDoubt = (depthUm: number, rules: Pick<Rules, 'depthDoubtUm' | 'depthDoubtPct'>): number =>
  Math.max(rules.depthDoubtUm, (rules.depthDoubtPct / 100) * depthUm);

const judgeDepth = (mark: Mark, measuredUm: number, depthUm: number, zone: Zone, c: MarkContext): MarkVerdict => {
  const { tolerated, where } = toleratedDepth(zone, c.rules);
  const stays = atMost(depthUm, tolerated);
  if (!stays && mark.depthUncertaintyUm == null && atMost(measuredUm, tolerated))
    return { kind: 'undecided', toDo: 'measure-depth', because: 'doubt', depthUm, tolerated, where };
  if (onlyStatic(zone))
    return stays
      ? { kind: 'polish', because: 'shallow', depthUm, tolerated, where }
      : { kind: 'sleeve', because: 'static-depth', depthUm, tolerated };
  if (c.stations.length === 0 && !stays) return { kind: 'undecided', toDo: 'gauge', depthUm, tolerated };
  if (stays) return { kind: 'polish', because: 'shallow', depthUm, tolerated, where };
  if (c.school === 'sleeve-first') return { kind: 'sleeve', because: 'school', depthUm, school: c.school };
  if (c.school === 'keep-the-skin') {
    const { polishStockUm } = c.rules;
    return atMost(2 * depthUm, polishStockUm)
      ? { kind: 'polish', because: 'skin', depthUm, stockUm: polishStockUm }
      : { kind: 'sleeve', because: 'school', depthUm, school: c.school };
  }
  const needsDiaMm = localHighMm(c.stations, mark.x0Mm, mark.x1Mm) + (2 * (depthUm + c.rules.cleanUpUm)) / 1000;
  if (atMost(roundUpTo(needsDiaMm, CUT_STEP_MM) + c.uncertaintyMm, c.limitDiaMm))
    return { kind: 'hone', because: 'depth', depthUm, tolerated, needsDiaMm, where };
  return { kind: 'sleeve', because: 'past-limit', depthUm, needsDiaMm, limitDiaMm: c.limitDiaMm };
};

/** The strictest depth, µm, of the bands and lanes that a mark touches. */
const toleratedDepth = (zone: Zone, rules: Rules): { readonly tolerated: number; readonly where: Where } => {
  const bands: { readonly tolerated: number; readonly where: Where }[] = [];
  if (movingLanes(zone.parked).length > 0) bands.push({ tolerated: rules.toleratedParkedUm, where: 'parked' });
  if (movingLanes(zone.swept).length > 0) bands.push({ tolerated: rules.toleratedSweptUm, where: 'swept' });
  if (zone.swept.some((l) => l.role === 'static')) bands.push({ tolerated: rules.toleratedStaticUm, where: 'static' });
  return bands.reduce((best, b) => (b.tolerated < best.tolerated ? b : best));
};

/**
 * Leak past a score as long as the contact of the seal it lies under, ml/min: laminar flow in a thin slot, Q = Δp·w·d³/(12·µ·L). An order of magnitude.
 * @returns undefined when it is not such a score, or its width or depth is unknown
 * @source plane Poiseuille flow; design, chapter 2
 */
export const grooveLeakMlPerMin = (mark: Mark, zone: Zone, c: Pick<MarkContext, 'seals' | 'rules'>): number | undefined => {
  if (mark.kind !== 'score' || mark.widthUm == null || mark.depthUm == null) return undefined;
  const parked = movingLanes(zone.parked);
  const touched = parked.length > 0 ? parked : movingLanes(zone.swept);
  if (touched.length === 0) return undefined;
  const { sealId } = nearestResting(mark, touched, c.seals);
  const contactMm = c.seals.find((s) => s.id === sealId)?.contactMm ?? Infinity;
  if (!atMost(contactMm, mark.x1Mm - mark.x0Mm)) return undefined;
  const m3PerS =
    (c.rules.grooveDpMPa * 1e6 * mark.widthUm * 1e-6 * (mark.depthUm * 1e-6) ** 3) / (12 * c.rules.grooveViscosityPaS * contactMm * 1e-3);
  return m3PerS * 60e6;
};

/** Does the mark touch the bands of static seals and nothing else? */
const onlyStatic = (zone: Zone): boolean => movingLanes(zone.swept).length === 0;
