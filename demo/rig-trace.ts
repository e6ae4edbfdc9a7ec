import type { RigSample } from '@/core/prove/run-analysis';
import { EMPTY, step, type Truth } from '../devices/rig/chamber';
import type { Random } from './random';

/** What the sensor adds to the truth: its noise (1σ, bar), how much of one sample's noise stays in the next (0 white), and the step of its figures. */
export type Sensor = { readonly noiseBar: number; readonly stays: number; readonly stepBar: number };
const USUAL: Sensor = { noiseBar: 0.02, stays: 0, stepBar: 0.001 };

/** A whole run of the rig's own model: it fills to 80 bar in steps of 0.1 s, and holds with two samples a second. */
export const simulate = (truth: Truth, random: Random, sensor: Sensor = USUAL, holdS = 120): readonly RigSample[] => {
  const samples: RigSample[] = [];
  let [chamber, t, noise] = [EMPTY, 0, 0];
  const mlPerS = (truth.complianceMlPerBar * 80 + truth.airMl) / 9;
  const fresh = Math.sqrt(1 - sensor.stays ** 2) * sensor.noiseBar;
  const take = (phase: RigSample['phase'], dtS: number, pump: number): void => {
    t += dtS;
    chamber = step(chamber, truth, dtS, pump);
    noise = sensor.stays * noise + random.normal(fresh);
    samples.push({
      t: Math.round(t * 10) / 10,
      p: Math.round(Math.max(0, chamber.pBar + noise) / sensor.stepBar) * sensor.stepBar,
      ml: Math.round(chamber.mlIn * 1e5) / 1e5,
      c: 21.4,
      phase,
    });
  };
  while (chamber.pBar < 80) take('fill', 0.1, mlPerS);
  for (let i = 0; i <= holdS * 2; i++) take('hold', 0.5, 0);
  return samples;
};
