import { amountOf } from '../quantity/cents';
import { sayMoney } from '../quantity/say-money';
import { sayFullDate } from '../quantity/say-time';
import { type Offered, pickedOf, type Quote, type QuoteState } from './quote';

export const STATE_WORDS: { readonly [S in QuoteState]: string } = {
  open: 'waits for an answer',
  picked: 'accepted',
  refused: 'refused',
  ended: 'ended',
  replaced: 'another has taken its place',
};

/** Cents as an amount of the shop's money. */
export const sayCents = (cents: number): string => sayMoney(amountOf(cents));

/** When an option is ready. */
export const sayReady = ({ readyAt, kind }: Pick<Offered, 'readyAt' | 'kind'>, now: number): string =>
  readyAt === null ? 'we cannot say yet when' : readyAt <= now + HOUR_MS ? READY_NOW[kind] : `ready on ${sayFullDate(readyAt)}`;
const HOUR_MS = 3_600_000;
const READY_NOW: { readonly [K in Offered['kind']]: string } = {
  repair: 'ready within the hour',
  sleeve: 'ready within the hour',
  exchange: 'here now',
  new: 'here now',
  'give-back': 'at any time',
};

/** What the customer said, in a sentence. @param nameOf a person, by id */
export const sayAnswer = (q: Pick<Quote, 'answer' | 'options'>, nameOf: (id: string) => string): string | undefined => {
  const { answer } = q;
  if (answer === null) return undefined;
  const picked = pickedOf(q);
  return `${answer.said === 'no' ? 'No' : `Yes: ${picked?.words ?? answer.option}`}, on ${sayFullDate(answer.at)}, written down by ${nameOf(answer.by)}.`;
};
