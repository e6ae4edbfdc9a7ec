import { amountOf } from '../quantity/cents';
import { sayMoney } from '../quantity/say-money';
import { sayFullDate, sayWhen } from '../quantity/say-time';
import { mends } from './option-kind';
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

/** What whoever works on a unit has to know of its quotes; undefined where none was made. `stop`: the unit's own repair is not wanted. */
export const sayDecided = (
  quotes: readonly Quote[],
  now: number,
): { readonly kind: 'on' | 'open' | 'stop'; readonly text: string } | undefined => {
  const last = quotes.at(-1);
  if (last === undefined) return undefined;
  const { answer, validUntil } = last;
  if (answer === null)
    return validUntil < now
      ? { kind: 'open', text: `The quote ended ${sayWhen(validUntil, now)} without an answer: ask them, or make another.` }
      : { kind: 'open', text: `A quote is with the customer since ${sayWhen(last.at, now)}: they have not answered.` };
  const picked = pickedOf(last);
  if (picked === undefined) return { kind: 'stop', text: `The customer said no to all that was offered, ${sayWhen(answer.at, now)}.` };
  const chose = `The customer chose, ${sayWhen(answer.at, now)}: ${picked.words}, ${sayCents(picked.charges.total)}.`;
  return mends(picked.kind)
    ? { kind: 'on', text: chose }
    : { kind: 'stop', text: `${chose} Their own unit is not repaired: a lead hands it back.` };
};

/** What the customer said, in a sentence. @param nameOf a person, by id */
export const sayAnswer = (q: Pick<Quote, 'answer' | 'options'>, nameOf: (id: string) => string): string | undefined => {
  const { answer } = q;
  if (answer === null) return undefined;
  const picked = pickedOf(q);
  return `${answer.said === 'no' ? 'No' : `Yes: ${picked?.words ?? answer.option}`}, on ${sayFullDate(answer.at)}, written down by ${nameOf(answer.by)}.`;
};
