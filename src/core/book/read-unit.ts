import type { Job } from '../book-in/job';
import { tagOf, type Unit, type UnitRecord } from '../unit/unit-record';
import type { ReadRecord, ReadUnit } from './read-schemas';

/** A unit as it is read elsewhere. */
export const readUnitOf = (u: Unit, job: Pick<Job, 'machine' | 'customerId'>): ReadUnit => ({
  id: u.id,
  tag: tagOf(u),
  family: u.family,
  material: u.material,
  machine: job.machine,
  position: u.position,
  customerId: job.customerId,
  nominalMm: u.geometry?.nominalMm ?? null,
  station: u.station,
  outcome: u.outcome,
  targetDiaMm: u.targetDiaMm,
  bookedInAt: u.createdAt,
  dueAt: u.dueAt,
  changedAt: u.changedAt,
  exit: u.exit,
  exitAt: u.exitAt,
  comesBackFrom: u.comesBackFrom,
  branch: u.branch,
  version: u.version,
});

/** A unit with its record. */
export const readRecordOf = (r: UnitRecord): ReadRecord => ({
  ...readUnitOf(r.unit, r.job),
  complaints: [...r.unit.complaints],
  parts: r.tray.map(({ slotId, kind, name, found, condition, fate }) => ({ slotId, kind, name, found, condition, fate })),
  gaugings: r.gaugings.map(({ at, pot, readings }) => ({
    at,
    pot,
    readings: readings.map(({ xMm, clockDeg, diaMm }) => ({ xMm, clockDeg, diaMm })),
  })),
  verdicts: r.verdicts.map(({ at, pot, answer: { outcome, limitDiaMm, targetDiaMm, marginMm, confidence } }) => ({
    at,
    pot,
    outcome,
    limitDiaMm,
    targetDiaMm,
    marginMm,
    confidence,
  })),
  steps: r.steps.map(({ station, at, override }) => ({ station, at, override })),
  runs: r.runs.map(({ id, startedAt, step, state, outcome, sentence }) => ({
    id,
    at: startedAt,
    stepId: step.id,
    state,
    outcome,
    sentence,
  })),
});
