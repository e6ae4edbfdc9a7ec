import { theDb } from '@/db/connection';
import { earlierHolds, lastRunOf } from '@/db/stations/prove';
import { Booster } from '@/ui/pedal-end/booster';
import { Prove } from '@/ui/stations/prove';
import { StationFrame } from '@/ui/unit/station-frame';
import { noteAtBenchAction, saveVacuumAction } from '../../../../actions/close-up';
import { abortRunAction, holdLongerAction, startRunAction } from '../../../../actions/prove';
import { NotNow } from '../_station/not-now';
import { SignOff, SignOffAside } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('prove');

export default stationPage('prove', async (at) => {
  const { unit, family, runs } = at.record;
  if (family.proof === 'by-hand')
    return (
      <StationFrame title="PROVE · by hand" ledger={at.ledger} aside={<SignOffAside at={at} text="Proved by hand" />}>
        <Booster
          target={at.target}
          bench={at.record.bench}
          rules={{ vacuumDropKPa: at.rules.vacuumDropKPa }}
          units={at.units}
          note={noteAtBenchAction}
          saveVacuum={saveVacuumAction}
          open={at.atWork}
        />
      </StationFrame>
    );
  const db = await theDb();
  const last = await lastRunOf(db, unit.id);
  return (
    <Prove
      target={at.target}
      units={at.units}
      runs={runs}
      last={last}
      earlier={last === undefined || runs.length < 2 ? [] : await earlierHolds(db, last)}
      actions={{ start: startRunAction, abort: abortRunAction, holdLonger: holdLongerAction }}
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
