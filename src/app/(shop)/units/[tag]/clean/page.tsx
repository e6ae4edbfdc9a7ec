import { cleaningBody, cleaningFor, drillingsOf } from '@/core/clean/cleaning';
import { Clean } from '@/ui/clean/clean';
import { StationFrame } from '@/ui/unit/station-frame';
import { SignOffAside } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('clean');

export default stationPage('clean', (at) => {
  const { unit, family, tray, treatments } = at.record;
  return (
    <StationFrame title="CLEAN" ledger={at.ledger} aside={<SignOffAside at={at} text="Clean and dry" />}>
      <Clean
        advice={cleaningFor(cleaningBody(unit.material, tray))}
        drillings={drillingsOf(family, unit.geometry, tray)}
        treatments={treatments}
        judged={unit.geometry !== null}
      />
    </StationFrame>
  );
});
