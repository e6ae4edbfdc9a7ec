import { BoreChange } from '@/ui/stations/bore-change';
import { StationFrame } from '@/ui/unit/station-frame';
import { boreChangedAction } from '../../../../actions/bore';
import { NotNow } from '../_station/not-now';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('sleeve');

export default stationPage('sleeve', (at) => (
  <StationFrame title="SLEEVE · outside work" ledger={at.ledger} aside={<NotNow stop={at.stop} />}>
    <BoreChange target={at.target} station="sleeve" open={at.atWork} boreChanged={boreChangedAction} />
  </StationFrame>
));
