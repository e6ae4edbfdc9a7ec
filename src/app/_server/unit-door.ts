import { may, type Person } from '@/core/people/role';
import { tagNumber, type UnitRecord } from '@/core/unit/unit-record';
import { type Db, theDb } from '@/db/engine/connection';
import { unitOfTag } from '@/db/engine/kept-units';
import { problem } from './door';
import { currentPerson } from './who';

/** For routes that give a unit's papers: who asks, and the unit of the tag in the address; or the refusal. */
export async function unitOrRefusal(
  params: Promise<{ tag: string }>,
): Promise<{ readonly person: Person; readonly record: UnitRecord; readonly db: Db } | Response> {
  const person = await currentPerson();
  if (person === undefined || !may(person.role, 'see')) return problem(401, 'Sign in first.');
  const db = await theDb();
  const number = tagNumber((await params).tag);
  const record = number === undefined ? undefined : await unitOfTag(db, number);
  return record === undefined ? problem(404, 'There is no such unit.') : { person, record, db };
}
