import { boreDrawings } from '@/core/unit/bore-drawing';
import { shortOf, spareIn } from '@/core/unit/facts-of';
import { namedNeeds, rankedKits, shortPart } from '@/core/unit/ranked-kits';
import { theDb } from '@/db/engine/connection';
import { fitmentIndex } from '@/db/identify/fitments';
import { wholeStore } from '@/db/store/catalogue';
import { lotFindings } from '@/db/store/findings';
import { Kit } from '@/ui/kit/kit';
import { StationFrame } from '@/ui/unit/station-frame';
import { SignOffAside } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('kit');

/** Kits that are shown, the best first. */
const SHOWN = 12;

export default stationPage('kit', async (at) => {
  const { record } = at;
  const needs = namedNeeds(record);
  const db = await theDb();
  const store = await wholeStore(db, at.now);
  const ranked = rankedKits(needs, store, SHOWN);
  const fitment = record.identity && (await fitmentIndex(db)).byId.get(record.identity.fitmentId);
  const short = record.setAside.length === 0 ? [] : shortOf(record).map((need) => shortPart(record, need, store));
  return (
    <StationFrame title="KIT · ranked by what it covers" ledger={at.ledger} aside={<SignOffAside at={at} text="Kit complete" />}>
      <Kit
        needs={needs}
        ranked={ranked}
        setAside={record.setAside}
        short={short}
        named={fitment?.what.kits ?? []}
        warned={await lotFindings(db)}
        spare={spareIn(record)}
        family={record.family}
        bores={boreDrawings(record.family, record.unit)}
      />
    </StationFrame>
  );
});
