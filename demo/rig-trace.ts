import type { RigSample } from '@/core/prove/run-analysis';
import { EMPTY, step, type Truth } from '../devices/rig/chamber';
import type { Random } from './random';

/** A whole run of the rig's own model: it fills in steps of 0.1 s, and holds with two samples a second. */
export const simulate = (truth: Truth, random: Random): readonly RigSample[] => {
  const samples: RigSample[] = [];
  let [chamber, t] = [EMPTY, 0];
  const mlPerS = (truth.complianceMlPerBar * 80 + truth.airMl) / 9;
  const take = (phase: RigSample['phase'], dtS: number, pump: number): void => {
    t += dtS;
    chamber = step(chamber, truth, dtS, pump);
    samples.push({
      t: Math.round(t * 10) / 10,
      p: Math.round(Math.max(0, chamber.pBar + random.normal(0.02)) * 1000) / 1000,
      ml: Math.round(chamber.mlIn * 1e5) / 1e5,
      c: 21.4,
      phase,
    });
  };
  while (chamber.pBar < 80) take('fill', 0.1, mlPerS);
  for (let i = 0; i <= 240; i++) take('hold', 0.5, 0);
  return samples;
};
