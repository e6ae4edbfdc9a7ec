import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { postDue } from '@/app/_server/post';
import { OPEN_STATES } from '@/core/message/message';
import { askCustomer } from '@/db/customer/approval';
import { editCustomer } from '@/db/customer/customers';
import { handleMessage, messagesOf, openMessages, takeDue } from '@/db/customer/outbox';
import { type StandIn, startStandIn } from './far';
import { openShop, PEOPLE, type Shop, START } from './shop';

// Messages to customers, by a real line to the mail server that ships.

const MINUTE_MS = 60_000;
let shop: Shop;
let mail: StandIn;
beforeAll(async () => {
  shop = await openShop();
});
beforeEach(async () => {
  mail = await startStandIn('devices/mail/server.ts');
  process.env.EDDRIN_SMTP = /smtp:\/\/localhost:\d+/.exec(mail.said)?.[0];
  process.env.EDDRIN_MAIL_FROM = 'works@skerrin.example';
});
afterEach(() => mail.stop());
afterAll(() => {
  delete process.env.EDDRIN_SMTP;
  delete process.env.EDDRIN_MAIL_FROM;
});

const post = (at: number): Promise<void> => postDue(shop.db, () => at);
let serial = 0;
/** A message to a customer who has this address; its number. */
const write = async (address: string): Promise<string> => {
  serial += 1;
  const unitId = await shop.book({ customer: `Customer ${serial}`, phone: `555 ${serial}` });
  await shop.worker(unitId).strip();
  await shop.worker(unitId).clean();
  await shop.worker(unitId).gauge();
  await shop.worker(unitId).judge('sound');
  const { job } = await shop.record(unitId);
  const is = { name: job.customer, phone: job.phone, mail: address, address: '' };
  if (address !== '') await editCustomer(shop.db, { personId: PEOPLE.counter.id, at: START }, job.customerId, null, is);
  const change = await shop.change(unitId, 'asked', PEOPLE.counter);
  const asked = await askCustomer(shop.db, change, { price: 12, promisedAt: START + 9e8, text: 'May we go on? – Grüße' });
  expect(asked.ok).toBe(true);
  return change.eventId;
};
const state = async (id: string) => (await messagesOf(shop.db, 200)).shown.find((m) => m.message.id === id)?.message;
const came = async (): Promise<readonly { readonly id: string; readonly to: string; readonly text: string }[]> =>
  (await fetch(`${mail.url}/came.json`)).json() as never;
/** Long after anything was written. */
const LATER = START + 400 * 86_400_000;

describe('a message', () => {
  test('to somebody with a mail address goes once, however often and by however many it is posted', async () => {
    const id = await write('yard@aldwater.example');
    await Promise.all([post(LATER), post(LATER), post(LATER)]);
    await post(LATER + MINUTE_MS);
    expect(await state(id)).toMatchObject({ state: 'sent', tries: 1 });
    expect((await came()).filter((m) => m.to === 'yard@aldwater.example')).toMatchObject([
      { id: `<${id}@skerrin.example>`, text: expect.stringContaining('May we go on? – Grüße') },
    ]);
  });

  test('to somebody without one stays to be read out, and is looked after by a press', async () => {
    const before = await openMessages(shop.db, 'goes');
    const id = await write('');
    await post(LATER);
    expect((await state(id))?.state).toBe('to-read');
    expect(await openMessages(shop.db, 'goes')).toBe(before + 1);
    expect((await handleMessage(shop.db, { personId: 'cas', at: LATER }, id, 'again')).ok).toBe(false);
    expect((await handleMessage(shop.db, { personId: 'cas', at: LATER }, id, 'read')).ok).toBe(true);
    expect(await state(id)).toMatchObject({ state: 'read', doneBy: 'cas' });
    expect((await handleMessage(shop.db, { personId: 'cas', at: LATER }, id, 'read')).ok).toBe(false);
  });

  test('that is refused for now is tried later, longer and longer, and given up in the end', async () => {
    const id = await write('later@mill.example');
    await post(LATER);
    const first = await state(id);
    expect(first).toMatchObject({
      state: 'waiting',
      tries: 1,
      nextAt: LATER + MINUTE_MS,
      fault: expect.stringContaining('come back later'),
    });
    await post(LATER + 30_000);
    expect((await state(id))?.tries).toBe(1);
    let at = LATER;
    for (let i = 0; i < 10; i++) {
      at = (await state(id))?.nextAt ?? at;
      await post(at);
    }
    expect(await state(id)).toMatchObject({ state: 'failed', tries: 7 });
    expect(OPEN_STATES).toContain('failed');
  });

  test('that is refused for good is told at once, and goes again when somebody says so', async () => {
    const id = await write('never@nowhere.example');
    await post(LATER);
    expect(await state(id)).toMatchObject({ state: 'failed', fault: expect.stringContaining('nobody of that name') });
    expect((await handleMessage(shop.db, { personId: 'cas', at: LATER }, id, 'again')).ok).toBe(true);
    await post(LATER);
    expect(await state(id)).toMatchObject({ state: 'failed', tries: 1 });
  });

  test('of which nobody knows whether it went is never sent again by itself: the line broke, or the server stopped', async () => {
    const broken = await write('breaks@wire.example');
    await post(LATER);
    expect((await state(broken))?.state).toBe('unsure');
    const stopped = await write('yard@stopped.example');
    expect((await takeDue(shop.db, LATER, 10)).map((l) => l.id)).toContain(stopped);
    await post(LATER + 11 * MINUTE_MS);
    expect(await state(stopped)).toMatchObject({ state: 'unsure', fault: expect.stringContaining('stopped') });
    expect((await came()).filter((m) => m.to.endsWith('stopped.example'))).toEqual([]);
  });

  test('waits while the mail server is not there; where there is none at all, it is somebody’s to read out', async () => {
    const [goes, none] = [await openMessages(shop.db, 'goes'), await openMessages(shop.db, 'none')];
    const id = await write('yard@patience.example');
    mail.stop();
    await post(LATER);
    expect(await state(id)).toMatchObject({ state: 'waiting', tries: 1 });
    expect([await openMessages(shop.db, 'goes'), await openMessages(shop.db, 'none')]).toEqual([goes, none + 1]);
    expect((await handleMessage(shop.db, { personId: 'cas', at: LATER }, id, 'read')).ok).toBe(true);
  });
});
