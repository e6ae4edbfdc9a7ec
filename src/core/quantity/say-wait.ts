import { saySpan } from './say-time';

const MINUTE_MS = 60_000;

/** How a wait stands: how long it still runs, its last minute in seconds, or by how much it is late. @param endsAt, now ms since 1970 */
export const sayWait = (endsAt: number, now: number): string => {
  if (endsAt > now) return endsAt - now <= MINUTE_MS ? `${Math.ceil((endsAt - now) / 1000)} s` : saySpan(endsAt - now);
  return now - endsAt < MINUTE_MS ? 'over now' : `over by ${saySpan(now - endsAt)}`;
};
