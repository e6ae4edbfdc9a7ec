import { lineOf, lineProblems } from '@/core/line/line';
import { lineSheetOf } from '@/core/line/line-of-query';
import { lineQuestion } from '@/core/line/line-sheet';
import { theDb } from '@/db/engine/connection';
import { rulesInForce } from '@/db/rules/rules';
import { inPool } from '@/pool/pool';
import { paperAnswer } from '../../../../_server/paper-answer';
import { problem } from '../../../../_server/request';
import { currentPerson } from '../../../../_server/who';

/** More than any sheet of paper is good for, mm. */
const LONGEST_MM = 20_000;

/** The cutting ticket of the line in the address, in true scale. */
export async function GET(request: Request): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const sheet = lineSheetOf(Object.fromEntries(new URL(request.url).searchParams));
  const { rules } = await rulesInForce(await theDb());
  const question = lineQuestion(sheet);
  const wrong = lineProblems(question, rules);
  if (wrong.length > 0) return problem(422, 'Its bends take more than its legs have.', wrong);
  const line = lineOf(question, rules);
  if (line.cutMm > LONGEST_MM) return problem(422, 'It is longer than 20 m: no strip of paper is.');
  return paperAnswer(await inPool('ticket', [sheet, line]));
}
