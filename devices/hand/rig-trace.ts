import type { RunStep } from '@/core/prove/programme/step';
import type { RigSample } from '@/core/prove/rig-sample';
import { type Chamber, EMPTY, inChamber, letGo, step, type Truth } from '../rig/chamber';
import type { Random } from './random';

const ROOM_C = 21.4;
/** What the sensor adds to the truth: its noise (1σ, bar), how much of one sample's noise stays in the next (0 white), and the step of its figures. */
export type Sensor = { readonly noiseBar: number; readonly stays: number; readonly stepBar: number };
const USUAL: Sensor = { noiseBar: 0.02, stays: 0, stepBar: 0.001 };
type Hold = { readonly targetBar: number; readonly rampS: number; readonly holdS: number };
const AT_80: Hold = { targetBar: 80, rampS: 9, holdS: 120 };

/** A whole hold of the rig's own model: filled in steps of 0.1 s, then held with two samples a second. */
export const simulate = (truth: Truth, random: Random, sensor: Sensor = USUAL, hold: Partial<Hold> = {}): readonly RigSample[] => {
  const { targetBar, rampS, holdS } = { ...AT_80, ...hold };
  const rig = new Recorder(truth, random, sensor);
  const mlPerS = (truth.complianceMlPerBar * targetBar + truth.airMl) / rampS;
  while (rig.pBar < targetBar) rig.take('fill', 0.1, (c) => step(c, truth, 0.1, mlPerS));
  for (let i = 0; i <= holdS * 2; i++) rig.take('hold', 0.5, (c) => step(c, truth, 0.5, 0));
  return rig.samples;
};

/** A run of a programme's step; at a port or a valve the rod is let go after two seconds and the pressure watched. */
export const simulateStep = (of: RunStep, whole: Truth, random: Random): readonly RigSample[] => {
  const truth = inChamber(whole, of.chamber ?? undefined);
  if (of.kind === 'hold' || of.kind === 'cycles') return simulate(truth, random, USUAL, of);
  const pressed = simulate(truth, random, USUAL, { ...of, holdS: 2 });
  const rig = new Recorder(truth, random, USUAL, pressed);
  const watchS = of.kind === 'port' ? of.withinS + 2 : of.holdS;
  for (let i = 0; i < watchS * 10; i++) rig.take('gone', 0.1, (c) => letGo(c, truth));
  return rig.samples;
};

/** The chamber over time, as a sensor sees it. */
class Recorder {
  readonly samples: RigSample[];
  private chamber: Chamber;
  private noise = 0;

  constructor(
    readonly truth: Truth,
    private readonly random: Random,
    private readonly sensor: Sensor,
    before: readonly RigSample[] = [],
  ) {
    this.samples = [...before];
    const last = before.at(-1);
    this.chamber = last === undefined ? EMPTY : { ...EMPTY, mlIn: last.ml, pBar: last.p };
  }

  get pBar(): number {
    return this.chamber.pBar;
  }

  take(phase: RigSample['phase'], dtS: number, on: (chamber: Chamber) => Chamber): void {
    const { noiseBar, stays, stepBar } = this.sensor;
    this.chamber = on(this.chamber);
    this.noise = stays * this.noise + this.random.normal(Math.sqrt(1 - stays ** 2) * noiseBar);
    const t = Math.round(((this.samples.at(-1)?.t ?? 0) + dtS) * 10) / 10;
    this.samples.push({
      t,
      p: Math.round(Math.max(0, this.chamber.pBar + this.noise) / stepBar) * stepBar,
      ml: Math.round(this.chamber.mlIn * 1e5) / 1e5,
      c: ROOM_C + ((this.truth.warmsKPerMin ?? 0) * t) / 60,
      phase,
    });
  }
}
