import { SetStation } from '@/ui/set/set-station';
import { StationFrame } from '@/ui/unit/station-frame';
import { signOffAction } from '../../../../actions/unit';
import { NotNow } from '../_station/not-now';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('set');

const POINTS = [
  'Pushrod length as the old unit’s, or as the manual gives it.',
  'There is a gap: the piston comes back to its stop by itself.',
];

export default stationPage('set', (at) => {
  const { windowMinMm, windowMaxMm, gapTargetMm } = at.rules;
  return (
    <StationFrame title="SET · pushrod gap" ledger={at.ledger} aside={<NotNow stop={at.stop} />}>
      <SetStation
        rules={{ windowMinMm, windowMaxMm, gapTargetMm }}
        units={at.units}
        target={at.target}
        station={at.station}
        points={POINTS}
        noteLabel="Gap as measured, and how"
        text="Set"
        unmet={[]}
        role={at.person.role}
        open={at.atWork}
        signOff={signOffAction}
      />
    </StationFrame>
  );
});
