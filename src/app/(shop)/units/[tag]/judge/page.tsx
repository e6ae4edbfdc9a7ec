import { may } from '@/core/people/role';
import { lookedAgain } from '@/core/strip/treatment';
import { currentGauging, currentVerdict } from '@/core/unit/facts-of';
import { gaugedSets } from '@/core/unit/gauged-before';
import { judgeInputOf } from '@/core/unit/judge-input';
import { sayUnit, tagOf } from '@/core/unit/unit-record';
import { theDb } from '@/db/engine/connection';
import { makersLimitOf } from '@/db/judge/makers-limit';
import { LookedAgain } from '@/ui/clean/clean';
import { AskCustomer } from '@/ui/customer/ask-customer';
import { Judge } from '@/ui/judge/judge';
import { MakersLimitBox, OverruleBox } from '@/ui/judge/judge-boxes';
import { StationFrame } from '@/ui/unit/station-frame';
import {
  answerCustomerAction,
  askCustomerAction,
  layPhotoAction,
  makersLimitAction,
  overruleAction,
  saveJudgementAction,
} from '../../../../actions/judge';
import { treatAction } from '../../../../actions/strip';
import { NoBore } from '../_station/no-bore';
import { NotNow } from '../_station/not-now';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('judge');

export default stationPage('judge', async (at) => {
  const { record, target, stop, atWork, units, rules, ledger } = at;
  const verdict = currentVerdict(record);
  const { geometry } = record.unit;
  if (geometry === null) return <NoBore ledger={ledger} />;
  const limit = await makersLimitOf(await theDb(), record);
  const input = judgeInputOf(record, { marks: [], school: null, wallMm: null, makersLimit: limit });
  const gauging = currentGauging(record);
  if (input === undefined || gauging === undefined)
    return (
      <StationFrame title="JUDGE" ledger={ledger} aside={<NotNow stop={stop} />}>
        <p className="border border-dashed border-line p-8 text-center text-ink2">
          {input === undefined
            ? 'The piston has not been measured: a lead reopens Strip and its diameter is entered there. The limit rests on it.'
            : 'Gauge the bore first: every mark is judged against what the bore measures where it lies.'}
        </p>
      </StationFrame>
    );
  return (
    <Judge
      key={`${gauging.id} ${record.verdicts.length}`}
      target={target}
      tag={tagOf(record.unit)}
      input={input}
      marks={record.marks}
      photos={record.photos}
      geometry={geometry}
      units={units}
      rules={rules}
      schools={at.schools}
      saved={verdict && { at: verdict.at, answer: verdict.answer }}
      underlay={record.underlay}
      earlier={gaugedSets(record, rules, gauging)}
      now={at.now}
      layPhoto={layPhotoAction}
      save={saveJudgementAction}
      open={atWork}
      ledger={
        <>
          {atWork && !lookedAgain(record.treatments) && <LookedAgain target={target} treat={treatAction} />}
          {verdict !== undefined && <SavedNote reasons={verdict.answer.reasons} overruled={verdict.overrule !== null} />}
          {verdict !== undefined && at.inShop && may(at.person.role, 'override') && (
            <OverruleBox target={target} units={units} overrule={overruleAction} />
          )}
          {verdict !== undefined && (
            <AskCustomer
              key={`${verdict.id} ${record.approvals.length}`}
              target={target}
              customer={record.job.customer}
              suggested={`About the ${sayUnit(record)} of your ${record.job.machine}: ${verdict.answer.reasons.join(' ')} May we go on?`}
              dueAt={record.unit.dueAt}
              asked={record.approvals.filter((a) => a.verdictId === verdict.id).at(-1)}
              needed={verdict.answer.outcome === 'sleeve'}
              now={at.now}
              open={at.inShop}
              ask={askCustomerAction}
              answer={answerCustomerAction}
            />
          )}
          {at.inShop && may(at.person.role, 'rules') && (
            <MakersLimitBox
              key={`${limit?.maxDiaMm}`}
              target={target}
              limit={limit}
              fitment={`every ${record.family.label.toLowerCase()} ${record.unit.position} of ${record.job.machine}`}
              units={units}
              setLimit={makersLimitAction}
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
