import { foundOut } from '@/core/book-in/found-out';
import { learned } from '@/core/book-in/likelihoods';
import { likelyCauses, testsWorthMaking } from '@/core/book-in/reason';
import type { UnitRecord } from '@/core/unit/unit-record';
import { theDb } from '@/db/connection';
import { causeModel, finishedCases } from '@/db/stations/findings';
import { UnitCauses } from '@/ui/strip/unit-causes';
import { findAction } from '../../../../actions/book-in';

/** What may be behind the complaint of a unit. */
export async function CausesOf({ record, open }: { readonly record: UnitRecord; readonly open: boolean }) {
  const db = await theDb();
  const [model, cases] = await Promise.all([causeModel(db), finishedCases(db)]);
  const { tests, confirmed } = foundOut(record.findings);
  const odds = learned(model.likelihoods, cases);
  const likely = likelyCauses({ kind: record.unit.family, complaints: record.job.complaints, tests }, odds, cases);
  return (
    <UnitCauses
      target={{ unitId: record.unit.id, version: record.unit.version }}
      likely={likely}
      next={testsWorthMaking(
        likely,
        tests.map((t) => t.name),
      )}
      tests={tests}
      confirmed={confirmed}
      finished={cases.length}
      find={findAction}
      open={open}
    />
  );
}
