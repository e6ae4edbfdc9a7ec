import { and, asc, desc, eq, isNull } from 'drizzle-orm';
import { may, type Person } from '@/core/people/role';
import { isMet, kindsMet, monthsOn, type SignedSkill, skillAt, type Try } from '@/core/practice/skill';
import { NO_ASKS, type StationAsks, StationAsksSchema } from '@/core/practice/skill-schemas';
import { ok, type Result } from '@/core/result';
import { stored } from '@/core/schema/stored';
import { STATION_WORDS, STATIONS, type Station } from '@/core/station';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Reader } from '../engine/connection';
import { tellShop } from '../shop/shop-events';
import { people, practiceTries, skillSigns, standBys, stationSkills } from '../tables';

const Kept = stored(StationAsksSchema);
export type AsksByStation = { readonly [S in Station]: StationAsks };

/** What each station asks. */
export const asksNow = async (db: Reader): Promise<AsksByStation> => {
  const rows = await db.select().from(stationSkills);
  const of = (station: Station): StationAsks => {
    const row = rows.find((r) => r.station === station);
    return row === undefined ? NO_ASKS : (Kept.safeParse(row.asks).data ?? NO_ASKS);
  };
  return Object.fromEntries(STATIONS.map((s) => [s, of(s)])) as AsksByStation;
};

/** Every skill that was ever signed off, the newest first. */
export const signedSkills = async (db: Reader): Promise<readonly SignedSkill[]> => {
  const { id, personId, station, at, words, practised, until, endedAt } = skillSigns;
  return db
    .select({ id, personId, station, at, by: people.name, words, practised, until, endedAt })
    .from(skillSigns)
    .innerJoin(people, eq(skillSigns.byId, people.id))
    .orderBy(desc(at));
};

/** What somebody has practised, as skills ask for it. */
export const triesOf = (db: Reader, personId: string): Promise<readonly Try[]> =>
  db
    .select({
      kind: practiceTries.kind,
      level: practiceTries.level,
      at: practiceTries.at,
      right: practiceTries.right,
      hints: practiceTries.hints,
    })
    .from(practiceTries)
    .where(eq(practiceTries.personId, personId))
    .orderBy(asc(practiceTries.at));

type By = { readonly personId: string; readonly at: number };

/** Says what a station asks, and writes down that it was said. */
export const saveAsks = (db: Db, by: By, station: Station, asks: StationAsks): Promise<void> =>
  db.transaction(async (tx) => {
    const row = { station, asks };
    await tx.insert(stationSkills).values(row).onConflictDoUpdate({ target: stationSkills.station, set: row });
    const holds = asks.gate === 'holds' ? 'holds up who lacks the skill' : 'holds nobody up';
    const kinds = Object.keys(asks.kinds).length;
    await tellShop(tx, {
      ...by,
      kind: 'skill-asked',
      lines: [`${STATION_WORDS[station]}: ${kinds === 1 ? 'one kind' : `${kinds} kinds`} of exercises, ${asks.inARow} in a row; ${holds}`],
    });
  });

/** Signs a skill off, after real work was watched. Nobody signs their own; the same one sent twice is signed once. */
export const signSkill = async (
  db: Db,
  by: By,
  s: { readonly id: string; readonly personId: string; readonly station: Station; readonly words: string },
): Promise<Result<null, ChangeError>> =>
  s.personId === by.personId
    ? refused('Somebody else watches you and signs.')
    : db.transaction(async (tx) => {
        const [person] = await tx
          .select()
          .from(people)
          .where(and(eq(people.id, s.personId), isNull(people.leftAt)));
        if (person === undefined) return refused('There is no such person in the shop.');
        const asks = (await asksNow(tx))[s.station];
        const practised = isMet(kindsMet(asks, await triesOf(tx, s.personId), by.at));
        const until = asks.lastsMonths === null ? null : monthsOn(by.at, asks.lastsMonths);
        const added = await tx
          .insert(skillSigns)
          .values({ ...s, at: by.at, byId: by.personId, practised, until, endedAt: null })
          .onConflictDoNothing();
        if (added.rowsAffected === 0) return ok(null);
        await tellShop(tx, {
          ...by,
          kind: 'skill-signed',
          about: s.personId,
          lines: [`${person.name}, ${STATION_WORDS[s.station]}: ${s.words}${practised ? '' : '; not all that it asks was practised'}`],
        });
        return ok(null);
      });

/** Ends a skill before its time. */
export const endSkill = (db: Db, by: By, id: string): Promise<Result<null, ChangeError>> =>
  db.transaction(async (tx) => {
    const [was] = await tx
      .select({ name: people.name, station: skillSigns.station, personId: people.id })
      .from(skillSigns)
      .innerJoin(people, eq(skillSigns.personId, people.id))
      .where(and(eq(skillSigns.id, id), isNull(skillSigns.endedAt)));
    if (was === undefined) return refused('There is no such skill, or it has ended already.');
    await tx.update(skillSigns).set({ endedAt: by.at }).where(eq(skillSigns.id, id));
    await tellShop(tx, { ...by, kind: 'skill-ended', about: was.personId, lines: [`${was.name}, ${STATION_WORDS[was.station]}`] });
    return ok(null);
  });

/** Who may work along at a station: whoever has its skill, and where nobody else has it, leads and the owner. */
const whoMayStandBy = (
  station: Station,
  personId: string,
  all: readonly Person[],
  signed: readonly SignedSkill[],
  now: number,
): readonly Person[] => {
  const others = all.filter((p) => p.id !== personId);
  const skilled = others.filter((p) => skillAt(signed, p.id, station, now) !== undefined);
  return skilled.length > 0 ? skilled : others.filter((p) => may(p.role, 'teach'));
};

/** Who may work along with somebody at a station, of those who are here. */
export const standBysFor = async (
  db: Reader,
  station: Station,
  personId: string,
  all: readonly Person[],
  now: number,
): Promise<readonly Person[]> => whoMayStandBy(station, personId, all, await signedSkills(db), now);

/** Writes down who works along with whom, on the unit's record. The caller has checked the PIN. */
export const standBy = (db: Db, change: Change, station: Station, helper: Person): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async ({ unit }, at, tx) => {
    const [staff, signed] = await Promise.all([tx.select().from(people).where(isNull(people.leftAt)), signedSkills(tx)]);
    if (!whoMayStandBy(station, change.person.id, staff, signed, at).some((p) => p.id === helper.id))
      return refused(`${helper.name} is not signed off for ${STATION_WORDS[station]} either.`);
    await tx
      .insert(standBys)
      .values({ id: change.eventId, unitId: unit.id, station, personId: change.person.id, withId: helper.id, at })
      .onConflictDoNothing();
    return ok([]);
  });
