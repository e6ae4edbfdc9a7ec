import { afterAll, beforeAll, expect, test } from 'vitest';
import { ready, shows } from './bench';
import { type AtWork, closeShop, openShopAs } from './hand';

// The counter: what is half entered, what comes in together, what was entered wrongly; and the way on from station to station.

let { app, browser, page, hand } = {} as AtWork;
beforeAll(async () => {
  ({ app, browser, page, hand } = await openShopAs('maren-oreland', '180422'));
});
afterAll(() => closeShop({ app, browser, page, hand }));

const value = async (label: string): Promise<string> => (await hand.field(label)).evaluate((e) => e.value);
const booked = (): Promise<string> => page.evaluate(() => /Booked in: (SQ-\d+)/.exec(document.body.innerText)?.[1] ?? '');

test('what is half entered is there again after the page was left, and goes when it is started afresh', async () => {
  await page.goto(`${app.origin}/book-in`);
  await ready(page);
  await hand.fill('Customer', 'Brindle Dairy');
  await hand.fill('Machine', 'Milk float');
  await hand.press('spongy');
  await page.goto(`${app.origin}/kits`);
  await page.goto(`${app.origin}/book-in`);
  await page.waitForFunction(() => document.querySelector<HTMLInputElement>('input[name="customer"]')?.value === 'Brindle Dairy');
  expect(await page.$eval('button[aria-pressed="true"]', (b) => b.textContent)).toBe('spongy');
  await hand.press('Start afresh');
  await page.waitForFunction(() => document.querySelector<HTMLInputElement>('input[name="customer"]')?.value === '');
  await page.reload();
  await ready(page);
  expect(await value('Machine')).toBe('');
});

test('known customers are offered with their telephone; another off the same machine keeps what they share', async () => {
  await page.goto(`${app.origin}/book-in`);
  await ready(page);
  await hand.fill('Customer', 'Volunteer');
  await page.waitForSelector('datalist option[value="Volunteer Fire Brigade, Outer Skerrin"]');
  await hand.fill('Customer', 'Volunteer Fire Brigade, Outer Skerrin');
  await page.waitForFunction(() => document.querySelector<HTMLInputElement>('input[name="phone"]')?.value === '555 0163');
  await hand.fill('Machine', 'Hose trailer');
  await hand.fill('Promised for', '+3 d');
  await hand.fill('Bore as cast or listed', '7/8');
  await hand.press('Book in and give it a tag');
  await shows(page, /Booked in: SQ-\d+/);
  const first = await booked();
  await hand.press('Another off the same Hose trailer');
  await ready(page);
  expect([await value('Customer'), await value('Machine'), await value('Bore as cast or listed')]).toEqual([
    'Volunteer Fire Brigade, Outer Skerrin',
    'Hose trailer',
    '',
  ]);
  await hand.fill('Bore as cast or listed', '13/16');
  await hand.press('Book in and give it a tag');
  await page.waitForFunction(
    (before: string) => /Booked in: SQ-\d+/.test(document.body.innerText) && !document.body.innerText.includes(before),
    {},
    first,
  );
  const second = await booked();
  // Put right at one, it is right at both: they are one job.
  await page.goto(`${app.origin}/units/${second}/book-in`);
  await ready(page);
  await hand.press('Correct what was entered');
  await hand.fill('Machine', 'Ladder trailer');
  await hand.press('Correct it');
  await shows(page, /entry corrected.*machine: Hose trailer → Ladder trailer/);
  await page.goto(`${app.origin}/units/${first}/book-in`);
  await shows(page, /entry corrected.*machine: Hose trailer → Ladder trailer/);
});

test('a sign-off leads to the next station, by focus and by one key', async () => {
  const unit = await hand.at('Gauge, judge', 'judge', 'Tandem master');
  await hand.press('Save judgement');
  await page.waitForFunction(() => document.activeElement?.id === 'next-station');
  expect(await page.evaluate(() => document.activeElement?.textContent)).toBe('Next: Kit');
  await page.keyboard.press('n');
  await page.waitForFunction((u: string) => location.href === `${u}/kit`, {}, unit);
});

test('the head of a unit takes one line where the work fills the screen, ten depths at once; h opens it, and it stays so', async () => {
  await hand.at('Gauge, judge', 'gauge');
  const head = (): Promise<number> => page.$eval('section[aria-label="Unit"]', (e) => e.getBoundingClientRect().height);
  expect(await head()).toBeLessThan(60);
  await hand.press('Add a depth');
  const rows = await page.$$eval('[data-cell$="-0"]', (all) => all.map((e) => e.getBoundingClientRect().bottom));
  // As many rows as there are, ten would end above the fold.
  const step = ((rows.at(-1) ?? 0) - (rows[0] ?? 0)) / (rows.length - 1);
  expect((rows[0] ?? 0) + 9 * step).toBeLessThan(800);
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('h');
  await page.waitForFunction(() => (document.querySelector('section[aria-label="Unit"]')?.clientHeight ?? 0) > 100);
  await page.reload();
  await ready(page);
  expect(await head()).toBeGreaterThan(100);
  await hand.press('Less');
});

test('a word of the bench says what it means, with a drawing, from the word itself', async () => {
  await hand.at('Gauge, judge', 'judge', 'Wheel cylinder, double');
  await hand.press('What is “limit”?');
  await shows(page, /limit The widest that the bore may be: the piston and the play/);
  expect(await page.$('svg[aria-label^="On a line of diameters"]')).not.toBeNull();
  await page.keyboard.press('Escape');
  await shows(page, /School: hone to the limit|School: /);
  expect(await page.$eval('aside a[href="/rules#clearanceMaxMm"]', (a) => a.textContent)).toMatch(/^0\.\d{3}$/);
});
