import { and, asc, eq, isNull } from 'drizzle-orm';
import type { NewPin, Pin } from '@/core/plan/pin';
import { fail, ok, type Result } from '@/core/result';
import type { Db, Reader } from '../engine/connection';
import { people, pins, units } from '../tables';

type By = { readonly id: string; readonly personId: string; readonly at: number };

/** What is pinned of the units in the shop, the oldest first. */
export const openPins = async (db: Reader): Promise<readonly Pin[]> => {
  const rows = await db
    .select({
      id: pins.id,
      unitId: pins.unitId,
      kind: pins.kind,
      personId: pins.personId,
      notBeforeAt: pins.notBeforeAt,
      why: pins.why,
      by: people.name,
      madeAt: pins.madeAt,
    })
    .from(pins)
    .innerJoin(units, eq(units.id, pins.unitId))
    .innerJoin(people, eq(people.id, pins.madeBy))
    .where(and(isNull(pins.endedAt), isNull(units.exit)))
    .orderBy(asc(pins.madeAt));
  return rows.map(pinOf).filter((p) => p !== undefined);
};

type PinRow = Omit<Pin, 'kind'> & {
  readonly kind: Pin['kind'];
  readonly personId: string | null;
  readonly notBeforeAt: number | null;
};
/** Undefined where a row of before does not say what its kind needs. */
const pinOf = ({ kind, personId, notBeforeAt, ...pin }: PinRow): Pin | undefined => {
  switch (kind) {
    case 'first':
      return { ...pin, kind };
    case 'person':
      return personId === null ? undefined : { ...pin, kind, personId };
    case 'not-before':
      return notBeforeAt === null ? undefined : { ...pin, kind, at: notBeforeAt };
  }
};

/** Pins a unit; the one of the same kind before it ends. */
export const addPin = (db: Db, by: By, pin: NewPin): Promise<Result<null, { readonly code: 'no-such-unit' }>> =>
  db.transaction(async (tx) => {
    const [unit] = await tx
      .select({ id: units.id })
      .from(units)
      .where(and(eq(units.id, pin.unitId), isNull(units.exit)));
    if (unit === undefined) return fail({ code: 'no-such-unit' as const });
    const row = {
      id: by.id,
      unitId: pin.unitId,
      kind: pin.kind,
      personId: pin.kind === 'person' ? pin.personId : null,
      notBeforeAt: pin.kind === 'not-before' ? pin.at : null,
      why: pin.why,
      madeBy: by.personId,
      madeAt: by.at,
    };
    await tx
      .update(pins)
      .set({ endedBy: by.personId, endedAt: by.at })
      .where(and(eq(pins.unitId, pin.unitId), eq(pins.kind, pin.kind), isNull(pins.endedAt)));
    await tx.insert(pins).values(row);
    return ok(null);
  });

/** Takes a pin off; one that is off already stays so. */
export const endPin = async (db: Db, by: { readonly personId: string; readonly at: number }, id: string): Promise<void> => {
  await db
    .update(pins)
    .set({ endedBy: by.personId, endedAt: by.at })
    .where(and(eq(pins.id, id), isNull(pins.endedAt)));
};
