import { saySpan } from './say-time';

/** How a wait stands: how long it still runs, or by how much it is late. @param endsAt, now ms since 1970 */
export const sayWait = (endsAt: number, now: number): string => {
  if (endsAt > now) return saySpan(endsAt - now);
  return now - endsAt < 60_000 ? 'over now' : `over by ${saySpan(now - endsAt)}`;
};
