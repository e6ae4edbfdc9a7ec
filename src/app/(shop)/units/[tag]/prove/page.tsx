import { theDb } from '@/db/connection';
import { lastRunOf } from '@/db/stations/prove';
import { Prove } from '@/ui/stations/prove';
import { abortRunAction, startRunAction } from '../../../../actions/prove';
import { Confirmed } from '../_station/confirmed';
import { NotNow } from '../_station/not-now';
import { SignOff } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('prove');

export default stationPage('prove', async (at) => {
  const { unit, family, runs } = at.record;
  if (family.proof === 'by-hand')
    return (
      <Confirmed
        at={at}
        title="PROVE · by hand"
        points={[
          'Vacuum drawn and held for a minute with the rod at rest: no fall.',
          'Held again with the rod pressed: no fall, and it returns by itself.',
          'Check valve holds one way and passes the other.',
        ]}
        noteLabel="What was read, and with what"
        text="Proved by hand"
      />
    );
  return (
    <Prove
      target={at.target}
      units={at.units}
      runs={runs}
      last={await lastRunOf(await theDb(), unit.id)}
      actions={{ start: startRunAction, abort: abortRunAction }}
      open={at.atWork}
      ledger={
        <>
          <NotNow stop={at.stop} />
          {at.ledger}
        </>
      }
    >
      {at.atWork && <SignOff at={at} text="Proved" />}
    </Prove>
  );
});
