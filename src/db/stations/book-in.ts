import { eq, max } from 'drizzle-orm';
import type { Material } from '@/core/bore/material';
import { defaultGeometry, FAMILIES, type WorkedFamily } from '@/core/family/family';
import type { Person } from '@/core/people/role';
import { emptyTray } from '@/core/strip/tray';
import type { Complaint } from '@/core/unit/complaint';
import { appendEvent, applyEdits, type Changed } from '../change-unit';
import type { Db } from '../connection';
import { put } from '../event-payload';
import { customers, jobs, units } from '../tables';

export type BookIn = {
  /** Made by the client, so that a retry books in once. */
  readonly unitId: string;
  readonly customer: string;
  readonly phone: string;
  readonly machine: string;
  readonly family: WorkedFamily;
  readonly position: string;
  readonly nominalMm: number;
  readonly material: Material;
  readonly complaints: readonly Complaint[];
  readonly complaintText: string;
  readonly identityMarks: string;
  readonly promisedAt: number;
};

/** Books a unit in: its customer (the one of the same name and telephone, if there is one), its job, its tag and its empty tray. */
export function bookIn(db: Db, person: Person, at: number, b: BookIn): Promise<Changed & { readonly tagNo: number }> {
  return db.transaction(async (tx) => {
    const [repeated] = await tx
      .select({ unitId: units.id, version: units.version, tagNo: units.tagNo })
      .from(units)
      .where(eq(units.id, b.unitId));
    if (repeated !== undefined) return repeated;
    const known = await tx.select().from(customers).where(eq(customers.name, b.customer));
    const customerId = known.find((c) => c.phone === b.phone)?.id ?? `${b.unitId}-customer`;
    await tx.insert(customers).values({ id: customerId, name: b.customer, phone: b.phone, createdAt: at }).onConflictDoNothing();
    const jobId = `${b.unitId}-job`;
    await tx.insert(jobs).values({
      id: jobId,
      customerId,
      machine: b.machine,
      complaints: b.complaints,
      complaintText: b.complaintText,
      promisedAt: b.promisedAt,
      createdAt: at,
    });
    const [last] = await tx.select({ tagNo: max(units.tagNo) }).from(units);
    const tagNo = (last?.tagNo ?? 0) + 1;
    const family = FAMILIES[b.family];
    const unit = {
      id: b.unitId,
      jobId,
      tagNo,
      family: b.family,
      position: b.position,
      identityMarks: b.identityMarks,
      material: b.material,
      geometry: defaultGeometry(family, b.nominalMm),
      pistonDiaMm: null,
      dueAt: b.promisedAt,
      createdAt: at,
      version: 1,
      changedAt: at,
      station: 'strip',
      outcome: null,
      targetDiaMm: null,
      boreChangedAt: at,
      exit: null,
      exitAt: null,
    };
    const tray = emptyTray(family, (slot) => `${b.unitId}-${slot.id}`);
    const step = {
      id: `${b.unitId}-book-in`,
      unitId: b.unitId,
      station: 'book-in',
      at,
      personId: person.id,
      note: '',
      override: null,
      unmet: [],
    };
    const changes = await applyEdits(tx, [
      put('units', unit),
      put('steps', step),
      ...tray.map((part, seq) => put('parts', { ...part, unitId: b.unitId, seq })),
    ]);
    await appendEvent(tx, { eventId: `${b.unitId}-booked-in`, unitId: b.unitId, person, at, kind: 'booked-in', note: '' }, 1, changes);
    return { unitId: b.unitId, version: 1, tagNo };
  });
}

/** The unit that carries a tag. */
export const unitIdOfTag = async (db: Db, tagNo: number): Promise<string | undefined> => {
  const [row] = await db.select({ id: units.id }).from(units).where(eq(units.tagNo, tagNo));
  return row?.id;
};
