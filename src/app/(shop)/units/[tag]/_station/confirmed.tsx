import { Confirm } from '@/ui/stations/confirm';
import { StationFrame } from '@/ui/unit/station-frame';
import { signOffAction } from '../../../../actions/unit';
import { NotNow } from './not-now';
import type { AtStation } from './station-page';

/** A station that is confirmed point by point. */
export const Confirmed = ({
  at,
  title,
  ...what
}: {
  readonly at: AtStation;
  readonly title: string;
  readonly points: readonly string[];
  readonly noteLabel: string;
  readonly text: string;
}) => (
  <StationFrame title={title} ledger={at.ledger} aside={<NotNow stop={at.stop} />}>
    <Confirm {...what} target={at.target} station={at.station} unmet={[]} role={at.person.role} open={at.atWork} signOff={signOffAction} />
  </StationFrame>
);
