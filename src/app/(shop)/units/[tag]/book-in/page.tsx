import { may } from '@/core/people/role';
import { tagOf } from '@/core/unit/unit-record';
import { Go } from '@/ui/shell/go';
import { UnitCauses } from '@/ui/strip/unit-causes';
import { StationFrame } from '@/ui/unit/station-frame';
import { findAction } from '../../../../actions/book-in';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('book-in');

export default stationPage('book-in', ({ record, target, person, inShop, ledger }) => (
  <StationFrame title="BOOKED IN" ledger={ledger}>
    <div className="grid gap-3 border border-line bg-sheet p-4">
      <p>
        {record.job.customer}, {record.job.phone}
      </p>
      <p>{record.unit.identityMarks === '' ? 'No marks noted.' : `Marks on it: ${record.unit.identityMarks}`}</p>
      <p className="flex flex-wrap items-center gap-3">
        <span>{record.identity === null ? 'Which fitment it is has not been told.' : `It is: ${record.identity.label}.`}</span>
        <Go className="btn-quiet" href={`/kits/identify?unit=${tagOf(record.unit)}`}>
          What is this unit?
        </Go>
      </p>
      <div className="flex gap-3">
        <a className="btn" href={`/api/v1/units/${tagOf(record.unit)}/label.pdf`} target="_blank" rel="noreferrer">
          Print the label
        </a>
        <a className="btn-quiet" href={`/api/v1/units/${tagOf(record.unit)}/traveller.pdf`} target="_blank" rel="noreferrer">
          Print the traveller
        </a>
        <a className="btn-quiet" href={`/api/v1/units/${tagOf(record.unit)}/label.svg`} target="_blank" rel="noreferrer">
          Label as SVG
        </a>
      </div>
    </div>
    <div className="mt-4">
      <UnitCauses target={target} tag={tagOf(record.unit)} find={findAction} open={inShop && may(person.role, 'book-in')} />
    </div>
  </StationFrame>
));
