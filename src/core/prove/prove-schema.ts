import { z } from 'zod';
import { RuleOverridesSchema } from '../rules/rule-schema';
import { crossCheck, entriesOf, fieldOf } from '../schema/cross-check';
import { median } from '../statistics/summary';
import { LEAST_HOLD, startBar } from './hold-test';

const PBar = z.number().min(-2).max(5000);
const LONGEST_STEP = 5;

const HoldFields = z.object({
  trace: z
    .array(z.strictObject({ tS: z.number().min(-1e7).max(1e7), pBar: PBar, tempC: z.number().min(-80).max(250).nullish() }))
    .min(1)
    .max(200_000),
  complianceMlPerBar: z.number().gt(0).max(1000),
  complianceSe: z.number().min(0).max(1000).nullish(),
  airMl: z.number().min(-100).max(10_000).nullish(),
  stepBar: z.number().min(0).max(5000).nullish(),
  readSeBar: z.number().min(0).max(500).nullish(),
  limitMlPerMin: z.number().gt(0).max(1000).nullish(),
  rules: RuleOverridesSchema,
});

export const HoldTestRequest = crossCheck(HoldFields, (value, report) => {
  const trace = entriesOf(fieldOf(value, 'trace'));
  const readSeBar = fieldOf(value, 'readSeBar');
  const byEye = typeof readSeBar === 'number' && readSeBar > 0;
  const least = byEye ? LEAST_HOLD.eye : LEAST_HOLD.gauge;
  if (trace.length > 0 && trace.length < least.samples) report(['trace'], `needs at least ${least.samples} samples`);
  const bare = trace.findIndex((s) => s.tempC == null);
  if (bare >= 0 && trace.some((s) => s.tempC != null)) report(['trace', bare, 'tempC'], 'is missing here and given elsewhere');
  const times = trace.map((point) => point.tS);
  if (times.length < 2 || !times.every((t) => typeof t === 'number')) return;
  const steps = times.slice(1).map((t, i) => t - (times[i] as number));
  const usual = median(steps);
  for (const [i, step] of steps.entries()) {
    if (!(step > 0)) report(['trace', i + 1, 'tS'], 'time repeats or runs backward');
    else if (!byEye && step > LONGEST_STEP * usual + 1e-9)
      report(['trace', i + 1, 'tS'], `a gap of ${step} s, more than ${LONGEST_STEP} times the usual step of ${usual} s`);
  }
  const span = (times.at(-1) as number) - (times[0] as number);
  if (!(span >= least.spanS - 1e-9)) report(['trace'], `the hold must last ${least.spanS} s at least`);
  const bars = trace.map((s) => s.pBar);
  if (bars.every((p) => typeof p === 'number') && !(startBar(bars as number[], byEye) > 0))
    report(['trace'], 'must start at a pressure above 0');
}).meta({ id: 'HoldTestRequest' });

const AirFields = z.object({
  fill: z
    .array(z.strictObject({ mlIn: z.number().min(-100).max(10_000), pBar: z.number().min(0).max(5000) }))
    .min(3)
    .max(200_000),
  rules: RuleOverridesSchema,
});

export const AirCheckRequest = crossCheck(AirFields, (value, report) => {
  const pressures = new Set(entriesOf(fieldOf(value, 'fill')).flatMap((f) => (typeof f.pBar === 'number' && f.pBar > 0 ? [f.pBar] : [])));
  if (pressures.size < 2) report(['fill'], 'needs two distinct pressures above 0');
}).meta({ id: 'AirCheckRequest' });
