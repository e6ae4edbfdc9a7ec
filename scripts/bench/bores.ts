import { laneOf, movingLanes } from '@/core/family/lane';
import { gaugeBore, gaugeUncertainty } from '@/core/gauge/gauge';
import type { Reading } from '@/core/gauge/reading';
import { furtherDepths, GRID_CLOCKS, suggestDepths } from '@/core/gauge/suggest-grid';
import { type JudgeInput, type Judgement, judgeBore } from '@/core/judge/judge';
import { boreLimits } from '@/core/judge/limits';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { type Random, seeded } from '../../devices/hand/random';
import { anyBore, type BoreWorld, readingsAt, WEARS, type Wear } from './bore-world';
import type { Line } from './line';

const EACH = 2000;
/** A third more than the 6.4 that were suggested before anything was asked between rest and the end of the travel. */
const MOST_DEPTHS = 8.5;
/** Of a shop's bores. */
const MIX: { readonly [W in Wear]: number } = { none: 0.4, slight: 0.3, 'at-rest': 0.1, 'mid-stroke': 0.15, narrow: 0.05 };
/** What the software asks for is gauged at most this often after the first time. */
const ROUNDS = 2;
const RULES = STANDARD_RULES;

/** Gauges a bore as the software suggests, and judges it. */
const gaugedAndJudged = (w: BoreWorld, random: Random): { readonly said: Judgement; readonly depths: number } => {
  const { geometry } = w;
  const ringMm = random.normal(RULES.gaugeCalibrationMm);
  const read = (depths: readonly number[]) => readingsAt(w, depths, GRID_CLOCKS, ringMm, random);
  const input = (readings: readonly Reading[]): JudgeInput => ({
    family: w.family,
    material: w.material,
    bore: { lengthMm: geometry.lengthMm, nominalMm: geometry.nominalMm },
    pistonDiaMm: w.pistonDiaMm,
    seals: geometry.seals,
    readings,
  });
  let readings = read(suggestDepths(geometry, RULES));
  let said = judgeBore(input(readings), RULES);
  for (let round = 0; round < ROUNDS; round++) {
    const again = said.toDo.flatMap((t) => (t.what === 'gauge-again' ? (t.xMm ?? []) : []));
    const asked = said.toDo.flatMap((t) => (t.what === 'gauge' && t.sealId === undefined ? (t.xMm ?? []) : []));
    const form = gaugeBore({ readings, material: w.material }, RULES);
    const further = [...new Set([...furtherDepths(geometry, form, RULES), ...asked])].filter(
      (x) => !readings.some((r) => Math.abs(r.xMm - x) < 0.05),
    );
    if (again.length + further.length === 0) break;
    readings = [...readings.filter((r) => !again.includes(r.xMm)), ...read(again), ...read(further)];
    said = judgeBore(input(readings), RULES);
  }
  return { said, depths: new Set(readings.map((r) => r.xMm)).size };
};

/** The widest that a bore truly is where seals run, mm. */
const widestMm = ({ geometry, diaAt }: BoreWorld): number => {
  let widest = 0;
  for (const lane of movingLanes(geometry.seals.map((s) => laneOf(s, 0))))
    for (let x = Math.max(0, lane.x0Mm); x <= Math.min(geometry.lengthMm, lane.x1Mm); x += 0.2)
      for (let deg = 0; deg < 180; deg += 5) widest = Math.max(widest, diaAt(x, deg));
  return widest;
};

type Tried = { readonly wear: Wear; readonly depths: number; readonly came: 'unsafe' | 'refused' | 'undecided' | 'right' };

const tryOne = (wear: Wear, random: Random): Tried => {
  const w = anyBore(random, wear);
  const { said, depths } = gaugedAndJudged(w, random);
  const { limitDiaMm } = boreLimits({ material: w.material, pistonDiaMm: w.pistonDiaMm, bore: w.geometry, seals: w.geometry.seals }, RULES);
  const widest = widestMm(w);
  const refused = said.outcome === 'sleeve' || said.outcome === 'scrap';
  const open = said.outcome === 'undecided';
  if (!refused && !open && Math.max(widest, said.targetDiaMm ?? 0) > limitDiaMm) return { wear, depths, came: 'unsafe' };
  // Cut to the next 0.005 mm, and with the gauge's uncertainty, it would still be within: nothing in the rules refuses it.
  const saved = Math.ceil(widest / 0.005 - 1e-9) * 0.005 + gaugeUncertainty(RULES) <= limitDiaMm;
  if (refused && saved) return { wear, depths, came: 'refused' };
  // What a lead is asked (will the seals live with this form?) no gauge answers.
  return { wear, depths, came: open && said.toDo.some((t) => t.what.startsWith('gauge')) ? 'undecided' : 'right' };
};

/** Does the judgement keep its word over bores that it was not made from? The bars are those of the design, chapter 2. */
export function boreLines(): readonly Line[] {
  const random = seeded(1616);
  const tried = WEARS.flatMap((wear) => Array.from({ length: EACH }, () => tryOne(wear, random)));
  const of = (wear: Wear): readonly Tried[] => tried.filter((t) => t.wear === wear);
  const share = (came: Tried['came'], among: readonly Tried[]): number =>
    (100 * among.filter((t) => t.came === came).length) / among.length;
  const inMix = (figure: (among: readonly Tried[]) => number): number => WEARS.reduce((sum, wear) => sum + MIX[wear] * figure(of(wear)), 0);
  const worst = Math.max(...WEARS.map((wear) => share('unsafe', of(wear))));
  const depths = inMix((among) => among.reduce((sum, t) => sum + t.depths, 0) / among.length);
  const line = (what: string, value: number, unit: string, atMost: number): Line => ({
    what: `judge: ${what}`,
    ours: `${value.toFixed(2)} ${unit}`,
    peer: `${tried.length} bores`,
    bar: `≤ ${atMost} ${unit}`,
    holds: value <= atMost,
  });
  return [
    line(
      'passed though wider than the limit somewhere',
      inMix((among) => share('unsafe', among)),
      '%',
      0.3,
    ),
    line('the same, in the worst class of wear', worst, '%', 2),
    line(
      'refused though it could be saved',
      inMix((among) => share('refused', among)),
      '%',
      1.1,
    ),
    line(
      'undecided after two rounds of what it asks for',
      inMix((among) => share('undecided', among)),
      '%',
      3,
    ),
    line('depths gauged a bore', depths, '', MOST_DEPTHS),
  ];
}
