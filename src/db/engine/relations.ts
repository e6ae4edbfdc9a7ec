import { relations } from 'drizzle-orm';
import {
  approvals,
  bags,
  benchRecords,
  customers,
  familyVariants,
  findings,
  gaugings,
  guideTicks,
  honePasses,
  identities,
  instruments,
  jobs,
  marks,
  parts,
  photos,
  readings,
  ringChecks,
  runs,
  signatures,
  sleevings,
  steps,
  timers,
  treatments,
  underlays,
  units,
  verdicts,
} from '../tables';

// What hangs on what, so that a whole unit is read by one statement.

export const unitRelations = relations(units, ({ one, many }) => ({
  job: one(jobs, { fields: [units.jobId], references: [jobs.id] }),
  variant: one(familyVariants, { fields: [units.variantId], references: [familyVariants.id] }),
  parts: many(parts),
  gaugings: many(gaugings),
  marks: many(marks),
  verdicts: many(verdicts),
  steps: many(steps),
  bags: many(bags),
  identities: many(identities),
  timers: many(timers),
  runs: many(runs),
  signatures: many(signatures),
  photos: many(photos),
  guideTicks: many(guideTicks),
  treatments: many(treatments),
  findings: many(findings),
  honePasses: many(honePasses),
  underlays: many(underlays),
  sleevings: many(sleevings),
  approvals: many(approvals),
  benchRecords: many(benchRecords),
}));

const ofUnit = (
  table:
    | typeof parts
    | typeof marks
    | typeof verdicts
    | typeof steps
    | typeof timers
    | typeof runs
    | typeof signatures
    | typeof photos
    | typeof guideTicks
    | typeof treatments
    | typeof findings
    | typeof honePasses
    | typeof underlays
    | typeof sleevings
    | typeof approvals
    | typeof bags
    | typeof identities
    | typeof benchRecords,
) => relations(table, ({ one }) => ({ unit: one(units, { fields: [table.unitId], references: [units.id] }) }));

export const partRelations = ofUnit(parts);
export const markRelations = ofUnit(marks);
export const verdictRelations = ofUnit(verdicts);
export const stepRelations = ofUnit(steps);
export const timerRelations = ofUnit(timers);
export const runRelations = ofUnit(runs);
export const signatureRelations = ofUnit(signatures);
export const photoRelations = ofUnit(photos);
export const guideTickRelations = ofUnit(guideTicks);
export const treatmentRelations = ofUnit(treatments);
export const findingRelations = ofUnit(findings);
export const honePassRelations = ofUnit(honePasses);
export const underlayRelations = ofUnit(underlays);
export const sleevingRelations = ofUnit(sleevings);
export const approvalRelations = ofUnit(approvals);
export const bagRelations = ofUnit(bags);
export const identityRelations = ofUnit(identities);
export const benchRelations = ofUnit(benchRecords);

export const jobRelations = relations(jobs, ({ one }) => ({
  customer: one(customers, { fields: [jobs.customerId], references: [customers.id] }),
}));
export const gaugingRelations = relations(gaugings, ({ one, many }) => ({
  unit: one(units, { fields: [gaugings.unitId], references: [units.id] }),
  readings: many(readings),
}));
export const readingRelations = relations(readings, ({ one }) => ({
  gauging: one(gaugings, { fields: [readings.gaugingId], references: [gaugings.id] }),
}));
export const instrumentRelations = relations(instruments, ({ many }) => ({ checks: many(ringChecks) }));
export const ringCheckRelations = relations(ringChecks, ({ one }) => ({
  instrument: one(instruments, { fields: [ringChecks.instrumentId], references: [instruments.id] }),
}));
