import { planOf } from '@/core/plan/day-plan';
import { daySheetOf } from '@/core/plan/day-sheet';
import { inPool, sayNotDone } from '@/pool/pool';
import { dayNow, planBranch } from '../../../../_server/day-now';
import { paperAnswer } from '../../../../_server/paper-answer';
import { problem } from '../../../../_server/request';
import { currentPerson } from '../../../../_server/who';

/** The day's plan for the wall. */
export async function GET(): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  const day = await dayNow(await planBranch(person.branch ?? null));
  if (!day.ok) return problem(503, sayNotDone(day.error));
  const { facts, schedule, leftOut } = day.value;
  return paperAnswer(await inPool('day-sheet', [daySheetOf(planOf(facts, schedule, leftOut), facts), { madeAt: facts.now }]));
}
