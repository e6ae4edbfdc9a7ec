import { onClock } from '../locale';
import { sayWhen } from '../quantity/say-time';

/** A stretch of time on the plan's drawing: drawn to scale while somebody is there, folded to a narrow band while nobody is. `x` from 0 to 1. */
export type AxisSpan = {
  readonly kind: 'open' | 'folded';
  readonly from: number;
  readonly to: number;
  readonly x0: number;
  readonly x1: number;
};
export type Axis = readonly AxisSpan[];
export type Tick = { readonly x: number; readonly text: string };

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;
/** Shorter breaks, such as lunch, are drawn as they are. */
const FOLDED_FROM_MS = 2 * HOUR_MS;
/** How wide a folded night is, as minutes that are open. */
const NIGHT_MIN = 45;

/**
 * The time from a moment on until so many minutes were open.
 * @param open when somebody is there, ms since 1970; overlapping spans are one
 */
export const axisOf = (open: readonly { readonly from: number; readonly to: number }[], from: number, minutes: number): Axis => {
  const spans = joined(open).filter((s) => s.to > from);
  const parts: { kind: AxisSpan['kind']; from: number; to: number; wide: number }[] = [];
  let [at, left] = [from, minutes];
  for (const span of spans) {
    if (left <= 0) break;
    const begins = Math.max(span.from, from);
    if (begins - at >= FOLDED_FROM_MS) parts.push({ kind: 'folded', from: at, to: begins, wide: NIGHT_MIN });
    const start = begins - at >= FOLDED_FROM_MS ? begins : at;
    const to = Math.min(span.to, start + left * MINUTE_MS);
    parts.push({ kind: 'open', from: start, to, wide: (to - start) / MINUTE_MS });
    left -= (to - start) / MINUTE_MS;
    at = to;
  }
  const all = parts.reduce((sum, p) => sum + p.wide, 0);
  let x = 0;
  return parts.map(({ wide, ...p }) => {
    const x0 = x;
    x += wide / all;
    return { ...p, x0, x1: x };
  });
};

const joined = (spans: readonly { readonly from: number; readonly to: number }[]) => {
  const all: { from: number; to: number }[] = [];
  for (const { from, to } of spans.toSorted((a, b) => a.from - b.from)) {
    const last = all.at(-1);
    if (last === undefined || from - last.to >= FOLDED_FROM_MS) all.push({ from, to });
    else last.to = Math.max(last.to, to);
  }
  return all;
};

/** Where a moment lies; before the first and after the last at the edges. */
export const xOf = (axis: Axis, at: number): number => {
  const span = axis.find((s) => at < s.to) ?? axis.at(-1);
  if (span === undefined) return 0;
  const share = Math.min(1, Math.max(0, (at - span.from) / (span.to - span.from)));
  return span.x0 + share * (span.x1 - span.x0);
};

/** Whole hours where it is open, every so many; the first of a day says which. */
export const ticksOf = (axis: Axis, now: number, everyHours: number): readonly Tick[] => {
  let day = '';
  return axis.flatMap((span): readonly Tick[] => {
    if (span.kind === 'folded') return [];
    const first = Math.ceil(span.from / HOUR_MS) * HOUR_MS;
    const hours = Array.from({ length: Math.max(0, Math.ceil((span.to - first) / HOUR_MS)) }, (_, i) => first + i * HOUR_MS);
    return hours.flatMap((at, i): readonly Tick[] => {
      const hour = onClock(at).getHours();
      const name = sayWhen(at, now);
      const [which = '', clock = ''] = [name.slice(0, name.lastIndexOf(' ')), name.slice(name.lastIndexOf(' ') + 1)];
      if (i > 0 && hour % everyHours !== 0) return [];
      const text = which === day || which === 'today' ? clock : `${which} ${clock}`;
      day = which;
      return [{ x: xOf(axis, at), text }];
    });
  });
};
