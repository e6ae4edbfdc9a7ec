import type { Seat } from '../quantity/thread';
import { normalThread } from '../quantity/thread';
import type { Rules } from '../rules/rule-set';
import type { Problem } from '../schema/problems';
import { atMost, NOISE } from '../statistics/compare';
import { flareFits, flaresFor } from './flare';
import type { LineRequest } from './line-schema';

const LINE_RULES = ['bendRadiusMm', 'flareTakesMm', 'leastStraightMm', 'nutRoomMm'] as const;
export type LineRules = Pick<Rules, (typeof LINE_RULES)[number]>;

export type LineWarning =
  | { readonly code: 'short-straight' | 'nut-room'; readonly leg: number; readonly text: string }
  | { readonly code: 'tight-bend'; readonly bend: number; readonly text: string }
  | { readonly code: 'thread' | 'seat'; readonly end: 0 | 1; readonly text: string };

/** A tube to be cut and bent; lengths mm. */
export type Line = {
  /** Of each leg, what stays straight. */
  readonly straightsMm: readonly number[];
  readonly arcsMm: readonly number[];
  readonly setbacksMm: readonly number[];
  readonly coilsMm: readonly number[];
  readonly cutMm: number;
  /** Along the cut tube, from its start. */
  readonly bendStartsMm: readonly number[];
  readonly warnings: readonly LineWarning[];
  readonly rulesUsed: LineRules;
};

const sum = (all: readonly number[]): number => all.reduce((total, x) => total + x, 0);
const radiansOf = (deg: number): number => (deg * Math.PI) / 180;
const isFlared = (request: LineRequest, end: 0 | 1): boolean => request.flares[end] !== 'none';

/** How far before the crossing of its legs a bend begins, mm. */
const setbacks = (request: LineRequest, rules: LineRules): readonly number[] =>
  (request.bends ?? []).map((b) => (b.radiusMm ?? rules.bendRadiusMm) * Math.tan(radiansOf(b.angleDeg) / 2));
const straightsOf = (request: LineRequest, rules: LineRules): readonly number[] => {
  const taken = setbacks(request, rules);
  return request.legs.map((leg, i) => leg - (taken[i - 1] ?? 0) - (taken[i] ?? 0));
};

/** Legs that are shorter than their bends take, which only shows with the rules. */
export const lineProblems = (request: LineRequest, rules: LineRules): readonly Problem[] =>
  straightsOf(request, rules).flatMap((straight, i) =>
    atMost(0, straight) ? [] : [{ path: `legs[${i}]`, message: `its bends take ${(-straight).toFixed(1)} mm more than it has` }],
  );

/**
 * How long to cut a tube, where each bend starts, and whether it fits its ports, chapter 14.
 * Asks for legs that are as long as their bends take (`lineProblems`).
 */
export const lineOf = (request: LineRequest, rules: LineRules): Line => {
  const bends = request.bends ?? [];
  const arcsMm = bends.map((b) => (b.radiusMm ?? rules.bendRadiusMm) * radiansOf(b.angleDeg));
  const straightsMm = straightsOf(request, rules).map((s) => Math.max(0, s));
  const coils = request.coils ?? [];
  const coilsMm = coils.map((c) => c.turns * Math.PI * (c.coreMm + request.tubeOdMm));
  const flareMm = (end: 0 | 1): number => (isFlared(request, end) ? rules.flareTakesMm : 0);
  const coiledOf = (leg: number): number => sum(coilsMm.filter((_, i) => coils[i]?.leg === leg));
  return {
    straightsMm,
    arcsMm,
    setbacksMm: setbacks(request, rules),
    coilsMm,
    cutMm: sum(straightsMm) + sum(arcsMm) + sum(coilsMm) + flareMm(0) + flareMm(1),
    bendStartsMm: bends.map((_, n) => {
      const legs = straightsMm.slice(0, n + 1).map((straight, i) => straight + coiledOf(i));
      return flareMm(0) + sum(legs) + sum(arcsMm.slice(0, n));
    }),
    warnings: [...bendWarnings(request, straightsMm, rules), ...portWarnings(request)],
    rulesUsed: Object.fromEntries(LINE_RULES.map((name) => [name, rules[name]])) as LineRules,
  };
};

const bendWarnings = (request: LineRequest, straightsMm: readonly number[], rules: LineRules): readonly LineWarning[] => {
  const last = straightsMm.length - 1;
  const asked = (leg: number): number =>
    rules.nutRoomMm * ((leg === 0 && isFlared(request, 0) ? 1 : 0) + (leg === last && isFlared(request, 1) ? 1 : 0));
  const short = straightsMm.flatMap((straight, leg): readonly LineWarning[] =>
    leg === 0 || leg === last || atMost(rules.leastStraightMm, straight)
      ? []
      : [
          {
            code: 'short-straight',
            leg,
            text: `Leg ${leg + 1} keeps ${straight.toFixed(1)} mm of straight between its bends, under ${rules.leastStraightMm}.`,
          },
        ],
  );
  const nuts = straightsMm.flatMap((straight, leg): readonly LineWarning[] =>
    atMost(asked(leg), straight)
      ? []
      : [
          {
            code: 'nut-room',
            leg,
            text: `Leg ${leg + 1} keeps ${straight.toFixed(1)} mm of straight; nut and flaring tool ask for ${asked(leg)}.`,
          },
        ],
  );
  const tight = (request.bends ?? []).flatMap((b, bend): readonly LineWarning[] => {
    const radius = b.radiusMm ?? rules.bendRadiusMm;
    const least = 2 * request.tubeOdMm;
    return radius < least - NOISE
      ? [
          {
            code: 'tight-bend',
            bend,
            text: `Bend ${bend + 1} of radius ${radius} mm is under twice the tube, ${Number(least.toFixed(3))} mm: it may flatten.`,
          },
        ]
      : [];
  });
  return [...short, ...nuts, ...tight];
};

const ENDS = [0, 1] as const;
const AT = ['At the start', 'At the end'] as const;

const portWarnings = (request: LineRequest): readonly LineWarning[] => [
  ...ENDS.flatMap((end): readonly LineWarning[] => {
    const [port, nut] = [request.ports?.[end]?.thread, request.nuts?.[end]?.thread];
    if (port == null || nut == null || normalThread(port) === normalThread(nut)) return [];
    return [{ code: 'thread', end, text: `${AT[end]} the port is ${port}, the nut ${nut}.` }];
  }),
  ...ENDS.flatMap((end): readonly LineWarning[] => {
    const seat = request.ports?.[end]?.seat;
    return seat == null || flareFits(request.flares[end], seat)
      ? []
      : [{ code: 'seat', end, text: `${AT[end]} ${takes(seat)}, not ${request.flares[end]}.` }];
  }),
];

/** What a seat takes, in the wire's words. */
const takes = (seat: Seat): string => `a ${seat} seat takes ${flaresFor(seat).join(' or ')}`;
