import { isoDay } from '../quantity/say-time';
import { DAY_WORDS, inWeek, isWithin, saySpans } from './hours';
import { type ShopSettings, weekHours } from './settings';

/** When somebody is in the shop. */
export type OpenHours = Pick<ShopSettings, 'hours' | 'closed'>;

/** Why nobody is in the shop at a moment, asked of whoever promised something for it; undefined where it is open. */
export const whyClosed = (shop: OpenHours, at: number): string | undefined => {
  const day = isoDay(at);
  const closed = shop.closed.find((c) => day >= c.from && day <= (c.until === '' ? c.from : c.until));
  if (closed !== undefined) return `The shop is closed that day${closed.why === '' ? '' : `: ${closed.why}`}.`;
  const hours = weekHours(shop.hours);
  if (isWithin(hours, at)) return undefined;
  const name = inWeek(at).day;
  return hours[name].length === 0
    ? `That is a ${DAY_WORDS[name]}: the shop is closed.`
    : `On a ${DAY_WORDS[name]} the shop is open ${saySpans(hours[name])}.`;
};
