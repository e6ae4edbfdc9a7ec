import { z } from 'zod';
import { RuleOverridesDoor } from '../rules/rule-door';
import { crossCheck, entriesOf, fieldOf } from '../schema/cross-check';
import { median } from '../statistics/summary';

const PBar = z.number().min(-2).max(5000);
const LONGEST_STEP = 5;

const HoldFields = z.object({
  trace: z
    .array(z.strictObject({ tS: z.number().min(-1e7).max(1e7), pBar: PBar }))
    .min(20)
    .max(200_000),
  complianceMlPerBar: z.number().gt(0).max(1000),
  limitMlPerMin: z.number().gt(0).max(1000).nullish(),
  rules: RuleOverridesDoor,
});

export const HoldTestRequest = crossCheck(HoldFields, (value, report) => {
  const times = entriesOf(fieldOf(value, 'trace')).map((point) => point.tS);
  if (times.length < 2 || !times.every((t) => typeof t === 'number')) return;
  const steps = times.slice(1).map((t, i) => t - (times[i] as number));
  const usual = median(steps);
  for (const [i, step] of steps.entries()) {
    if (!(step > 0)) report(['trace', i + 1, 'tS'], 'time repeats or runs backward');
    else if (step > LONGEST_STEP * usual + 1e-9)
      report(['trace', i + 1, 'tS'], `a gap of ${step} s, more than ${LONGEST_STEP} times the usual step of ${usual} s`);
  }
  const span = (times.at(-1) as number) - (times[0] as number);
  if (!(span >= 10 - 1e-9)) report(['trace'], 'the hold must last 10 s at least');
}).meta({ id: 'HoldTestRequest' });

const AirFields = z.object({
  fill: z
    .array(z.strictObject({ mlIn: z.number().min(-100).max(10_000), pBar: z.number().min(0).max(5000) }))
    .min(3)
    .max(200_000),
  rules: RuleOverridesDoor,
});

export const AirCheckRequest = crossCheck(AirFields, (value, report) => {
  const pressures = new Set(entriesOf(fieldOf(value, 'fill')).flatMap((f) => (typeof f.pBar === 'number' && f.pBar > 0 ? [f.pBar] : [])));
  if (pressures.size < 2) report(['fill'], 'needs two distinct pressures above 0');
}).meta({ id: 'AirCheckRequest' });
