import { desc, eq } from 'drizzle-orm';
import { FAMILIES } from '@/core/family/families';
import type { UnitKind } from '@/core/family/family-name';
import type { Person } from '@/core/people/role';
import { programmeFaults } from '@/core/prove/programme/check';
import type { Step } from '@/core/prove/programme/step';
import { fail, ok, type Result } from '@/core/result';
import type { Db, Reader } from '../engine/connection';
import { people, programmes } from '../tables';
import { programmeInForce } from './programmes';

export type ProgrammeVersion = { readonly version: number; readonly at: number; readonly by: string | null; readonly note: string };

/** All versions that the shop made of a family's programme, the newest first. */
export const programmeVersions = (db: Reader, family: UnitKind): Promise<readonly ProgrammeVersion[]> =>
  db
    .select({ version: programmes.version, at: programmes.at, by: people.name, note: programmes.note })
    .from(programmes)
    .leftJoin(people, eq(programmes.personId, people.id))
    .where(eq(programmes.family, family))
    .orderBy(desc(programmes.version));

/** Adds a version; units whose proving nobody has begun go by it from now on. @param p `after`: the version that it was made from; another in between refuses it */
export const saveProgramme = async (
  db: Db,
  person: Person,
  at: number,
  p: { readonly family: UnitKind; readonly after: number; readonly note: string; readonly steps: readonly Step[] },
): Promise<Result<{ readonly version: number }, { readonly code: 'refused'; readonly reasons: readonly string[] }>> => {
  const family = FAMILIES[p.family];
  if (family.proof !== 'rig') return fail({ code: 'refused', reasons: [`${family.label}: it is not proved on a rig.`] });
  const faults = programmeFaults(family, p.steps);
  if (faults.length > 0) return fail({ code: 'refused', reasons: faults });
  const saved = await db.transaction(async (tx) => {
    const now = await programmeInForce(tx, p.family);
    if (now.version !== p.after) return undefined;
    const version = now.version + 1;
    const id = `${p.family}-${version}`;
    await tx.insert(programmes).values({ id, family: p.family, version, steps: p.steps, at, personId: person.id, note: p.note });
    return { version };
  });
  if (saved === undefined) return fail({ code: 'refused', reasons: ['Somebody else saved this programme meanwhile: open it again.'] });
  return ok(saved);
};
