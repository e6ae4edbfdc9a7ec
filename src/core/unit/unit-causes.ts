import type { CauseName } from '../book-in/cause';
import { foundOut } from '../book-in/found-out';
import { type FinishedCounts, type Likelihoods, learned } from '../book-in/likelihoods';
import { type Evidence, type LikelyCause, likelyCauses, type NextTest, testsWorthMaking } from '../book-in/reason';
import type { UnitRecord } from './unit-record';

/** What may be behind a unit's complaint, the tests worth making next, and what was tested and found out. */
export type UnitCauses = {
  readonly likely: readonly LikelyCause[];
  readonly next: readonly NextTest[];
  readonly tests: Evidence['tests'];
  readonly confirmed: readonly CauseName[];
  /** Finished units that the likelihoods have learned from. */
  readonly finished: number;
};

export function causesOfUnit(record: UnitRecord, stated: Likelihoods, counts: FinishedCounts): UnitCauses {
  const { tests, confirmed } = foundOut(record.findings);
  const evidence = { kind: record.unit.family, complaints: record.unit.complaints, before: record.unit.before, tests };
  const likely = likelyCauses(evidence, learned(stated, counts), counts);
  const made = tests.map((t) => t.name);
  return { likely, next: testsWorthMaking(likely, made), tests, confirmed, finished: counts.units };
}
