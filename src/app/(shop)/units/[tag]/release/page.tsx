import { tagOf } from '@/core/unit/unit-record';
import { theDb } from '@/db/engine/connection';
import { certificateOf } from '@/db/release/release';
import { Release } from '@/ui/release/release';
import { Go } from '@/ui/shell/go';
import { StationFrame } from '@/ui/unit/station-frame';
import { NotNow } from '../_station/not-now';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('release');

export default stationPage('release', async (at) => {
  const { unit, family, signatures } = at.record;
  const certificate = await certificateOf(await theDb(), unit.id);
  return (
    <StationFrame title="RELEASE" ledger={at.ledger} aside={<NotNow stop={at.stop} />}>
      {certificate !== undefined && (
        <div className="mb-4 border border-line bg-sheet p-4">
          <p className="text-lg font-bold">Certificate {certificate.number}</p>
          {certificate.supersedes !== null && <p className="text-ink2">Takes the place of {certificate.supersedes}.</p>}
          <p className="mb-3 text-[12px] break-all text-ink2">{certificate.hash}</p>
          <a className="btn" href={`/api/v1/units/${tagOf(unit)}/certificate.pdf`} target="_blank" rel="noreferrer">
            Open the certificate
          </a>{' '}
          <a className="btn-quiet" href={`/api/v1/units/${tagOf(unit)}/certificate.json`} download>
            As a file
          </a>
          <Go
            className="ml-4 inline-flex min-h-[44px] items-center font-bold text-act"
            href={`/verify/${certificate.number}/${certificate.hash}`}
          >
            What its code shows
          </Go>
        </div>
      )}
      <Release people={at.staff} me={at.person} signatures={signatures} needed={family.brake ? 2 : 1} unmet={at.unmet} />
    </StationFrame>
  );
});
