import { type ChargeLine, chargesOf } from '@/core/cost/charge';
import { fill } from '@/core/message/template';
import type { Offered } from '@/core/quote/quote';
import { customersUnit } from '@/core/unit/customers-unit';
import type { Change } from '@/db/engine/change-unit';
import type { Db } from '@/db/engine/connection';
import { answerQuote, makeQuote, newQuoteKey, replyToQuote } from '@/db/quote/quotes';
import { must } from '../devices/hand/must';
import type { Work } from '../devices/hand/work';
import { PEOPLE } from './people';
import { PRICES } from './prices';
import { SHOP } from './shop';

const DAY_MS = 86_400_000;
/** How a demo's quote stands. */
export type QuoteStory = 'open' | 'asked' | 'picked';

const work = (words: string, cents: number): ChargeLine => ({ charge: 'work', words, how: '', cents });
const parts = (cents: number): ChargeLine => ({ charge: 'parts', words: 'parts', how: '', cents });

/** What a repair came to by the price list and by the shop's hour as each of these was made. */
const REPAIR: { readonly [S in QuoteStory]: readonly ChargeLine[] } = {
  open: [work('Strip and clean', 3600), work('Close up', 3600), work('Prove', 2200)],
  asked: [parts(660), work('the whole job', 19_500)],
  picked: [parts(876), work('Strip and clean', 3400), work('Gauge and judge', 2000), work('Close up', 5000), work('Prove', 2200)],
};
/** What the list has in a unit's stead. */
const INSTEAD: {
  readonly [S in QuoteStory]: { readonly kind: 'exchange' | 'new'; readonly words: string; readonly cents: number } | null;
} = {
  open: null,
  asked: { kind: 'new', words: 'new unit N-7760', cents: 18_900 },
  picked: { kind: 'exchange', words: 'exchange unit X-2202', cents: 9600 },
};

/** Offers a repair and an exchange unit, as the counter did half an hour ago, and lets the customer say what the story says. */
export async function quoteFor(db: Db, on: Work, story: QuoteStory, now: number): Promise<void> {
  const ida = PEOPLE[3] as (typeof PEOPLE)[number];
  const record = await on.record();
  const at = now - 1_800_000;
  const change = (kind: Change['kind']): Change => ({ ...on.next(kind, '', ida), at });
  const offered = (kind: Offered['kind'], words: string, readyAt: number, lines: readonly ChargeLine[]): Offered => ({
    id: kind,
    kind,
    words,
    readyAt,
    charges: chargesOf(lines, PRICES),
  });
  const instead = INSTEAD[story];
  const options = [
    offered('repair', 'repair', record.unit.dueAt, REPAIR[story]),
    ...(instead === null
      ? []
      : [
          offered(instead.kind, instead.words, at + 4 * DAY_MS, [
            { charge: 'units', words: instead.words, how: '', cents: instead.cents },
            work('hand over', 1000),
          ]),
        ]),
    offered('give-back', 'give back as it is', at, []),
  ];
  const key = newQuoteKey();
  const words = fill(SHOP.templates.quote, { customer: record.job.customer, shop: SHOP.name, ...customersUnit(record) });
  const made = change('quoted');
  const address = `http://localhost:3000/quote/${key}`;
  await must(makeQuote(db, made, { options, words, validUntil: now + 14 * DAY_MS, key }, address));
  if (story === 'asked')
    await must(
      replyToQuote(
        db,
        { key, eventId: `${made.eventId}-asks`, reply: { said: 'asks', text: 'Is the new one the same make as the old one?' } },
        now - 600_000,
      ),
    );
  if (story === 'picked') await must(answerQuote(db, change('quote-answered'), made.eventId, { said: 'picks', option: 'repair' }));
}
