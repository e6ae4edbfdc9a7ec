import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { type App, startApp } from './app';
import { shows } from './bench';
import { openBrowser, signIn } from './browser';

// Two people, two browsers, one unit; and a line that breaks.

let app: App;
let browser: Browser;
let [joss, pell]: Page[] = [];
let unit = '';

const bench = async (personId: string, pin: string): Promise<Page> => {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await signIn(page, app.origin, personId, pin);
  return page;
};
beforeAll(async () => {
  app = await startApp();
  browser = await openBrowser();
  joss = await bench('joss-tarrow', '4711');
  pell = await bench('pell-wickert', '2605');
  const links = await joss.$$eval('section[aria-label="Booked in, strip"] a[data-tray]:has(svg[aria-label="Single master"])', (all) =>
    all.map((a) => (a as HTMLAnchorElement).href),
  );
  unit = `${links.at(-1)}/strip?view=tray`;
});
afterAll(async () => {
  await browser.close();
  await app.stop();
});

const click = async (page: Page, text: string): Promise<void> => {
  const button = await page.waitForSelector(`::-p-xpath(//button[normalize-space(.)="${text}" and not(@disabled)])`);
  await button?.evaluate((b) => (b as HTMLElement).click());
};
const condition = (page: Page, part: string): Promise<string> =>
  page.$eval(`select[aria-label="Condition of the ${part}"]`, (s) => (s as HTMLSelectElement).value);

test('both strip at once: different parts are both kept', async () => {
  for (const page of [joss, pell]) await (page as Page).goto(unit);
  for (const page of [joss, pell]) await page?.waitForSelector('select[aria-label="Condition of the boot"]');
  await joss?.select('select[aria-label="Condition of the boot"]', 'split');
  await joss?.waitForFunction(() => document.body.innerText.includes('1 of 11 on the tray'));
  await pell?.select('select[aria-label="Condition of the circlip"]', 'good');
  await pell?.waitForFunction(() => document.body.innerText.includes('2 of 11 on the tray'));
  expect(await condition(pell as Page, 'boot')).toBe('split');
});

test('the same part from an old page: the second is shown both versions, and may save again', async () => {
  for (const page of [joss, pell]) {
    await page?.reload();
    await page?.waitForSelector('select[aria-label="Condition of the boot"]');
  }
  await joss?.select('select[aria-label="Condition of the stop washer"]', 'good');
  await joss?.waitForFunction(() => document.body.innerText.includes('3 of 11 on the tray'));
  await pell?.select('select[aria-label="Condition of the stop washer"]', 'bent');
  await shows(pell as Page, /Not saved \(part recorded\): you started from version \d+, the unit is at \d+/);
  await shows(pell as Page, /Theirs, version \d+ Joss Tarrow, today \d+:\d\d: part recorded/);
  await shows(pell as Page, /Yours, from version \d+ part recorded/);
  await pell?.reload();
  await pell?.waitForSelector('select[aria-label="Condition of the stop washer"]');
  expect(await condition(pell as Page, 'stop washer')).toBe('good');
  // The history is the server's: once it holds one more line, the save has arrived.
  const lines = (await pell?.$$eval('aside ol li', (all) => all.length)) ?? 0;
  await pell?.select('select[aria-label="Condition of the stop washer"]', 'bent');
  await pell?.waitForFunction((n: number) => document.querySelectorAll('aside ol li').length > n, {}, lines);
  await joss?.reload();
  await joss?.waitForFunction(
    () => (document.querySelector('select[aria-label="Condition of the stop washer"]') as HTMLSelectElement | null)?.value === 'bent',
  );
});

test('a line that breaks keeps what was entered, says so, and sends it when it is back', async () => {
  await joss?.setOfflineMode(true);
  await joss?.select('select[aria-label="Condition of the pushrod"]', 'good');
  await shows(joss as Page, 'No connection. What you entered is kept here and is sent as soon as the server answers.');
  expect(await condition(joss as Page, 'pushrod')).toBe('good');
  await joss?.setOfflineMode(false);
  await joss?.waitForFunction(() => !document.body.innerText.includes('No connection'), { timeout: 15_000 });
  await joss?.reload();
  await joss?.waitForSelector('select[aria-label="Condition of the pushrod"]');
  expect(await condition(joss as Page, 'pushrod')).toBe('good');
});

test('a half-typed gauge grid outlives its page, in whatever units', async () => {
  await pell?.goto(app.origin);
  const link = await pell?.$$eval('section[aria-label="Gauge, judge"] a[data-tray]', (all) =>
    all.map((a) => (a as HTMLAnchorElement).href),
  );
  for (const href of link ?? []) {
    await pell?.goto(href);
    if (pell?.url().endsWith('/gauge')) break;
  }
  await pell?.waitForFunction(() => (document.activeElement as HTMLElement | null)?.dataset.cell === '0-0');
  await pell?.keyboard.type('22.241');
  await pell?.keyboard.press('Enter');
  await pell?.reload();
  const cell = (): Promise<string> => (pell as Page).$eval('[data-cell="0-0"]', (c) => (c as HTMLInputElement).value);
  await pell?.waitForFunction(() => (document.querySelector('[data-cell="0-0"]') as HTMLInputElement).value === '22.241');
  await click(pell as Page, 'mm · bar');
  await shows(pell as Page, 'in · psi');
  await pell?.waitForFunction(() => (document.querySelector('[data-cell="0-0"]') as HTMLInputElement).value === '22.241 mm');
  expect(await cell()).toBe('22.241 mm');
  await shows(pell as Page, /widest 0\.8756 in/);
});

test('undo takes back one’s own last step, and only that', async () => {
  await joss?.goto(unit);
  await click(joss as Page, 'Undo: part recorded');
  await joss?.waitForFunction(
    () => (document.querySelector('select[aria-label="Condition of the pushrod"]') as HTMLSelectElement | null)?.value === '',
  );
  await pell?.goto(unit);
  await shows(pell as Page, 'undone');
  const buttons = await pell?.$$eval('button', (all) => all.map((b) => b.textContent ?? ''));
  expect(buttons?.filter((b) => b.startsWith('Undo: '))).toEqual(['Undo: part recorded']);
});
