import { onClock } from '../locale';
import { saySpan } from '../quantity/say-time';

const DAY_MS = 24 * 3_600_000;

/** A backup that is being made: how far it is, from 0 to 1, and with what. `since` in ms since 1970. */
export type BackupState = { readonly since: number; readonly part: number; readonly doing: string };

/** A backup that was made, good (`verifiedAt`) or not (`fault`). Times in ms since 1970. */
export type BackupRow = {
  readonly at: number;
  readonly path: string;
  readonly bytes: number;
  readonly verifiedAt: number | null;
  readonly fault: string | null;
};

/** Is it time for the night's backup? @param hour of the shop's clock @param last when one was tried last @param now ms since 1970 */
export const isNightDue = (hour: number, last: number, now: number): boolean => {
  const today = onClock(now).setHours(hour, 0, 0, 0);
  const due = today <= now ? today : today - DAY_MS;
  return last < due;
};

/** What owner and leads are told of a last good backup that is too old; undefined while it is young enough. */
export const backupWarning = (
  last: { readonly kind: 'made' | 'never'; readonly at: number },
  warnDays: number,
  now: number,
): string | undefined => {
  if (now - last.at <= warnDays * DAY_MS) return undefined;
  return last.kind === 'never' ? 'No backup was ever made' : `No good backup for ${saySpan(now - last.at)}`;
};
