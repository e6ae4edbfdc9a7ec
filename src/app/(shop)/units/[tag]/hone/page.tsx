import { sayDia } from '@/core/quantity/say';
import { currentVerdict } from '@/core/unit/facts-of';
import { BoreChange } from '@/ui/stations/bore-change';
import { StationFrame } from '@/ui/unit/station-frame';
import { boreChangedAction } from '../../../../actions/bore';
import { Confirmed } from '../_station/confirmed';
import { NotNow } from '../_station/not-now';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('hone');

export default stationPage('hone', (at) => {
  const answer = currentVerdict(at.record)?.answer;
  if (answer?.outcome === 'polish')
    return (
      <Confirmed
        at={at}
        title="POLISH"
        points={['Marked places polished by hand with fine paper and fluid; nothing cut.', 'Washed out, dry, no grit in ports or grooves.']}
        noteLabel="With what"
        text="Polished and washed"
      />
    );
  return (
    <StationFrame title="HONE" ledger={at.ledger} aside={<NotNow stop={at.stop} />}>
      {answer?.targetDiaMm != null && (
        <p className="mb-4 text-2xl">
          Cut to <b>{sayDia(answer.targetDiaMm, at.units)}</b> {at.units.length}, never past {sayDia(answer.limitDiaMm, at.units)}
        </p>
      )}
      <BoreChange target={at.target} station="hone" open={at.atWork} boreChanged={boreChangedAction} />
    </StationFrame>
  );
});
