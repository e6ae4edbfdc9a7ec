import { and, eq, gt, isNull, notExists, or, sql } from 'drizzle-orm';
import type { Station } from '@/core/station';
import { skillSigns, standBys, stationSkills, units } from '../tables';
import type { Reader } from './connection';

/** @param work a station, `its` for the one that the unit is at, or null for none */
type Asked = { readonly unitId: string; readonly personId: string; readonly work: Station | 'its' | null; readonly at: number };

/** The station that holds somebody up: it asks for a skill that they have not, and nobody who has it works along. One statement. */
export const heldUpAt = async (db: Reader, { unitId, personId, work, at }: Asked): Promise<Station | undefined> => {
  if (work === null) return undefined;
  const station = work === 'its' ? sql`(select ${units.station} from ${units} where ${units.id} = ${unitId})` : sql`${work}`;
  const has = db
    .select({ id: skillSigns.id })
    .from(skillSigns)
    .where(
      and(
        eq(skillSigns.personId, personId),
        eq(skillSigns.station, stationSkills.station),
        isNull(skillSigns.endedAt),
        or(isNull(skillSigns.until), gt(skillSigns.until, at)),
      ),
    );
  const along = db
    .select({ id: standBys.id })
    .from(standBys)
    .where(and(eq(standBys.unitId, unitId), eq(standBys.station, stationSkills.station), eq(standBys.personId, personId)));
  const [held] = await db
    .select({ station: stationSkills.station })
    .from(stationSkills)
    .where(
      and(
        sql`json_extract(${stationSkills.asks}, '$.gate') = 'holds'`,
        eq(stationSkills.station, station as never),
        notExists(has),
        notExists(along),
      ),
    );
  return held?.station;
};
