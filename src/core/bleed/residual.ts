import { fixed } from '../quantity/figure';
import { pressureIn } from '../quantity/say';
import type { Units } from '../quantity/units';
import { END_KINDS } from './end-kind';
import type { System, SystemEnd } from './system';
import { pathTo } from './tree';

/** What is said of a residual valve for one circuit: to the fitter, who decides. */
export type ResidualAdvice = {
  /** Its root: an outlet of the master. */
  readonly circuit: string;
  readonly ends: readonly string[];
  readonly says: 'may-help' | 'not-needed' | 'must-not' | 'drums-only' | 'not-asked';
  /** What a valve would hold, bar; null where none belongs. */
  readonly holdsBar: readonly [from: number, to: number] | null;
  /** At the lip of its lowest end, pedal at rest, without a valve; null where no height is known. */
  readonly lipBar: number | null;
};

/** What a valve for drums holds, bar: above a cup’s own need, below what moves shoes against their springs. @source bench practice, 8 to 14 psi */
const HOLDS_BAR = [0.55, 1] as const;
const G = 9.80665;

/** Pressure over a cup’s lip at rest from the height of the reservoir alone, bar; below 0 it draws air inward. */
export const headBar = (dropMm: number, densityKgM3: number): number => (densityKgM3 * G * (dropMm / 1000)) / 1e5;

/** Whether each circuit should have a residual valve, by what hangs on it. */
export const residualOf = (system: System, densityKgM3: number): readonly ResidualAdvice[] => {
  const rootOf = (end: SystemEnd): string => pathTo(system.lines, end.at)[0]?.from ?? end.at;
  const roots = [...new Set(system.ends.map(rootOf))];
  return roots.map((circuit) => {
    const ends = system.ends.filter((e) => rootOf(e) === circuit);
    const says = saysOf(ends);
    const drops = ends.flatMap((e) => e.dropMm ?? []);
    return {
      circuit,
      ends: ends.map((e) => e.id),
      says,
      holdsBar: says === 'may-help' || says === 'drums-only' ? HOLDS_BAR : null,
      lipBar: drops.length === 0 ? null : headBar(Math.max(...drops), densityKgM3),
    };
  });
};

const saysOf = (ends: readonly SystemEnd[]): ResidualAdvice['says'] => {
  const rests = new Set(ends.map((e) => END_KINDS[e.kind].rests));
  if (rests.has('drags-with')) return rests.has('weeps-without') ? 'drums-only' : 'must-not';
  if (rests.has('weeps-without')) return 'may-help';
  return rests.has('tight-without') ? 'not-needed' : 'not-asked';
};

/** What a valve holds, and what stands over the lowest lip at rest without one. */
export const sayPressures = (a: ResidualAdvice, units: Units): string => {
  const said = (x: number): string => `${fixed(pressureIn(x, units), units.pressure === 'bar' ? 2 : 1)} ${units.pressure}`;
  const holds = a.holdsBar === null ? '' : `A valve for drums holds ${said(a.holdsBar[0])} to ${said(a.holdsBar[1])}. `;
  if (a.lipBar === null) return `${holds}At rest over its lips: not known, for no height is given.`;
  const inward = a.lipBar < 0 ? ', inward: air can be drawn past it' : '';
  return `${holds}At rest the fluid’s height alone puts ${said(a.lipBar)} over its lowest lip${inward}.`;
};

/** The one place that words it. */
export const sayResidual = (a: ResidualAdvice): string => {
  switch (a.says) {
    case 'may-help':
      return 'Cups alone weep and draw air at rest: makers often fit a residual valve here. Keep what the maker fitted.';
    case 'not-needed':
      return 'Expanders hold these cups to the wall: no valve is asked for, unless the maker fitted one.';
    case 'must-not':
      return 'Calipers: no residual valve. It holds the pads on, and they drag and heat.';
    case 'drums-only':
      return 'Drums and calipers on one circuit: a valve belongs in the drums’ own branch only, never before the calipers.';
    case 'not-asked':
      return 'A clutch: no valve, unless its maker fitted one; it would hold the release bearing on.';
  }
};
