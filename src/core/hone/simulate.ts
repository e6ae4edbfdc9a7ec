import type { Reading } from '../gauge/reading';
import type { Station } from '../gauge/station';

/** A bore as cells, `clocks` around by `xMm.length` along; radii by clock, then depth. */
export type BoreField = { readonly xMm: Float64Array; readonly clocks: number; readonly radiusMm: Float64Array };

/** How the stones are moved: the end of the stone nearest the mouth goes from `-overrunMm` to `strokeMm` further in. */
export type Stroke = { readonly stoneLengthMm: number; readonly overrunMm: number; readonly strokeMm: number };

/** What one stone grit takes off: µm on diameter per 100 turns, mean over the bore. */
export type Cut = { readonly umPer100Turns: number; readonly turnsPerStroke: number };

export type FieldProfile = {
  readonly xMm: readonly number[];
  readonly meanMm: readonly number[];
  /** Mean and half the ovality. */
  readonly highMm: readonly number[];
  readonly lowMm: readonly number[];
};

const [CELLS, CLOCKS] = [400, 72];
/** Places along a stroke at which the stone's share of the cut is taken. */
const PLACES = 40;
/** A stone beds in: a cell this far below the highest under it still gets half of what that gets, mm. */
const BEDDING_MM = 0.004;
/** Arms are sprung: a side this much nearer is pressed half as hard again, mm. Sprung stones follow an oval bore rather than round it. */
const SPRING_MM = 0.1;
/** The last tenth of a stroke is slowing down and turning round. */
const TURNING = 0.1;

/** The bore as gauged: means and ovality from station to station, straight between them and flat beyond the last. @param stations one or more, by depth */
export const fieldOf = (
  stations: readonly Pick<Station, 'xMm' | 'meanMm' | 'ovalityMm' | 'majorAxisDeg'>[],
  lengthMm: number,
  cells = CELLS,
  clocks = CLOCKS,
): BoreField => {
  const waves = stations.map((s) => {
    const axis = ((s.majorAxisDeg ?? 0) * Math.PI) / 90;
    const half = s.majorAxisDeg === null ? 0 : (s.ovalityMm ?? 0) / 2;
    return { xMm: s.xMm, mean: s.meanMm, cos: half * Math.cos(axis), sin: half * Math.sin(axis) };
  });
  const xMm = Float64Array.from({ length: cells }, (_, i) => ((i + 0.5) * lengthMm) / cells);
  const radiusMm = new Float64Array(cells * clocks);
  xMm.forEach((x, i) => {
    const after = waves.findIndex((w) => w.xMm >= x);
    const b = waves[after === -1 ? waves.length - 1 : after] as (typeof waves)[number];
    const a = waves[after === -1 ? waves.length - 1 : Math.max(0, after - 1)] as (typeof waves)[number];
    const t = b.xMm === a.xMm ? 0 : (x - a.xMm) / (b.xMm - a.xMm);
    const at = (of: 'mean' | 'cos' | 'sin'): number => a[of] + t * (b[of] - a[of]);
    for (let k = 0; k < clocks; k++) {
      const two = (4 * Math.PI * k) / clocks;
      radiusMm[k * cells + i] = (at('mean') + at('cos') * Math.cos(two) + at('sin') * Math.sin(two)) / 2;
    }
  });
  return { xMm, clocks, radiusMm };
};

/**
 * The bore after strokes of one grit. The cut of a stroke is what the rate says, as a mean over the bore; where it falls follows from the
 * stone: each place of the stroke has a share by how long the stone is there, and that is spread over the cells that the stone covers by
 * how far they stand proud of the deepest of them. A stone that runs out of the bore presses as hard on less, which bells the mouth; cells
 * that it leaves early stay tight.
 * @source design, chapter 3, simulation: pressure by proudness, dwell by position
 */
export function afterStrokes(field: BoreField, stroke: Stroke, cut: Cut, strokes: number): BoreField {
  const { xMm, clocks } = field;
  const cells = xMm.length;
  const pitch = (xMm[1] as number) - (xMm[0] as number);
  const radiusMm = Float64Array.from(field.radiusMm);
  const perStroke = (cells * cut.umPer100Turns * cut.turnsPerStroke) / 100 / 2000;
  const places = placesOf(stroke, pitch, cells);
  const lift = new Float64Array(clocks);
  const share = new Float64Array(clocks);
  for (let n = 0; n < strokes; n++) {
    for (const { from, to, dwell } of places) {
      const covered = to - from;
      let level = 0;
      for (let k = 0; k < clocks; k++) {
        const row = k * cells;
        let deepest = 0;
        let sum = 0;
        for (let i = row + from; i < row + to; i++) {
          const r = radiusMm[i] as number;
          sum += r;
          if (r > deepest) deepest = r;
        }
        lift[k] = deepest + BEDDING_MM;
        share[k] = sum;
        level += sum;
      }
      level /= clocks * covered;
      for (let k = 0; k < clocks; k++) {
        const row = k * cells;
        const sum = share[k] as number;
        const top = lift[k] as number;
        const press = 1 + (level - sum / covered) / SPRING_MM;
        const each = (perStroke * dwell * press) / (top * covered - sum);
        for (let i = row + from; i < row + to; i++) {
          const r = radiusMm[i] as number;
          radiusMm[i] = r + each * (top - r);
        }
      }
    }
  }
  return { xMm, clocks, radiusMm };
}

/** Where the stone is along a stroke: the cells that it covers, and its share of the time. */
const placesOf = (
  s: Stroke,
  pitch: number,
  cells: number,
): readonly { readonly from: number; readonly to: number; readonly dwell: number }[] => {
  const places = Array.from({ length: PLACES }, (_, k) => {
    const along = (k + 0.5) / PLACES;
    const start = along * s.strokeMm - s.overrunMm;
    const from = Math.max(0, Math.round(start / pitch));
    const to = Math.min(cells, Math.round((start + s.stoneLengthMm) / pitch));
    return { from, to, dwell: 1 / Math.sqrt(Math.min(1, Math.min(along, 1 - along) / TURNING)) };
  }).filter((p) => p.to > p.from);
  const whole = places.reduce((sum, p) => sum + p.dwell, 0);
  return places.map((p) => ({ ...p, dwell: p.dwell / whole }));
};

/** Mean and ovality along the bore, ovality as the second harmonic that a two-point gauge sees. */
export const profileOf = ({ xMm, clocks, radiusMm }: BoreField): FieldProfile => {
  const cells = xMm.length;
  const rows = Array.from(xMm, (_, i) => {
    let [mean, cos, sin] = [0, 0, 0];
    for (let k = 0; k < clocks; k++) {
      const dia = (2 * (radiusMm[k * cells + i] as number)) / clocks;
      mean += dia;
      cos += 2 * dia * Math.cos((4 * Math.PI * k) / clocks);
      sin += 2 * dia * Math.sin((4 * Math.PI * k) / clocks);
    }
    return { mean, half: Math.hypot(cos, sin) };
  });
  return {
    xMm: Array.from(xMm),
    meanMm: rows.map((r) => r.mean),
    highMm: rows.map((r) => r.mean + r.half),
    lowMm: rows.map((r) => r.mean - r.half),
  };
};

/** What a gauge would read in the simulated bore, at the cells nearest the places asked for. */
export const readingsIn = (field: BoreField, depthsMm: readonly number[], clocksDeg: readonly number[]): readonly Reading[] => {
  const { xMm, clocks, radiusMm } = field;
  const pitch = (xMm[1] as number) - (xMm[0] as number);
  return depthsMm.flatMap((x) => {
    const i = Math.min(xMm.length - 1, Math.max(0, Math.floor(x / pitch)));
    return clocksDeg.map((clockDeg) => {
      const k = Math.round((clockDeg / 360) * clocks);
      const at = (turn: number): number => radiusMm[(turn % clocks) * xMm.length + i] as number;
      return { xMm: x, clockDeg, diaMm: at(k) + at(k + clocks / 2) };
    });
  });
};
