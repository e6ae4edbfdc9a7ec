import { may } from '@/core/people/role';
import { namedNeeds, rankedKits } from '@/core/unit/ranked-kits';
import { theDb } from '@/db/connection';
import { kitStore } from '@/db/stations/kit';
import { Kit } from '@/ui/stations/kit';
import { StationFrame } from '@/ui/unit/station-frame';
import { putKitBackAction, setKitAsideAction } from '../../../../actions/kit';
import { SignOffAside } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('kit');

export default stationPage('kit', async (at) => {
  const { record, person, inShop } = at;
  const needs = namedNeeds(record);
  const signedOff = (station: string): boolean => record.steps.some((s) => s.station === station);
  return (
    <StationFrame title="KIT · ranked by what it covers" ledger={at.ledger} aside={<SignOffAside at={at} text="Kit complete" />}>
      <Kit
        target={at.target}
        needs={needs}
        ranked={rankedKits(needs, await kitStore(await theDb())).slice(0, 8)}
        setAside={record.setAside}
        units={at.units}
        open={inShop && may(person.role, 'kit') && signedOff('strip') && !signedOff('close-up')}
        actions={{ setAside: setKitAsideAction, putBack: putKitBackAction }}
      />
    </StationFrame>
  );
});
