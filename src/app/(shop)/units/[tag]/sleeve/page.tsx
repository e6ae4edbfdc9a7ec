import { boresToSleeve } from '@/core/unit/facts-of';
import { Sleeve } from '@/ui/sleeve/sleeve';
import { StationFrame } from '@/ui/unit/station-frame';
import { NoBore } from '../_station/no-bore';
import { NotNow } from '../_station/not-now';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('sleeve');

export default stationPage('sleeve', (at) => {
  const { geometry } = at.record.unit;
  if (geometry === null) return <NoBore ledger={at.ledger} />;
  const first = at.unmet.filter((u) => !u.includes('sleeved'));
  return (
    <StationFrame
      title="SLEEVE · outside work"
      ledger={at.ledger}
      aside={
        <>
          <NotNow stop={at.stop} />
          {at.atWork &&
            first.map((u) => (
              <p key={u} className="mb-4 border-l-4 border-amber pl-3">
                {u}
              </p>
            ))}
        </>
      }
    >
      <Sleeve
        dueAt={at.record.unit.dueAt}
        nominalMm={geometry.nominalMm}
        minWallMm={at.rules.sleeveMinWallMm}
        sleevings={at.record.sleevings}
        bores={at.record.unit.morePots.length === 0 ? [] : boresToSleeve(at.record).map((b) => b.name)}
      />
    </StationFrame>
  );
});
