import { may } from '@/core/people/role';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { theDb } from '@/db/engine/connection';
import { currentVariants } from '@/db/family/variants';
import { Correct } from '@/ui/book-in/correct';
import { Go } from '@/ui/shell/go';
import { UnitCauses } from '@/ui/strip/unit-causes';
import { StationFrame } from '@/ui/unit/station-frame';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('book-in');

export default stationPage('book-in', async ({ record, person, inShop, ledger }) => (
  <StationFrame title="BOOKED IN" ledger={ledger}>
    <div className="grid gap-3 border border-line bg-sheet p-4">
      <p>{[record.job.customer, record.job.phone].filter(Boolean).join(', ')}</p>
      <p>{record.unit.identityMarks === '' ? 'No marks noted.' : `Marks on it: ${record.unit.identityMarks}`}</p>
      <p className="flex flex-wrap items-center gap-3">
        <span>{record.identity === null ? 'Which fitment it is has not been told.' : `It is: ${record.identity.label}.`}</span>
        <Go className="btn-quiet" href={`/kits/identify?unit=${tagOf(record.unit)}`}>
          What is this unit?
        </Go>
      </p>
      {inShop && may(person.role, 'correct') && (
        <Correct key={record.unit.version} entered={enteredOf(record)} variants={await currentVariants(await theDb())} />
      )}
      <div className="flex flex-wrap gap-3">
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
      <UnitCauses open={inShop && may(person.role, 'book-in')} />
    </div>
  </StationFrame>
));

const enteredOf = ({ job, unit }: UnitRecord) => ({
  customer: job.customer,
  phone: job.phone,
  machine: job.machine,
  position: unit.position,
  identityMarks: unit.identityMarks,
  promisedAt: job.promisedAt,
  choice: unit.variantId ?? unit.family,
  nominalMm: unit.geometry?.nominalMm ?? null,
  pots: 1 + unit.morePots.length,
  morePotsMm: [0, 1].map((i) => unit.morePots[i]?.geometry.nominalMm ?? null),
  material: unit.material,
  complaints: unit.complaints,
  complaintText: unit.complaintText,
  before: unit.before,
});
