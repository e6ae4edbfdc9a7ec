import { may } from '@/core/people/role';
import { unmeasuredPistons } from '@/core/strip/pistons';
import { lookedAgain } from '@/core/strip/treatment';
import { beforeCutOf } from '@/core/unit/before-cut';
import { customersUnit } from '@/core/unit/customers-unit';
import { currentGauging, currentVerdict, factsOf } from '@/core/unit/facts-of';
import { gaugedSets } from '@/core/unit/gauged-before';
import { judgeInputOf } from '@/core/unit/judge-input';
import { theDb } from '@/db/engine/connection';
import { makersLimitOf } from '@/db/judge/makers-limit';
import { LookedAgain } from '@/ui/clean/clean';
import { AskCustomer } from '@/ui/customer/ask-customer';
import { Judge } from '@/ui/judge/judge';
import { MakersLimitBox, OverruleBox } from '@/ui/judge/judge-boxes';
import { StationFrame } from '@/ui/unit/station-frame';
import { NoBore } from '../_station/no-bore';
import { NotNow } from '../_station/not-now';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('judge');

export default stationPage('judge', async (at) => {
  const { bore: record, stop, atWork, rules, ledger } = at;
  const verdict = currentVerdict(record);
  const { geometry } = record.unit;
  if (geometry === null) return <NoBore ledger={ledger} />;
  const limit = await makersLimitOf(await theDb(), record, at.pot);
  const input = judgeInputOf(record, { marks: [], school: null, wallMm: null, makersLimit: limit });
  const gauging = currentGauging(record);
  if (input === undefined || gauging === undefined)
    return (
      <StationFrame title="JUDGE" ledger={ledger} aside={<NotNow stop={stop} />}>
        <p className="border border-dashed border-line p-8 text-center text-ink2">
          {input === undefined
            ? `Not measured: ${
                unmeasuredPistons(record.tray)
                  .map((p) => p.name)
                  .join(', ') || 'any piston'
              }. A lead reopens Strip, and the diameter is entered there: the limit of the bore rests on it.`
            : 'Gauge the bore first: every mark is judged against what the bore measures where it lies.'}
        </p>
      </StationFrame>
    );
  return (
    <Judge
      key={`${gauging.id} ${record.verdicts.length}`}
      input={input}
      marks={record.marks}
      beforeCut={beforeCutOf(record, rules)}
      photos={record.photos}
      geometry={geometry}
      saved={verdict && { at: verdict.at, answer: verdict.answer }}
      underlay={record.underlays.at(-1) ?? null}
      earlier={gaugedSets(record, rules, gauging)}
      ledger={
        <>
          {atWork && !lookedAgain(record.treatments) && <LookedAgain />}
          {verdict !== undefined && <SavedNote reasons={verdict.answer.reasons} overruled={verdict.overrule !== null} />}
          {verdict !== undefined && at.inShop && may(at.person.role, 'override') && <OverruleBox />}
          {verdict !== undefined && (
            <AskCustomer
              key={`${verdict.id} ${record.approvals.length}`}
              customer={record.job.customer}
              told={{
                ...customersUnit(record),
                answer: verdict.answer,
              }}
              dueAt={record.unit.dueAt}
              asked={record.approvals.filter((a) => a.verdictId === verdict.id).at(-1)}
              needed={verdict.answer.outcome === 'sleeve' && factsOf(record).approval === 'to-ask'}
              open={at.inShop}
            />
          )}
          {at.inShop && may(at.person.role, 'rules') && (
            <MakersLimitBox
              key={`${limit?.maxDiaMm}`}
              limit={limit}
              fitment={`every ${record.family.label.toLowerCase()} ${record.unit.position} of ${record.job.machine}`}
            />
          )}
          {ledger}
        </>
      }
    />
  );
});

/** The judgement on record, where a lead decided otherwise. */
const SavedNote = ({ reasons, overruled }: { readonly reasons: readonly string[]; readonly overruled: boolean }) =>
  overruled && <p className="mb-4 border-l-4 border-amber pl-3">{reasons[0]}</p>;
