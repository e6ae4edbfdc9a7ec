import { type OpenHours, whyClosed } from '../shop/open-hours';

/** What to ask oneself about a promise; undefined where nothing is odd about it. It may stand all the same. @param at, now ms since 1970 */
export const oddPromise =
  (shop: OpenHours) =>
  (at: number, now: number): string | undefined =>
    at < now ? 'That time is over.' : whyClosed(shop, at);
