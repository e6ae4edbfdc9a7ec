import { locale } from '../locale';
import { tagNumber } from './unit-record';

/** The tag in what a scanner typed: the tag itself, or an address of ours that names it, as the codes of labels have it; undefined where it is none. */
export const scannedTag = (typed: string): string | undefined => {
  const tag = /^(?:https?:\/\/\S+\/(?:units|fitting)\/)?([a-z]+-\d{4,9})(?:\/[0-9a-f]{32})?$/i.exec(typed.trim())?.[1]?.toUpperCase();
  return tag === undefined || tagNumber(tag) === undefined ? undefined : tag;
};

/** Is this how such a code begins? One letter says nothing yet. */
export const beginsLikeTag = (typed: string): boolean =>
  typed.length > 1 &&
  ['https://', 'http://', ...locale().tagPrefixes.map((letters) => `${letters.toLowerCase()}-`)].some(
    (start) => start.startsWith(typed.toLowerCase()) || typed.toLowerCase().startsWith(start),
  );
