import { newestOf } from '@/core/bench/bench-record';
import type { Torque } from '@/core/close-up/fastening';
import { closeUpSteps } from '@/core/close-up/guide';
import { HALVES_SCREWS, sayJoined } from '@/core/close-up/joining';
import { NO_TOUCH } from '@/core/fluid/contact';
import { statedRubbers } from '@/core/fluid/rubber';
import { may } from '@/core/people/role';
import { curing, rinseFaults, sayWhyNot, unopened } from '@/core/route/why-not';
import { isExpired } from '@/core/store/article';
import { contactsWith, factsOf } from '@/core/unit/facts-of';
import { hungPhotos } from '@/core/unit/shown-photos';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { otherHalves } from '@/db/close-up/halves';
import { torquesOf } from '@/db/close-up/torques';
import { type Db, theDb } from '@/db/engine/connection';
import { CloseUp } from '@/ui/close-up/close-up';
import type { Halves } from '@/ui/close-up/join';
import { FlareHelp } from '@/ui/line/flare-help';
import { UnionLeak } from '@/ui/line/union-leak';
import { NotNow } from '../_station/not-now';
import { SignOff } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';
import { Holes } from './holes';

export const generateMetadata = titled('close-up');

export default stationPage('close-up', async (at) => {
  const { record } = at;
  const db = await theDb();
  const torques = await torquesOf(db, record);
  const { family, tray, bench } = record;
  const touch = newestOf(bench, 'touch') ?? NO_TOUCH;
  return (
    <CloseUp
      family={family}
      tray={tray}
      steps={closeUpSteps(record, torques, at.units)}
      touch={
        contactsWith(record).length === 0 ? null : { saved: touch, stated: statedRubbers(record.setAside), treatments: record.treatments }
      }
      photos={hungPhotos(record)}
      first={firstOf(record, at.now)}
      halves={await halvesOf(db, record, torques)}
      returns={family.bore === 'none' ? undefined : factsOf(record).stroked}
      mayWork={at.inShop && may(at.person.role, 'bench')}
      ledger={
        <>
          <NotNow stop={at.stop} />
          {family.name === 'hard-line' && (
            <>
              <FlareHelp />
              <UnionLeak />
            </>
          )}
          <Holes at={at} />
          {at.ledger}
        </>
      }
    >
      <SignOff at={at} text="Closed up" />
    </CloseUp>
  );
});

/** Whether it is half of a caliper, and where joining it stands. */
const halvesOf = async (db: Db, record: UnitRecord, torques: readonly Torque[]): Promise<Halves | null> => {
  const stands = factsOf(record).halves;
  if (stands === null) return null;
  const joined = newestOf(record.bench, 'joined');
  return {
    stands,
    others: await otherHalves(db, record.unit),
    torque: torques.find((t) => t.slotId === HALVES_SCREWS) ?? null,
    said: joined === undefined ? null : sayJoined(joined),
  };
};

/** What must be done before anything goes in, and where. */
const firstOf = (record: UnitRecord, now: number) => {
  const facts = factsOf(record);
  const to = (station: 'clean' | 'kit') => `/units/${tagOf(record.unit)}/${station}`;
  return [
    ...rinseFaults(facts).map((w) => ({ text: sayWhyNot(w), href: to('clean'), place: 'Clean' })),
    ...curing('close-up', facts).map((w) => ({ text: sayWhyNot(w), href: null, place: '' })),
    ...unopened(facts).map((w) => ({ text: sayWhyNot(w), href: to('kit'), place: 'Kit' })),
    ...record.setAside
      .filter((bag) => isExpired(bag, now))
      .map((bag) => ({ text: `${bag.number}, lot ${bag.lotCode}, is past its date: take another bag.`, href: to('kit'), place: 'Kit' })),
  ];
};
