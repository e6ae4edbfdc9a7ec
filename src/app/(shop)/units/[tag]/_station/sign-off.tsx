import { SignOffBar } from '@/ui/unit/sign-off-bar';
import { NotNow } from './not-now';
import type { AtStation } from './station-page';

/** Signs the station off while it is its turn. */
export const SignOff = ({ at, text }: { readonly at: AtStation; readonly text: string }) =>
  at.stop?.state === 'now' && <SignOffBar station={at.station} text={text} unmet={at.unmet} />;

/** Beside the work: the sign-off, or why it is not its turn. */
export const SignOffAside = ({ at, text }: { readonly at: AtStation; readonly text: string }) => (
  <div className="mb-4">{at.stop?.state === 'now' ? <SignOff at={at} text={text} /> : <NotNow stop={at.stop} />}</div>
);
