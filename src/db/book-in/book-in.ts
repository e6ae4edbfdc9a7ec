import { and, eq, max } from 'drizzle-orm';
import type { Before } from '@/core/book-in/before';
import type { Complaint } from '@/core/book-in/complaint';
import { type Family, geometryAt } from '@/core/family/family';
import type { UnitKind } from '@/core/family/family-name';
import type { Material } from '@/core/family/material';
import { withPots } from '@/core/family/pots';
import { familyOf, type Variant } from '@/core/family/variant-schema';
import type { Person } from '@/core/people/role';
import { ok, type Result } from '@/core/result';
import { emptyTray } from '@/core/strip/tray';
import type { Unit } from '@/core/unit/unit-record';
import { appendEvent, applyEdits, type Changed, type ChangeError, refused } from '../engine/change-unit';
import { tellChange } from '../engine/changes';
import type { Db, Tx } from '../engine/connection';
import { digestOf } from '../engine/digest';
import { put } from '../engine/edit';
import { theShop } from '../shop/settings';
import { customers, jobs, unitEvents, units } from '../tables';

/** What is entered at the counter. */
export type Entered = {
  readonly customer: string;
  readonly phone: string;
  readonly machine: string;
  readonly family: UnitKind;
  /** The shop's variant of the family, with its id; null for the standard one. */
  readonly variant?: { readonly id: string; readonly variant: Variant } | null;
  readonly position: string;
  /** Null where there is no bore. */
  readonly nominalMm: number | null;
  /** Of a second and third pot, mm. */
  readonly morePotsMm?: readonly number[];
  readonly material: Material;
  readonly complaints: readonly Complaint[];
  readonly complaintText: string;
  readonly before?: readonly Before[];
  readonly identityMarks: string;
  readonly promisedAt: number;
};

export type BookIn = Entered & {
  /** Made by the client, so that a retry books in once. */
  readonly unitId: string;
  /** A unit that came in with it: where customer, machine and promise are the same, it is one job. */
  readonly withUnitId?: string | null;
  /** By when the plan had it ready at 9 in 10; null where it was not asked. */
  readonly heldAt?: number | null;
  /** The unit that it was when it was here before. */
  readonly comesBackFrom?: string | null;
  /** Of a practice unit, which takes none of the shop's numbers. */
  readonly tagNo?: number;
  /** Tests that the counter had made before it was booked in. */
  readonly tests?: readonly { readonly name: string; readonly answer: 'yes' | 'no' }[];
};

/** Books a unit in: its customer (the one of the same name and telephone, if there is one), its job, its tag and its empty tray. */
export async function bookIn(
  db: Db,
  person: Person,
  at: number,
  b: BookIn,
): Promise<Result<Changed & { readonly tagNo: number }, ChangeError>> {
  const digest = digestOf(b);
  const booked = await db.transaction<Result<Changed & { readonly tagNo: number }, ChangeError>>(async (tx) => {
    const [repeated] = await tx
      .select({ unitId: units.id, version: units.version, tagNo: units.tagNo })
      .from(units)
      .where(eq(units.id, b.unitId));
    if (repeated !== undefined) {
      const [first] = await tx
        .select()
        .from(unitEvents)
        .where(eq(unitEvents.id, `${b.unitId}-booked-in`));
      const same = first?.personId === person.id && (first.digest === null || first.digest === digest);
      return same ? ok(repeated) : refused('That number belongs to another unit: load the page anew and book it in again.');
    }
    if (b.promisedAt < at) return refused(IN_THE_PAST);
    const jobId = (await jobOf(tx, b)) ?? (await newJob(tx, b.unitId, b, at));
    const [last] = await tx.select({ tagNo: max(units.tagNo) }).from(units);
    const tagNo = b.tagNo ?? Math.max((last?.tagNo ?? 0) + 1, (await theShop(tx)).settings.nextTag);
    const family = familyEntered(b);
    const unit = {
      id: b.unitId,
      jobId,
      tagNo,
      family: b.family,
      variantId: b.variant?.id ?? null,
      position: b.position,
      identityMarks: b.identityMarks,
      complaints: b.complaints,
      complaintText: b.complaintText,
      before: b.before ?? [],
      material: b.material,
      ...boresEntered(family, b, at),
      pistonDiaMm: null,
      dueAt: b.promisedAt,
      createdAt: at,
      version: 1,
      changedAt: at,
      station: 'strip' as const,
      outcome: null,
      targetDiaMm: null,
      boreChangedAt: at,
      exit: null,
      exitAt: null,
      comesBackFrom: b.comesBackFrom ?? null,
      branch: person.branch ?? null,
      goesTo: null,
      heldAt: b.heldAt ?? null,
    };
    const tray = emptyTray(family, (slot) => `${b.unitId}-${slot.id}`);
    const step = {
      id: `${b.unitId}-book-in`,
      unitId: b.unitId,
      station: 'book-in' as const,
      at,
      personId: person.id,
      note: '',
      override: null,
      unmet: [],
    };
    const applied = await applyEdits(tx, b.unitId, [
      put('units', unit),
      put('steps', step),
      ...tray.map((part) => put('parts', { ...part, unitId: b.unitId })),
      ...(b.tests ?? []).map((t) =>
        put('findings', { id: `${b.unitId}-test-${t.name}`, unitId: b.unitId, at, personId: person.id, about: 'test' as const, ...t }),
      ),
    ]);
    if (!applied.ok) return applied;
    const event = { eventId: `${b.unitId}-booked-in`, unitId: b.unitId, person, at, kind: 'booked-in' as const, note: '', digest };
    await appendEvent(tx, event, 1, applied.value);
    return ok({ unitId: b.unitId, version: 1, tagNo });
  });
  if (booked.ok) tellChange({ unitId: b.unitId, tagNo: booked.value.tagNo, kind: 'booked-in', personId: person.id, by: person.name });
  return booked;
}

/** The family as it was entered, with as many pots. */
export const familyEntered = (e: Pick<Entered, 'family' | 'variant' | 'morePotsMm'>): Family =>
  withPots(familyOf(e.family, e.variant?.variant ?? null), 1 + (e.morePotsMm ?? []).length);

/** The bores of a unit as its family draws them at the sizes that were entered. @param at since when they are as they are, ms */
export const boresEntered = (
  { drawing }: Pick<Family, 'drawing'>,
  { nominalMm, morePotsMm = [], material }: Pick<Entered, 'nominalMm' | 'morePotsMm' | 'material'>,
  at: number,
): Pick<Unit, 'geometry' | 'morePots'> =>
  drawing === null || nominalMm === null
    ? { geometry: null, morePots: [] }
    : {
        geometry: geometryAt(drawing, nominalMm),
        morePots: morePotsMm.map((mm) => ({ geometry: geometryAt(drawing, mm), material, boreChangedAt: at })),
      };

/** Said of a promise that nobody can keep. */
export const IN_THE_PAST = 'It cannot be promised for a time that is over.';

type Brought = Pick<Entered, 'customer' | 'phone' | 'machine' | 'promisedAt'>;

/** The job of the unit that came in with this one, where all that a job says is the same. */
const jobOf = async (tx: Tx, b: BookIn): Promise<string | undefined> => {
  if (b.withUnitId == null) return undefined;
  const [job] = await tx
    .select({ id: jobs.id })
    .from(units)
    .innerJoin(jobs, eq(units.jobId, jobs.id))
    .innerJoin(customers, eq(jobs.customerId, customers.id))
    .where(
      and(
        eq(units.id, b.withUnitId),
        eq(customers.name, b.customer),
        eq(customers.phone, b.phone),
        eq(jobs.machine, b.machine),
        eq(jobs.promisedAt, b.promisedAt),
      ),
    );
  return job?.id;
};

/** A job, with its customer: the one of the same name and telephone, if there is one. @param key names it apart from every other */
export const newJob = async (tx: Tx, key: string, { customer, phone, machine, promisedAt }: Brought, at: number): Promise<string> => {
  const known = await tx.select().from(customers).where(eq(customers.name, customer));
  const same = known.find((c) => c.phone === phone && c.erasedAt === null);
  const customerId = same?.mergedInto ?? same?.id ?? `${key}-customer`;
  await tx.insert(customers).values({ id: customerId, name: customer, phone, createdAt: at }).onConflictDoNothing();
  const id = `${key}-job`;
  await tx.insert(jobs).values({ id, customerId, machine, promisedAt, createdAt: at });
  return id;
};
