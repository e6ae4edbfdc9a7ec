import type { BleedEvent } from './bleed-event';
import type { BleedMethod, BleedPlan, BleedStep } from './bleed-plan';

/** Where the work stands: what the one big key says next. */
export type BleedNow =
  | { readonly kind: 'prepare'; readonly step: number }
  /** Before an end, or because the reservoir is down. */
  | { readonly kind: 'fill'; readonly step: BleedStep; readonly because: 'start' | 'low'; readonly strokes: number }
  | {
      readonly kind: 'stroke';
      readonly step: BleedStep;
      readonly done: number;
      /** Strokes until it is topped up; null where one cannot say. */
      readonly untilFill: number | null;
    }
  | { readonly kind: 'open'; readonly step: BleedStep }
  /** It runs by itself: gravity or vacuum. */
  | {
      readonly kind: 'runs';
      readonly step: BleedStep;
      readonly ranS: number;
      /** Until all of it has been through, 0 and below when it has; null where the flow is not known. */
      readonly leftS: number | null;
      readonly untilFillS: number | null;
    }
  /** All its strokes are made: no bubble, and the colour of the bottle? */
  | { readonly kind: 'clear?'; readonly step: BleedStep; readonly done: number; readonly untilFill: number | null }
  | { readonly kind: 'outlet' }
  | { readonly kind: 'pedal' }
  | { readonly kind: 'spongy' }
  | { readonly kind: 'done'; readonly travelMm: number };

/** What must have run clear before a screw that runs by itself is closed, s. */
export const CLEAR_S = 10;

/**
 * Where a bleed stands after what was done.
 * @param steps how many things are done before the first screw
 * @param now ms since 1970: what runs by itself goes on
 */
export const bleedNow = (plan: BleedPlan, method: BleedMethod, steps: number, events: readonly BleedEvent[], now: number): BleedNow => {
  const last = events.at(-1);
  if (last?.kind === 'firm') return { kind: 'done', travelMm: last.travelMm };
  if (last?.kind === 'spongy') return { kind: 'spongy' };
  const prepared = events.filter((e) => e.kind === 'prepared').length;
  if (prepared < steps) return { kind: 'prepare', step: prepared };
  // After a spongy pedal the round begins anew.
  const round = events.slice(events.findLastIndex((e) => e.kind === 'spongy') + 1);
  const cleared = new Set(round.flatMap((e) => (e.kind === 'clear' ? [e.endId] : [])));
  const step = plan.order.find((s) => !cleared.has(s.endId));
  if (step === undefined) return round.some((e) => e.kind === 'outlet') ? { kind: 'pedal' } : { kind: 'outlet' };
  const own = round.slice(round.findLastIndex((e) => e.kind === 'clear') + 1);
  return method === 'pump' ? pumping(plan, step, own) : running(plan, step, own, method, now);
};

const pumping = (plan: BleedPlan, step: BleedStep, own: readonly BleedEvent[]): BleedNow => {
  const done = own.filter((e) => e.kind === 'stroke').length;
  const filledAt = own.findLastIndex((e) => e.kind === 'filled');
  if (filledAt === -1) return { kind: 'fill', step, because: 'start', strokes: done };
  const since = own.slice(filledAt).filter((e) => e.kind === 'stroke').length;
  const untilFill = plan.topUpEvery === null ? null : plan.topUpEvery - since;
  // After the last stroke nothing is drawn any more; before another one the reservoir comes first.
  if (done > 0 && done >= step.strokes) return { kind: 'clear?', step, done, untilFill };
  if (untilFill !== null && untilFill <= 0) return { kind: 'fill', step, because: 'low', strokes: done };
  return { kind: 'stroke', step, done, untilFill };
};

const running = (
  plan: BleedPlan,
  step: BleedStep,
  own: readonly BleedEvent[],
  method: Exclude<BleedMethod, 'pump'>,
  now: number,
): BleedNow => {
  const filled = own.findLast((e) => e.kind === 'filled');
  if (filled === undefined) return { kind: 'fill', step, because: 'start', strokes: 0 };
  const opened = own.find((e) => e.kind === 'opened');
  if (opened === undefined) return { kind: 'open', step };
  const rate = method === 'gravity' ? step.gravityMlPerMin : step.vacuumMlPerMin;
  const known = rate === null || rate === 0 ? null : rate;
  const ranS = (now - opened.at) / 1000;
  const mayTakeMl = (plan.topUpEvery ?? 0) * plan.mlPerStroke;
  const sinceS = (now - Math.max(opened.at, filled.at)) / 1000;
  const untilFillS = known === null ? null : (60 * mayTakeMl) / known - sinceS;
  const leftS = known === null ? null : (60 * step.flushMl) / known - ranS;
  if (untilFillS !== null && untilFillS <= 0 && (leftS ?? 0) > 0) return { kind: 'fill', step, because: 'low', strokes: 0 };
  return { kind: 'runs', step, ranS, leftS, untilFillS };
};

/** Without what was last done: a key that was hit by mistake. */
export const undone = (events: readonly BleedEvent[]): readonly BleedEvent[] => events.slice(0, -1);

/** Strokes, top-ups and minutes of a bleed, from first to last. */
export const bleedTally = (events: readonly BleedEvent[]) => {
  const first = events.find((e) => e.kind !== 'prepared');
  const last = events.at(-1);
  return {
    strokes: events.filter((e) => e.kind === 'stroke').length,
    fills: events.filter((e) => e.kind === 'filled').length,
    rounds: 1 + events.filter((e) => e.kind === 'spongy').length,
    minutes: first === undefined || last === undefined ? 0 : (last.at - first.at) / 60_000,
  };
};
