import { count, desc, eq, gte, max } from 'drizzle-orm';
import type { WrongPins } from '@/core/people/member';
import type { Reader } from '../engine/connection';
import { people, wrongPins } from '../tables';

const SHOWN = 20;
/** So few in a row are a slip of the finger. */
const WORTH_TELLING = 3;

/** Who was tried from where since a moment, the newest first; how many more there are. @param since ms since 1970 */
export async function wrongPinsSince(db: Reader, since: number): Promise<{ readonly shown: readonly WrongPins[]; readonly more: number }> {
  const rows = await db
    .select({ name: people.name, place: wrongPins.place, tries: count(), lastAt: max(wrongPins.at) })
    .from(wrongPins)
    .innerJoin(people, eq(wrongPins.personId, people.id))
    .where(gte(wrongPins.at, since))
    .groupBy(wrongPins.personId, wrongPins.place)
    .orderBy(desc(max(wrongPins.at)));
  const told = rows.filter((r) => r.tries >= WORTH_TELLING).map((r) => ({ ...r, lastAt: r.lastAt ?? since }));
  return { shown: told.slice(0, SHOWN), more: Math.max(0, told.length - SHOWN) };
}
