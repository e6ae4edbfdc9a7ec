import { may, type Person } from '@/core/people/role';
import { hasPot, inPot } from '@/core/unit/bores';
import { tagNumber, tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { unitOfTag } from '@/db/engine/cached-units';
import { type Db, theDb } from '@/db/engine/connection';
import { problem } from './request';
import { currentPerson } from './who';

/** For papers of one bore of a unit: `?pot=2` in the address asks for another than the first. The record is as that bore sees it. */
export async function boreOrRefusal(request: Request, params: Promise<{ tag: string }>) {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const pot = Number(new URL(request.url).searchParams.get('pot') ?? 1);
  if (!hasPot(found.record.unit, pot)) return problem(404, 'It has no such pot.');
  const record = inPot(found.record, pot);
  const { geometry } = record.unit;
  if (geometry === null) return problem(404, 'This unit has no bore.');
  return { ...found, record, geometry, file: `${tagOf(record.unit)}${found.record.unit.morePots.length === 0 ? '' : `-pot-${pot}`}` };
}

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
