import { may } from '@/core/people/role';
import { customerFile } from '@/db/customer/customer-file';
import { theDb } from '@/db/engine/connection';
import { problem } from '../../../../../_server/request';
import { currentPerson } from '../../../../../_server/who';

/** All that is kept of a customer, as they may ask for it. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  if (!may(person.role, 'correct')) return problem(403, 'The counter, a lead or an owner gives out what is kept of a customer.');
  const file = await customerFile(await theDb(), (await params).id, Date.now());
  if (file === undefined) return problem(404, 'There is no such customer.');
  return new Response(JSON.stringify(file, null, 2), {
    headers: {
      'content-type': 'application/json',
      'content-disposition': 'attachment; filename="customer.json"',
      'cache-control': 'private, no-store',
    },
  });
}
