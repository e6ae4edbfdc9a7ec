import { Confirmed } from '../_station/confirmed';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('set');

export default stationPage('set', (at) => (
  <Confirmed
    at={at}
    title="SET"
    points={[
      'Pushrod length as the old unit’s, or as the manual gives it.',
      'There is a gap: the piston comes back to its stop by itself.',
    ]}
    noteLabel="Gap as measured, and how"
    text="Set"
  />
));
