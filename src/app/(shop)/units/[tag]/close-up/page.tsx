import { newestOf } from '@/core/bench/bench-record';
import { closeUpSteps } from '@/core/close-up/guide';
import { NO_TOUCH } from '@/core/fluid/contact';
import { statedRubbers } from '@/core/fluid/rubber';
import { may } from '@/core/people/role';
import { curing, rinseFaults, sayWhyNot, unopened } from '@/core/route/why-not';
import { isExpired } from '@/core/store/article';
import { contactsWith, factsOf } from '@/core/unit/facts-of';
import { hungPhotos } from '@/core/unit/shown-photos';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { torquesOf } from '@/db/close-up/torques';
import { theDb } from '@/db/engine/connection';
import { CloseUp } from '@/ui/close-up/close-up';
import { findForgottenAction, noteAtBenchAction, noteTorqueAction } from '../../../../actions/close-up';
import { spoilPieceAction } from '../../../../actions/kit';
import { recordPartAction } from '../../../../actions/strip';
import { startWaitAction } from '../../../../actions/unit';
import { NotNow } from '../_station/not-now';
import { SignOff } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';
import { Holes } from './holes';

export const generateMetadata = titled('close-up');

const ACTIONS = {
  recordPart: recordPartAction,
  note: noteAtBenchAction,
  noteTorque: noteTorqueAction,
  findForgotten: findForgottenAction,
  startWait: startWaitAction,
  spoilPiece: spoilPieceAction,
};

export default stationPage('close-up', async (at) => {
  const { record } = at;
  const { family, tray, bench } = record;
  const touch = newestOf(bench, 'touch') ?? NO_TOUCH;
  return (
    <CloseUp
      target={at.target}
      family={family}
      tray={tray}
      steps={closeUpSteps(record, await torquesOf(await theDb(), record), at.units)}
      touch={
        contactsWith(record).length === 0 ? null : { saved: touch, stated: statedRubbers(record.setAside), treatments: record.treatments }
      }
      photos={hungPhotos(record)}
      units={at.units}
      first={firstOf(record, at.now)}
      returns={family.bore === 'none' ? undefined : factsOf(record).stroked}
      actions={ACTIONS}
      open={at.atWork}
      mayWork={at.inShop && may(at.person.role, 'bench')}
      ledger={
        <>
          <NotNow stop={at.stop} />
          <Holes at={at} />
          {at.ledger}
        </>
      }
    >
      <SignOff at={at} text="Closed up" />
    </CloseUp>
  );
});

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
