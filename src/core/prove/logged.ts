import type { FillReading, HeldReading } from './by-hand';
import { holdReadings } from './by-hand';
import type { RunStep } from './programme/step';
import type { RigSample } from './rig-sample';

/** A row of a logger: s, bar, and where it has them the rod's stroke in mm, the fluid pushed in in ml, and the temperature in °C. */
export type LoggedRow = {
  readonly tS: number;
  readonly pBar: number;
  readonly strokeMm: number | null;
  readonly ml: number | null;
  readonly tempC: number | null;
};

/** A log in its parts: the way up, what was held, and what came after. Indices: the hold is from `shut` up to, not with, `open`. */
export type LogParts = { readonly shut: number; readonly open: number };

/** A pressure that has fallen to this share of its highest was let down, not lost. */
const LET_DOWN_SHARE = 0.6;

/** Finds the hold of a log: from its highest pressure until it is let down. */
export const partsOf = (rows: readonly LoggedRow[]): LogParts => {
  const shut = rows.reduce((best, r, i) => (r.pBar > (rows[best]?.pBar ?? Number.NEGATIVE_INFINITY) ? i : best), 0);
  const top = rows[shut]?.pBar ?? 0;
  const fell = rows.findIndex((r, i) => i > shut && r.pBar < LET_DOWN_SHARE * top);
  return { shut, open: fell === -1 ? rows.length : fell };
};

/** The smallest step between two pressures of a log: what it was written to, bar. 0 where all are alike. */
export const writtenTo = (rows: readonly LoggedRow[]): number => {
  const steps = rows.slice(1).flatMap((r, i) => {
    const step = Math.abs(r.pBar - (rows[i]?.pBar ?? 0));
    return step > 1e-9 ? [step] : [];
  });
  // Differences of decimals miss their step in the last place.
  return steps.length === 0 ? 0 : Number(Math.min(...steps).toPrecision(3));
};

/**
 * A log as the samples of a run. The fluid pushed in is as logged, or the rod's stroke times the bore, else from readings on the way up.
 * @param boreMm bore of a master whose rod was logged, mm
 * @returns undefined where neither tells how much fluid made the pressure
 */
export const loggedSamples = (
  step: Pick<RunStep, 'rampS'>,
  rows: readonly LoggedRow[],
  from: { readonly boreMm: number | null; readonly fill: readonly FillReading[] },
): readonly RigSample[] | undefined => {
  const { shut, open } = partsOf(rows);
  const start = rows[0];
  const at = rows[shut];
  if (start === undefined || at === undefined) return undefined;
  const held = rows.slice(shut, open).map((r): HeldReading => ({ tS: r.tS - at.tS, bar: r.pBar, tempC: r.tempC }));
  const way = rows.slice(0, shut).flatMap((r): readonly RigSample[] => {
    const ml = r.ml ?? pushedIn(r, start, from.boreMm);
    return ml === null ? [] : [{ t: r.tS - start.tS, p: r.pBar, ml, c: r.tempC, phase: 'fill' }];
  });
  if (way.length >= 3) {
    const mlIn = way.at(-1)?.ml ?? 0;
    return [...way, ...held.map((h): RigSample => ({ t: at.tS - start.tS + h.tS, p: h.bar, ml: mlIn, c: h.tempC ?? null, phase: 'hold' }))];
  }
  return from.fill.length >= 3 ? holdReadings(step, from.fill, held) : undefined;
};

/** Fluid that a rod's stroke pushes in, ml; null where stroke or bore is not known. */
const pushedIn = (row: LoggedRow, start: LoggedRow, boreMm: number | null): number | null =>
  row.strokeMm === null || start.strokeMm === null || boreMm === null
    ? null
    : ((Math.PI / 4) * boreMm ** 2 * Math.abs(row.strokeMm - start.strokeMm)) / 1000;
