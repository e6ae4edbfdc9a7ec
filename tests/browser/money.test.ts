import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { spawnNode } from '../children';
import { type App, startApp } from './app';
import { shows } from './bench';
import { openBrowser, signIn } from './browser';
import { Hand } from './hand';
import { Person } from './person';
import { sleevedAndOn, toBeSleeved } from './work';

// What it costs, what the customer says to it, and what is paid: with the mail server that ships.

let app: App;
let browser: Awaited<ReturnType<typeof openBrowser>>;
let mail: { readonly url: string; readonly stop: () => void };
beforeAll(async () => {
  const server = spawnNode(['--import', 'tsx', 'devices/mail/server.ts']);
  const said = await new Promise<string>((hear) => server.stdout.once('data', (d) => hear(String(d))));
  mail = { url: /http:\S+/.exec(said)?.[0] ?? '', stop: () => void server.kill() };
  app = await startApp(undefined, { EDDRIN_SMTP: /smtp:[^;]+/.exec(said)?.[0] ?? '', EDDRIN_MAIL_FROM: 'works@skerrin.example' });
  browser = await openBrowser();
});
afterAll(async () => {
  await browser.close();
  await app.stop();
  mail.stop();
});

const as = async (personId: string, pin: string): Promise<Hand> => {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await signIn(page, app.origin, personId, pin);
  return new Hand(page, app.origin);
};
/** Somebody without a name here, on a telephone; what the browser complains of is kept. */
const stranger = async (address: string): Promise<{ readonly page: Page; readonly complaints: string[] }> => {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 390, height: 800 });
  const complaints: string[] = [];
  page.on('console', (m) => m.type() === 'error' && complaints.push(m.text()));
  page.on('pageerror', (e) => complaints.push(String(e)));
  await page.goto(address);
  return { page, complaints };
};
const came = async (): Promise<readonly { readonly to: string; readonly text: string }[]> =>
  (await fetch(`${mail.url}/came.json`)).json() as never;
/** The address of a customer's page, as it came by mail to them. */
const addressFor = async (tag: string): Promise<string> => {
  for (let i = 0; i < 300; i++) {
    const found = (await came()).find((m) => m.text.includes(tag) && m.text.includes('/quote/'));
    if (found !== undefined) return /http\S+\/quote\/\S+/.exec(found.text)?.[0] ?? '';
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error(`no quote for ${tag} came by mail`);
};

test('from the counter through the quote and the customer’s yes to the sleeve, the certificate, the bill and what is owed', async () => {
  const lead = await as('maren-oreland', '180422');
  const p = new Person(lead);
  await toBeSleeved(p, [['Telephone', '555 0114']]);
  const unit = new URL(lead.page.url()).pathname.split('/').slice(0, 3).join('/');
  const tag = unit.split('/')[2] as string;

  const counter = await as('ida-brandvik', '3390');
  await counter.go(`${unit}/options`);
  await shows(counter.page, 'It goes to yard@aldwater.example.');
  expect(await counter.page.$$eval('button[aria-pressed="true"]', (all) => all.map((b) => b.textContent?.replace(/, EUR.*/, '')))).toEqual([
    'Sleeve',
    'Give back as it is',
  ]);
  await counter.press('Send the quote');
  await shows(counter.page, 'Waits for an answer');

  const { page, complaints } = await stranger(await addressFor(tag));
  await shows(page, `Quote ${tag}: lever master`);
  const total = await page.$eval('li h2 + b', (b) => b.textContent ?? '');
  expect(total).toMatch(/^EUR \d+\.\d[05]$/);
  await page.type('textarea', 'Does a sleeve hold as long as the old bore?');
  await page.click('form button[type="submit"]');
  await shows(page, /WHAT YOU ASKED Does a sleeve hold/);
  await page.click('input[type="radio"]');
  await page.waitForSelector(`button::-p-text(Yes: sleeve, ${total})`).then((b) => b?.click());
  await shows(page, `You chose: sleeve, ${total}`);
  expect(complaints).toEqual([]);

  await shows(counter.page, /Accepted made .* Yes: sleeve, on .* written down by the customer\. They ask: Does a sleeve hold/);
  await lead.go(`${unit}/sleeve`);
  await sleevedAndOn(p);

  await counter.go(`${unit}/hand-over`);
  await counter.page.waitForSelector('section[aria-label="Tell the customer"] textarea');
  expect(await counter.page.$eval('section[aria-label="Tell the customer"] textarea', (t) => (t as HTMLTextAreaElement).value)).toContain(
    `To pay: ${total}`,
  );
  await counter.press('Hand over and bill');
  await shows(counter.page, 'Paid, or on account?');
  await counter.press('on account');
  await counter.press('Hand over and bill');
  await shows(counter.page, `Open: ${total}`);
  const number = await counter.page.$eval('article[aria-label^="Bill"]', (a) => a.getAttribute('aria-label')?.replace('Bill ', ''));
  const paper = await counter.page.evaluate(async (n) => {
    const answer = await fetch(`/api/v1/bills/${n}/bill.pdf`);
    return [answer.status, (await answer.text()).slice(0, 5)];
  }, number);
  expect(paper).toEqual([200, '%PDF-']);

  const customer = await counter.page.$eval('a[href^="/customers/"]:not([href="/customers"])', (a) => a.getAttribute('href') as string);
  await counter.go(customer);
  await shows(
    counter.page,
    new RegExp(`they owe EUR [\\d.,]+ Bill ${number} ${tag}, lever master ${total.replace('.', '\\.')} open: ${total.replace('.', '\\.')}`),
  );
  await counter.go(`${unit}/hand-over`);
  await counter.press('in cash');
  await counter.press('It was paid');
  await shows(counter.page, /Paid in cash: EUR .* Nothing is open\./);
});

describe('the customer’s page', () => {
  test('opens by its whole address only, says nothing of a quote that was replaced, and tells nothing of anybody else', async () => {
    const counter = await as('ida-brandvik', '3390');
    const address = await addressFor('SQ-0049');
    const key = address.split('/').at(-1) as string;
    const own = `${app.origin}/quote/${key}`;
    const text = async (url: string): Promise<string> =>
      (await (await fetch(url)).text()).replace(/<script.*?<\/script>/gs, '').replace(/<[^>]*>/g, ' ');
    expect(await text(own)).toContain('Quarry dumper');
    // Its own paper, and none but that.
    expect((await fetch(`${own}/quote.pdf`)).headers.get('content-type')).toBe('application/pdf');
    for (const word of ['555 0133', 'stores@pendle', 'Ida Brandvik', 'SQ-0050', 'costCents'])
      expect(await (await fetch(own)).text()).not.toContain(word);

    await counter.go('/units/SQ-0049/options');
    await counter.press('Send a new quote in its place');
    await shows(counter.page, '2 QUOTES');
    expect(await text(own)).toContain('This quote has ended');
    expect(await text(own)).not.toContain('Quarry dumper');
    expect((await fetch(`${own}/quote.pdf`)).status).toBe(404);
    for (const wrong of [key.slice(1), `${key}A`, key.toUpperCase(), `${key.slice(0, -1)}!`, 'x'.repeat(22), '../units/SQ-0049'])
      expect(await text(`${app.origin}/quote/${wrong}`)).not.toContain('Quarry dumper');
  });

  test('is slowed down for whoever guesses, and for nobody who is signed in', async () => {
    const counter = await as('ida-brandvik', '3390');
    const answers: string[] = [];
    for (let i = 0; i < 12; i++) answers.push(await (await fetch(`${app.origin}/quote/${String(i).repeat(22).slice(0, 22)}`)).text());
    expect(answers.at(-1)).toContain('Too much was asked from your address');
    await counter.go('/customers');
    await shows(counter.page, /\d+ customers/);
  });
});
