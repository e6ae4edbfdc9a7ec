import { benchOf } from '@/core/bench/bench-record';
import { SetStation } from '@/ui/set/set-station';
import { StationFrame } from '@/ui/unit/station-frame';
import { saveGapAction } from '../../../../actions/set';
import { SignOffAside } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('set');

export default stationPage('set', (at) => {
  const { windowMinMm, windowMaxMm, gapTargetMm } = at.rules;
  return (
    <StationFrame title="SET · pushrod gap" ledger={at.ledger} aside={<SignOffAside at={at} text="Gap set" />}>
      <SetStation
        target={at.target}
        gaps={benchOf(at.record.bench, 'gap')}
        rules={{ windowMinMm, windowMaxMm, gapTargetMm }}
        units={at.units}
        saveGap={saveGapAction}
        open={at.atWork}
        now={at.now}
      />
    </StationFrame>
  );
});
