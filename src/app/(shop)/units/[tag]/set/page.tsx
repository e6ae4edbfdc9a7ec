import { benchOf } from '@/core/bench/bench-record';
import type { GapWay } from '@/core/set/gap-record';
import type { UnitRecord } from '@/core/unit/unit-record';
import { SetStation } from '@/ui/set/set-station';
import { StationFrame } from '@/ui/unit/station-frame';
import { SignOffAside } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('set');

export default stationPage('set', (at) => {
  const { windowMinMm, windowMaxMm, gapTargetMm } = at.rules;
  return (
    <StationFrame title="SET · pushrod gap" ledger={at.ledger} aside={<SignOffAside at={at} text="Gap set" />}>
      <SetStation gaps={benchOf(at.record.bench, 'gap')} rules={{ windowMinMm, windowMaxMm, gapTargetMm }} usual={usualWay(at.record)} />
    </StationFrame>
  );
});

/** A hand lever has no booster, and neither has a machine that was said to have none: the gap is at the rod. */
const usualWay = ({ family, unit }: UnitRecord): GapWay =>
  family.name === 'master-lever' || unit.before.includes('no-booster') ? 'rod-play' : 'depths';
