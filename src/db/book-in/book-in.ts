import { eq, max } from 'drizzle-orm';
import type { Complaint } from '@/core/book-in/complaint';
import { geometryAt } from '@/core/family/family';
import type { UnitKind } from '@/core/family/family-name';
import type { Material } from '@/core/family/material';
import { familyOf, type Variant } from '@/core/family/variant-door';
import type { Person } from '@/core/people/role';
import { ok, type Result } from '@/core/result';
import { emptyTray } from '@/core/strip/tray';
import { appendEvent, applyEdits, type Changed, type ChangeError, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { digestOf } from '../engine/digest';
import { put } from '../engine/edit';
import { customers, jobs, unitEvents, units } from '../tables';

export type BookIn = {
  /** Made by the client, so that a retry books in once. */
  readonly unitId: string;
  readonly customer: string;
  readonly phone: string;
  readonly machine: string;
  readonly family: UnitKind;
  /** The shop's variant of the family, with its id; null for the standard one. */
  readonly variant?: { readonly id: string; readonly variant: Variant } | null;
  readonly position: string;
  /** Null where there is no bore. */
  readonly nominalMm: number | null;
  readonly material: Material;
  readonly complaints: readonly Complaint[];
  readonly complaintText: string;
  readonly identityMarks: string;
  readonly promisedAt: number;
  /** The unit that it was when it was here before. */
  readonly comesBackFrom?: string | null;
  /** Tests that the counter had made before it was booked in. */
  readonly tests?: readonly { readonly name: string; readonly answer: 'yes' | 'no' }[];
};

/** Books a unit in: its customer (the one of the same name and telephone, if there is one), its job, its tag and its empty tray. */
export function bookIn(db: Db, person: Person, at: number, b: BookIn): Promise<Result<Changed & { readonly tagNo: number }, ChangeError>> {
  const digest = digestOf(b);
  return db.transaction(async (tx) => {
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
    const family = familyOf(b.family, b.variant?.variant ?? null);
    const unit = {
      id: b.unitId,
      jobId,
      tagNo,
      family: b.family,
      variantId: b.variant?.id ?? null,
      position: b.position,
      identityMarks: b.identityMarks,
      material: b.material,
      geometry: family.drawing === null || b.nominalMm === null ? null : geometryAt(family.drawing, b.nominalMm),
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
}
