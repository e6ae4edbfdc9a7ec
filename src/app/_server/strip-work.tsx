import { foundOut } from '@/core/book-in/found-out';
import { learned } from '@/core/book-in/likelihoods';
import { likelyCauses, testsWorthMaking } from '@/core/book-in/reason';
import { PART_KINDS } from '@/core/family/part-kind';
import type { Units } from '@/core/quantity/units';
import type { Rules } from '@/core/rules/rule-set';
import { guideFor } from '@/core/strip/guide';
import { bodyOffers } from '@/core/strip/stuck';
import { hungPhotos } from '@/core/unit/shown-photos';
import type { UnitRecord } from '@/core/unit/unit-record';
import { theDb } from '@/db/connection';
import { causeModel, finishedCases } from '@/db/stations/findings';
import { Guide } from '@/ui/strip/guide';
import { StripViews } from '@/ui/strip/strip';
import { Stuck } from '@/ui/strip/stuck';
import { Tray } from '@/ui/strip/tray';
import { UnitCauses } from '@/ui/strip/unit-causes';
import { findAction } from '../actions/book-in';
import { addPartAction, dropPartAction, recordPartAction, tellStepAction, treatAction } from '../actions/strip';

type Props = { readonly record: UnitRecord; readonly open: boolean };

const targetOf = ({ unit }: UnitRecord) => ({ unitId: unit.id, version: unit.version });

/** The sides of stripping a unit. The guide comes first while it is being done, the tray after. */
export async function StripWork({
  record,
  units,
  rules,
  open,
  mayFind,
}: Props & { readonly units: Units; readonly rules: Rules; readonly mayFind: boolean }) {
  const { unit, family, tray } = record;
  const target = targetOf(record);
  const steps = guideFor(family, tray);
  const ticked = steps.filter((s) => record.ticks.some((t) => t.stepId === s.id)).length;
  const tries = record.treatments.filter((t) => t.state !== null).length;
  return (
    <StripViews
      start={open && ticked < steps.length ? 'guide' : 'tray'}
      views={[
        {
          id: 'guide',
          title: `Guide ${ticked} of ${steps.length}`,
          body: (
            <Guide
              target={target}
              family={family}
              tray={tray}
              ticks={record.ticks}
              photos={hungPhotos(record)}
              units={units}
              tellStep={tellStepAction}
              recordPart={recordPartAction}
              open={open}
            />
          ),
        },
        {
          id: 'tray',
          title: `Tray ${tray.filter((p) => p.found !== null).length} of ${tray.length}`,
          body: (
            <Tray
              target={target}
              family={family}
              tray={tray}
              photos={hungPhotos(record)}
              units={units}
              rules={rules}
              actions={{ recordPart: recordPartAction, addPart: addPartAction, dropPart: dropPartAction }}
              open={open}
            />
          ),
        },
        ...(unit.geometry === null || family.bore === 'none'
          ? []
          : [
              {
                id: 'stuck',
                title: tries === 0 ? 'Stuck' : `Stuck · tried ${tries}`,
                body: (
                  <Stuck
                    target={target}
                    body={{
                      boreMm: unit.geometry.nominalMm,
                      bore: family.bore,
                      material: unit.material,
                      ...bodyOffers(family),
                      plasticOrRubber: tray.some((p) => p.found === null && PART_KINDS[p.kind].stuff !== 'metal'),
                    }}
                    treatments={record.treatments}
                    units={units}
                    rules={rules}
                    treat={treatAction}
                    open={open}
                  />
                ),
              },
            ]),
        { id: 'causes', title: 'Likely causes', body: <CausesOf record={record} open={mayFind} /> },
      ]}
    />
  );
}

/** What may be behind the complaint of a unit. */
export async function CausesOf({ record, open }: Props) {
  const db = await theDb();
  const [model, cases] = await Promise.all([causeModel(db), finishedCases(db)]);
  const { tests, confirmed } = foundOut(record.findings);
  const odds = learned(model.likelihoods, cases);
  const likely = likelyCauses({ kind: record.unit.family, complaints: record.job.complaints, tests }, odds, cases);
  return (
    <UnitCauses
      target={targetOf(record)}
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
