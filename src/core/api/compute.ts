import type { z } from 'zod';
import { bleedPlan } from '../bleed/bleed-plan';
import { BleedRequest } from '../bleed/bleed-schema';
import { comebacks } from '../book/comebacks';
import { ComebacksRequest } from '../book/comebacks-schema';
import { stackCheck } from '../close-up/stack-check';
import { StackRequest } from '../close-up/stack-schema';
import { routeCost } from '../cost/route-cost';
import { RouteCostRequest } from '../cost/route-cost-schema';
import { schedule } from '../day/schedule';
import { ScheduleRequest } from '../day/schedule-schema';
import { gaugeBore } from '../gauge/gauge';
import { GaugeRequest } from '../gauge/gauge-schema';
import { honePlan } from '../hone/hone-plan';
import { HonePlanRequest } from '../hone/hone-schema';
import { identify } from '../identify/identify';
import { IdentifyRequest } from '../identify/identify-schema';
import { judgeBore } from '../judge/judge';
import { JudgeRequest } from '../judge/judge-schema';
import { kitMatch } from '../kit/kit-match';
import { KitMatchRequest } from '../kit/kit-schema';
import { lineOf, lineProblems } from '../line/line';
import { LineRequest } from '../line/line-schema';
import { airCheck } from '../prove/air-check';
import { holdTest } from '../prove/hold-test';
import { AirCheckRequest, HoldTestRequest } from '../prove/prove-schema';
import { fail, ok, type Result } from '../result';
import { type RuleOverrides, type Rules, withRules } from '../rules/rule-set';
import { type Problem, problemsOf } from '../schema/problems';
import { hydraulics } from '../set/hydraulics';
import { HydraulicsRequest } from '../set/hydraulics-schema';
import { setup, setupProblems } from '../set/setup';
import { SetupRequest } from '../set/setup-schema';

/** One calculation as it is served: its schema, its work under the shop's rules, and what it is for. */
export type Calculation = {
  readonly summary: string;
  readonly request: z.ZodType;
  readonly run: (body: unknown, shop: Rules) => Promise<Result<unknown, readonly Problem[]>>;
};

const calculation = <S extends z.ZodType<{ readonly rules?: RuleOverrides | null | undefined }>>(
  summary: string,
  request: S,
  work: (input: z.output<S>, rules: Rules) => unknown,
  /** What only shows once request and rules are put together. */
  problems: (input: z.output<S>, rules: Rules) => readonly Problem[] = () => [],
): Calculation => ({
  summary,
  request,
  run: async (body, shop) => {
    const parsed = request.safeParse(body);
    if (!parsed.success) return fail(problemsOf(parsed.error));
    const rules = withRules(shop, parsed.data.rules);
    const wrong = problems(parsed.data, rules);
    return wrong.length > 0 ? fail(wrong) : ok(await work(parsed.data, rules));
  },
});

/** Every calculation by its name on the wire, `POST /api/v1/compute/<name>`. */
export const CALCULATIONS: ReadonlyMap<string, Calculation> = new Map([
  ['gauge', calculation('What shape is this bore?', GaugeRequest, gaugeBore)],
  ['judge', calculation('Can this bore be saved?', JudgeRequest, judgeBore)],
  ['hone-plan', calculation('How to cut it?', HonePlanRequest, honePlan)],
  ['stack-check', calculation('Is every seal facing its pressure, and is anything left over?', StackRequest, stackCheck)],
  ['kit-match', calculation('Does this kit cover this unit, and what covers it best?', KitMatchRequest, kitMatch)],
  ['identify', calculation('What is this unit, and what should be measured next?', IdentifyRequest, identify)],
  ['setup', calculation('Is there a gap at the pushrod, and what does it cost at the pedal?', SetupRequest, setup, setupProblems)],
  ['hydraulics', calculation('What does a change of bore do?', HydraulicsRequest, hydraulics)],
  ['hold-test', calculation('Leaking, or settling?', HoldTestRequest, holdTest)],
  ['route-cost', calculation('Repair, sleeve, exchange, new, or give back?', RouteCostRequest, routeCost)],
  ['bleed-plan', calculation('In which order is it bled, how much fluid, how many strokes?', BleedRequest, bleedPlan)],
  ['line', calculation('How long is the tube cut, where is it bent, does it fit its ports?', LineRequest, lineOf, lineProblems)],
  ['schedule', calculation('Who does what next?', ScheduleRequest, schedule)],
  ['comebacks', calculation('What holds, and for how long?', ComebacksRequest, comebacks)],
  ['air-check', calculation('Is there air in it?', AirCheckRequest, (input, rules) => airCheck(input.fill, rules))],
]);
