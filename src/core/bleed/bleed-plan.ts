import { mixingOf } from '../fluid/fluid';
import type { Rules } from '../rules/rule-set';
import { atMost, NOISE } from '../statistics/compare';
import type { BleedQuestion, BleedRequest } from './bleed-schema';
import { pathTo } from './tree';
import { FLUID_OF } from './wire-fluid';

const BLEED_RULES = [
  'flushTurnover',
  'strokeFill',
  'spareStrokes',
  'bleedViscosityPaS',
  'bleedDensityKgM3',
  'gravityLeastMlPerMin',
  'bleedVacuumKPa',
  'pumpStrokeS',
  'bottleMl',
] as const;
export type BleedRules = Pick<Rules, (typeof BLEED_RULES)[number]>;

/** What one end asks for, in its turn. Lengths mm, volumes ml, flows ml/min. */
export type BleedStep = {
  readonly endId: string;
  /** From the root to it. */
  readonly pathMm: number;
  /** Of the lines of its path that no earlier end has filled anew. */
  readonly lineMl: number;
  readonly flushMl: number;
  readonly strokes: number;
  /** Null where a full reservoir does not give one stroke. */
  readonly topUps: number | null;
  /** Null where nothing is known of its height, or no line leads to it; 0 where it does not lie below the reservoir. */
  readonly gravityMlPerMin: number | null;
  readonly gravityMinutes: number | null;
  readonly vacuumMlPerMin: number | null;
  readonly vacuumMinutes: number | null;
  readonly pumpMinutes: number;
};
export type BleedMethod = 'gravity' | 'pump' | 'vacuum';
export type BleedWarning = {
  readonly code: 'no-drop' | 'gravity-slow' | 'screw-low' | 'reservoir-small' | 'does-not-mix';
  readonly endId: string | null;
  readonly text: string;
};
export type BleedPlan = {
  readonly order: readonly BleedStep[];
  readonly mlPerStroke: number;
  readonly topUpEvery: number | null;
  readonly flushMl: number;
  readonly freshMl: number;
  readonly bottles: number;
  readonly strokes: number;
  readonly topUps: number | null;
  readonly methods: readonly { readonly method: BleedMethod; readonly people: number; readonly minutes: number | null }[];
  readonly warnings: readonly BleedWarning[];
  readonly rulesUsed: BleedRules;
};

type Line = BleedQuestion['lines'][number];
type End = BleedQuestion['ends'][number];

/** Standard gravity, m/s². */
const G = 9.80665;
const ceil = (x: number): number => Math.ceil(x - NOISE);
/** Sum, or null where any is not known. */
const sumOf = (all: readonly (number | null)[]): number | null =>
  all.reduce<number | null>((sum, x) => (sum === null || x === null ? null : sum + x), 0);

/** What fills a line, ml. */
export const volumeOf = (line: Pick<Line, 'innerMm' | 'lengthMm'>): number => ((Math.PI / 4) * line.innerMm ** 2 * line.lengthMm) / 1000;

/**
 * In which order, how much fluid, how many strokes, chapter 11: each end in its turn, with what it takes by each method.
 * @source laminar flow in tubes in series, Hagen and Poiseuille
 */
export const bleedPlan = (request: BleedRequest, rules: BleedRules): BleedPlan => {
  const { master } = request;
  const mlPerStroke = (rules.strokeFill * (Math.PI / 4) * master.boreMm ** 2 * master.strokeMm) / 1000;
  const full = Math.floor((master.reservoirMl - master.reservoirMinMl) / mlPerStroke + NOISE);
  const topUpEvery = full < 1 ? null : Math.max(1, full - rules.spareStrokes);
  const ends = inOrder(request);
  const order = ends.map(({ end, path }, i): BleedStep => {
    const filled = new Set(ends.slice(0, i).flatMap((e) => e.path.map((l) => l.id)));
    const lineMl = path.filter((l) => !filled.has(l.id)).reduce((sum, l) => sum + volumeOf(l), 0);
    const flushMl = rules.flushTurnover * (lineMl + end.volumeMl);
    const strokes = ceil(flushMl / mlPerStroke);
    return {
      endId: end.id,
      pathMm: lengthOf(path),
      lineMl,
      flushMl,
      strokes,
      topUps: topUpEvery === null ? null : Math.max(0, ceil(strokes / topUpEvery) - 1),
      ...flows(end, path, flushMl, rules),
      pumpMinutes: (strokes * rules.pumpStrokeS) / 60,
    };
  });
  const flushMl = order.reduce((sum, s) => sum + s.flushMl, 0);
  const freshMl = flushMl + ((request.renewReservoir ?? true) ? master.reservoirMl : 0);
  return {
    order,
    mlPerStroke,
    topUpEvery,
    flushMl,
    freshMl,
    bottles: ceil(freshMl / rules.bottleMl),
    strokes: order.reduce((sum, s) => sum + s.strokes, 0),
    topUps: sumOf(order.map((s) => s.topUps)),
    methods: [
      { method: 'gravity', people: 1, minutes: sumOf(order.map((s) => s.gravityMinutes)) },
      { method: 'pump', people: 2, minutes: sumOf(order.map((s) => s.pumpMinutes)) },
      { method: 'vacuum', people: 1, minutes: sumOf(order.map((s) => s.vacuumMinutes)) },
    ],
    warnings: [
      ...ends.flatMap(({ end }, i) => endWarnings(end, order[i]?.gravityMlPerMin ?? null, rules)),
      ...systemWarnings(request, topUpEvery),
    ],
    rulesUsed: Object.fromEntries(BLEED_RULES.map((name) => [name, rules[name]])) as BleedRules,
  };
};

const lengthOf = (path: readonly Line[]): number => path.reduce((sum, l) => sum + l.lengthMm, 0);

/** The ends in the order of the work, each with its path. */
const inOrder = ({ lines, ends, order, given }: BleedQuestion): readonly { readonly end: End; readonly path: readonly Line[] }[] => {
  const all = ends.map((end) => ({ end, path: pathTo(lines, end.at) }));
  if (order === 'given') return (given ?? []).flatMap((id) => all.filter((e) => e.end.id === id));
  const sign = order === 'nearest-first' ? 1 : -1;
  return [...all].sort((a, b) => {
    const further = lengthOf(a.path) - lengthOf(b.path);
    return Math.abs(further) <= NOISE ? 0 : sign * further;
  });
};

type Flows = Pick<BleedStep, 'gravityMlPerMin' | 'gravityMinutes' | 'vacuumMlPerMin' | 'vacuumMinutes'>;

const flows = (end: End, path: readonly Line[], flushMl: number, rules: BleedRules): Flows => {
  if (path.length === 0) return { gravityMlPerMin: null, gravityMinutes: null, vacuumMlPerMin: null, vacuumMinutes: null };
  // Pa·s/m³.
  const resistance = path.reduce(
    (sum, l) => sum + (128 * rules.bleedViscosityPaS * (l.lengthMm / 1000)) / (Math.PI * (l.innerMm / 1000) ** 4),
    0,
  );
  const headPa = rules.bleedDensityKgM3 * G * ((end.dropMm ?? 0) / 1000);
  const gravity = end.dropMm == null ? null : atMost(end.dropMm, 0) ? 0 : (6e7 * headPa) / resistance;
  const vacuum = (6e7 * Math.max(0, headPa + 1000 * rules.bleedVacuumKPa)) / resistance;
  return {
    gravityMlPerMin: gravity,
    gravityMinutes: minutesAt(gravity, flushMl),
    vacuumMlPerMin: vacuum,
    vacuumMinutes: minutesAt(vacuum, flushMl),
  };
};
const minutesAt = (mlPerMin: number | null, ml: number): number | null => (mlPerMin === null || mlPerMin === 0 ? null : ml / mlPerMin);

const endWarnings = ({ id, screwOnTop }: End, gravity: number | null, rules: BleedRules): readonly BleedWarning[] => [
  ...(gravity === 0
    ? [warn('no-drop', id, `The screw of ${id} does not lie below the fluid in the reservoir: gravity moves nothing.`)]
    : gravity !== null && !atMost(rules.gravityLeastMlPerMin, gravity)
      ? [
          warn(
            'gravity-slow',
            id,
            `By gravity ${id} runs ${gravity.toFixed(1)} ml/min, under ${rules.gravityLeastMlPerMin}: it may stop at a bubble.`,
          ),
        ]
      : []),
  ...(screwOnTop === false ? [warn('screw-low', id, `The screw of ${id} is not its highest point: a pocket of air stays over it.`)] : []),
];

const systemWarnings = ({ fluidIn, fluidFresh }: BleedQuestion, topUpEvery: number | null): readonly BleedWarning[] => [
  ...(topUpEvery === null
    ? [warn('reservoir-small', null, 'One stroke takes more than the reservoir may give: it draws air unless it is filled all the while.')]
    : []),
  ...(fluidIn != null && fluidFresh != null && mixingOf(FLUID_OF[fluidIn], FLUID_OF[fluidFresh]) === 'flush'
    ? [warn('does-not-mix', null, `${fluidFresh} does not mix with ${fluidIn}: flushing is no cure, dry the system and judge its rubber.`)]
    : []),
];

const warn = (code: BleedWarning['code'], endId: string | null, text: string): BleedWarning => ({ code, endId, text });
