import { relations } from 'drizzle-orm';
import { HANGING } from '../records/registry';
import { customers, familyVariants, gaugings, instruments, jobs, readings, ringChecks, units } from '../tables';

// What hangs on what, so that a whole unit is read by one statement.

export const unitRelations = relations(units, ({ one }) => ({
  job: one(jobs, { fields: [units.jobId], references: [jobs.id] }),
  variant: one(familyVariants, { fields: [units.variantId], references: [familyVariants.id] }),
}));
export const jobRelations = relations(jobs, ({ one }) => ({
  customer: one(customers, { fields: [jobs.customerId], references: [customers.id] }),
}));
export const gaugingRelations = relations(gaugings, ({ many }) => ({ readings: many(readings) }));
export const readingRelations = relations(readings, ({ one }) => ({
  gauging: one(gaugings, { fields: [readings.gaugingId], references: [gaugings.id] }),
}));
export const instrumentRelations = relations(instruments, ({ many }) => ({ checks: many(ringChecks) }));
export const ringCheckRelations = relations(ringChecks, ({ one }) => ({
  instrument: one(instruments, { fields: [ringChecks.instrumentId], references: [instruments.id] }),
}));

/** A unit has many of everything that hangs on it, and each of those has one unit: as the registry says. */
export const hangingRelations: Readonly<Record<string, ReturnType<typeof relations>>> = Object.fromEntries(
  Object.values(HANGING).flatMap(({ name, table }) => [
    [`${name}OfUnit`, relations(units, ({ many }) => ({ [name]: many(table) }))],
    [`unitOf${name}`, relations(table, ({ one }) => ({ unit: one(units, { fields: [table.unitId], references: [units.id] }) }))],
  ]),
);
