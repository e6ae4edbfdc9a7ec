import { rinseFaults, sayWhyNot } from '@/core/route/why-not';
import { hungPhotos } from '@/core/unit/shown-photos';
import { tagOf } from '@/core/unit/unit-record';
import { CloseUp } from '@/ui/stations/close-up';
import { recordPartAction } from '../../../../actions/strip';
import { NotNow } from '../_station/not-now';
import { SignOff } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('close-up');

export default stationPage('close-up', (at) => (
  <CloseUp
    target={at.target}
    family={at.record.family}
    tray={at.record.tray}
    kits={at.record.setAside.map((s) => s.number)}
    photos={hungPhotos(at.record)}
    recordPart={recordPartAction}
    first={rinseFaults(at.record).map(sayWhyNot)}
    cleanHref={`/units/${tagOf(at.record.unit)}/clean`}
    open={at.atWork}
    ledger={
      <>
        <NotNow stop={at.stop} />
        {at.ledger}
      </>
    }
  >
    <SignOff at={at} text="Closed up" />
  </CloseUp>
));
