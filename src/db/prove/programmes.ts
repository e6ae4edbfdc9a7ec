import { and, desc, eq, sql } from 'drizzle-orm';
import { FAMILIES } from '@/core/family/families';
import type { UnitKind } from '@/core/family/family-name';
import type { Programme } from '@/core/prove/programme/step';
import { StepsSchema } from '@/core/prove/programme/step-schema';
import { usualSteps } from '@/core/prove/programme/usual';
import { stored } from '@/core/schema/stored';
import type { Reader } from '../engine/connection';
import { prepared } from '../engine/prepared';
import { programmes } from '../tables';

const Steps = stored(StepsSchema);

const newestOf = prepared((db: Reader) =>
  db
    .select({ version: programmes.version, steps: programmes.steps })
    .from(programmes)
    .where(eq(programmes.family, sql.placeholder('family')))
    .orderBy(desc(programmes.version))
    .limit(1)
    .prepare(),
);

/** How the shop proves a family now: its newest version, or as it is delivered. */
export const programmeInForce = async (db: Reader, family: UnitKind): Promise<Programme> => {
  const [row] = await newestOf(db).execute({ family });
  return row === undefined ? { version: 0, steps: usualSteps(FAMILIES[family]) } : { version: row.version, steps: Steps.parse(row.steps) };
};

/** A version of a family's programme; the newest where there is none such. */
export const programmeAt = async (db: Reader, family: UnitKind, version: number): Promise<Programme> => {
  if (version === 0) return { version, steps: usualSteps(FAMILIES[family]) };
  const [row] = await db
    .select({ steps: programmes.steps })
    .from(programmes)
    .where(and(eq(programmes.family, family), eq(programmes.version, version)));
  return row === undefined ? programmeInForce(db, family) : { version, steps: Steps.parse(row.steps) };
};
