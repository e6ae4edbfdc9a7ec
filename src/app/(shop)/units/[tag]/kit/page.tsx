import { may } from '@/core/people/role';
import { shortOf, spareIn } from '@/core/unit/facts-of';
import { namedNeeds, rankedKits, shortPart } from '@/core/unit/ranked-kits';
import { tagOf } from '@/core/unit/unit-record';
import { theDb } from '@/db/engine/connection';
import { fitmentIndex } from '@/db/identify/fitments';
import { wholeStore } from '@/db/store/catalogue';
import { lotFindings } from '@/db/store/findings';
import { Kit } from '@/ui/kit/kit';
import { StationFrame } from '@/ui/unit/station-frame';
import {
  keepSurplusAction,
  measureNeedAction,
  openBagAction,
  putBackAction,
  reuseOldAction,
  setAsideAction,
  takeSetAction,
} from '../../../../actions/kit';
import { SignOffAside } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('kit');

/** Kits that are shown, the best first. */
const SHOWN = 12;
const ACTIONS = {
  setAside: setAsideAction,
  putBack: putBackAction,
  openBag: openBagAction,
  measure: measureNeedAction,
  takeSet: takeSetAction,
  reuse: reuseOldAction,
  keep: keepSurplusAction,
};

export default stationPage('kit', async (at) => {
  const { record, person, inShop } = at;
  const needs = namedNeeds(record);
  const db = await theDb();
  const store = await wholeStore(db, at.now);
  const ranked = rankedKits(needs, store, SHOWN);
  const fitment = record.identity && (await fitmentIndex(db)).byId.get(record.identity.fitmentId);
  const short = record.setAside.length === 0 ? [] : shortOf(record).map((need) => shortPart(record, need, store));
  const signedOff = (station: string): boolean => record.steps.some((s) => s.station === station);
  return (
    <StationFrame title="KIT · ranked by what it covers" ledger={at.ledger} aside={<SignOffAside at={at} text="Kit complete" />}>
      <Kit
        target={at.target}
        tag={tagOf(record.unit)}
        needs={needs}
        ranked={ranked}
        setAside={record.setAside}
        short={short}
        named={fitment?.what.kits ?? []}
        warned={await lotFindings(db)}
        spare={spareIn(record)}
        units={at.units}
        now={at.now}
        open={inShop && may(person.role, 'kit') && signedOff('strip') && !signedOff('close-up')}
        family={record.family}
        geometry={record.unit.geometry}
        actions={ACTIONS}
      />
    </StationFrame>
  );
});
