import { UnitFile } from '@/core/book/unit-file';
import { may } from '@/core/people/role';
import { problemsOf, sayFault } from '@/core/schema/problems';
import { takeForeign } from '@/db/book/foreign';
import { shopDb } from '@/db/engine/connection';
import { bodyOf } from '../../../../_server/body';
import { fromOurPage, problem } from '../../../../_server/request';
import { shopNow } from '../../../../_server/shop-now';
import { currentPerson } from '../../../../_server/who';

/** The largest file of one unit; it is read where pages are answered, and may not hold them up. */
const LARGEST_MB = 2;
/** Faults of a file that are told; how many there are is said. */
const TOLD = 20;

/** Takes in the file of a unit that was in another shop. */
export async function POST(request: Request): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  if (!may(person.role, 'files')) return problem(403, 'Your role does not take files in.');
  if (!fromOurPage(request.headers)) return problem(403, 'This did not come from a page of this shop.');
  const body = await bodyOf(request, LARGEST_MB);
  if (!body.ok) return body.error;
  const file = UnitFile.safeParse(parsed(body.value), { error: sayFault });
  if (!file.success) {
    const problems = problemsOf(file.error);
    return problem(
      422,
      `That is no file of a unit: ${problems.length} ${problems.length === 1 ? 'thing is' : 'things are'} not as they should be.`,
      problems.slice(0, TOLD),
    );
  }
  const { settings } = await shopNow();
  const taken = await takeForeign(await shopDb(), { personId: person.id, at: Date.now() }, file.data, settings.name);
  return taken.ok ? Response.json(taken.value) : problem(409, taken.error);
}

const parsed = (bytes: Uint8Array): unknown => {
  try {
    const value: unknown = JSON.parse(new TextDecoder().decode(bytes));
    // What is nested too deeply to be written again could not be kept.
    JSON.stringify(value);
    return value;
  } catch {
    return undefined;
  }
};
