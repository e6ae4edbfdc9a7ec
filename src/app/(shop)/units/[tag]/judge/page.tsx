import { lookedAgain } from '@/core/clean/treatment';
import { currentGauging } from '@/core/unit/facts-of';
import { judgeInputOf } from '@/core/unit/judge-input';
import { hungPhotos } from '@/core/unit/shown-photos';
import { LookedAgain } from '@/ui/stations/clean';
import { Judge } from '@/ui/stations/judge';
import { StationFrame } from '@/ui/unit/station-frame';
import { saveJudgementAction } from '../../../../actions/bore';
import { treatAction } from '../../../../actions/strip';
import { NoBore } from '../_station/no-bore';
import { NotNow } from '../_station/not-now';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('judge');

export default stationPage('judge', ({ record, target, stop, atWork, units, rules, ledger }) => {
  const { geometry } = record.unit;
  if (geometry === null) return <NoBore ledger={ledger} />;
  const input = judgeInputOf(record, { marks: [], school: null, wallMm: null });
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
      input={input}
      marks={record.marks}
      photos={hungPhotos(record)}
      geometry={geometry}
      units={units}
      rules={rules}
      save={saveJudgementAction}
      open={atWork}
      ledger={
        <>
          {atWork && !lookedAgain(record.treatments) && <LookedAgain target={target} treat={treatAction} />}
          {ledger}
        </>
      }
    />
  );
});
