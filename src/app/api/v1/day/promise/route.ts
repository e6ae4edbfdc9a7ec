import { z } from 'zod';
import { COMPLAINT_NAMES } from '@/core/book-in/complaint';
import { UNIT_KINDS } from '@/core/family/family-name';
import { MATERIALS } from '@/core/family/material';
import { sayNotDone } from '@/pool/pool';
import { planBranch } from '../../../../_server/day-now';
import { promiseNow } from '../../../../_server/promise-now';
import { problem } from '../../../../_server/request';
import { currentPerson } from '../../../../_server/who';

const Asked = z.object({
  family: z.enum(UNIT_KINDS),
  material: z.enum(MATERIALS),
  complaints: z
    .string()
    .max(1000)
    .default('')
    .transform((list) => COMPLAINT_NAMES.filter((c) => list.split(',').includes(c))),
});

/** When a unit that comes in now is ready: `half` 1 in 2, `nine` 9 in 10, `nineteen` 19 in 20, ms since 1970 in the shop's hours; null where no date holds. */
export async function GET(request: Request): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return problem(422, 'Say family, material and complaints by their names.');
  const promised = await promiseNow(await planBranch(person.branch ?? null), asked.data);
  if (!promised.ok) return problem(503, sayNotDone(promised.error));
  const [half, nine, nineteen] = promised.value;
  return Response.json({ half, nine, nineteen });
}
