import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, KeyInput, Page } from 'puppeteer-core';
import sharp from 'sharp';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { type App, startApp } from './app';
import { shows } from './bench';
import { openBrowser, signIn } from './browser';

// Two people, two browsers, one unit; and a line that breaks.

let app: App;
let browser: Browser;
let [joss, pell]: Page[] = [];
let unit = '';

/** @param follows whether its pages hear what others do; one with a slow line does not */
const bench = async (personId: string, pin: string, follows: 'follows' | 'deaf'): Promise<Page> => {
  const page = await (await browser.createBrowserContext()).newPage();
  if (follows === 'deaf')
    await page.evaluateOnNewDocument(() => {
      Object.assign(window, {
        EventSource: class extends EventTarget {
          close() {}
        },
      });
    });
  await page.setViewport({ width: 1280, height: 800 });
  await signIn(page, app.origin, personId, pin);
  return page;
};
beforeAll(async () => {
  app = await startApp();
  browser = await openBrowser();
  joss = await bench('joss-tarrow', '4711', 'follows');
  pell = await bench('pell-wickert', '2605', 'deaf');
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

test('the same part from an old page: the second is shown who changed what to what, and keeps theirs or its own', async () => {
  for (const page of [joss, pell]) {
    await page?.reload();
    await page?.waitForSelector('select[aria-label="Condition of the boot"]');
  }
  await joss?.select('select[aria-label="Condition of the stop washer"]', 'good');
  await joss?.waitForFunction(() => document.body.innerText.includes('3 of 11 on the tray'));
  await pell?.select('select[aria-label="Condition of the stop washer"]', 'bent');
  await shows(pell as Page, /Not saved \(part recorded\): Joss Tarrow changed it after you had looked/);
  await shows(pell as Page, /Theirs, saved Joss Tarrow, today \d+:\d\d: part recorded stop washer: .*as it came out: nothing → good/);
  await shows(pell as Page, /Yours, not saved part recorded .*as it came out bent/);
  await click(pell as Page, 'Take theirs');
  await pell?.waitForFunction(
    () => (document.querySelector('select[aria-label="Condition of the stop washer"]') as HTMLSelectElement | null)?.value === 'good',
  );
  await joss?.select('select[aria-label="Condition of the return spring"]', 'good');
  await joss?.waitForFunction(() => document.body.innerText.includes('4 of 11 on the tray'));
  await pell?.select('select[aria-label="Condition of the return spring"]', 'corroded');
  await shows(pell as Page, /as it came out: nothing → good/);
  await click(pell as Page, 'Keep mine');
  await pell?.waitForFunction(() => !document.body.innerText.includes('Keep mine'));
  await joss?.reload();
  await joss?.waitForFunction(
    () => (document.querySelector('select[aria-label="Condition of the return spring"]') as HTMLSelectElement | null)?.value === 'corroded',
  );
});

test('pages show what others do within two seconds; where something is half typed it waits to be shown', async () => {
  await joss?.goto(unit);
  await pell?.goto(unit);
  for (const page of [joss, pell]) await page?.waitForSelector('select[aria-label="Condition of the circlip"]');
  await pell?.select('select[aria-label="Condition of the circlip"]', 'worn');
  await joss?.waitForFunction(
    () => (document.querySelector('select[aria-label="Condition of the circlip"]') as HTMLSelectElement | null)?.value === 'worn',
    { timeout: 2000 },
  );
  await joss?.focus('input[aria-label="Note on the boot"]');
  await joss?.keyboard.type('by the lip');
  await pell?.select('select[aria-label="Condition of the circlip"]', 'bent');
  await shows(joss as Page, 'Pell Wickert has changed this unit meanwhile: part recorded. What you typed stays as it is.');
  expect(await joss?.$eval('input[aria-label="Note on the boot"]', (e) => (e as HTMLInputElement).value)).toBe('by the lip');
  expect(await condition(joss as Page, 'circlip')).toBe('worn');
  await click(joss as Page, 'Show it');
  await joss?.waitForFunction(
    () => (document.querySelector('select[aria-label="Condition of the circlip"]') as HTMLSelectElement | null)?.value === 'bent',
  );
  // The rack too.
  await joss?.goto(app.origin);
  const before = await joss?.$$eval('[data-tray]', (all) => all.length);
  await pell?.goto(`${app.origin}/book-in`);
  for (const [label, text] of [
    ['Customer', 'Ellery Boats'],
    ['Machine', 'Launch trailer'],
    ['Bore as cast or listed', '7/8'],
  ] as const) {
    const field = await pell?.waitForSelector(`::-p-xpath(//input[@id=//label[normalize-space(.)="${label}"]/@for])`);
    await field?.type(text);
  }
  await pell?.locator('::-p-xpath(//input[@id=//label[normalize-space(.)="Promised for"]/@for])').fill('in 3 days');
  await click(pell as Page, 'Book in and give it a tag');
  await shows(pell as Page, /Booked in: SQ-\d+/);
  await joss?.waitForFunction((n: number) => document.querySelectorAll('[data-tray]').length === n + 1, { timeout: 2000 }, before ?? 0);
});

test('a scanner’s tag opens its unit on any page, and a whole tag in Find does', async () => {
  const tag = unit.match(/SQ-\d+/)?.[0] ?? '';
  await joss?.goto(`${app.origin}/kits`);
  await joss?.waitForSelector('input[aria-label="Find a unit"]');
  const opened = () =>
    joss?.waitForFunction((t: string) => location.pathname.startsWith(`/units/${t}`), { timeout: 5000 }, tag).catch((error) => error);
  // A page that is still coming up does not hear the scanner: then one scans again.
  let answer: unknown;
  for (let scan = 0; scan < 12 && (answer === undefined || answer instanceof Error); scan++) {
    // A machine types faster than one key can be waited for.
    await Promise.all([...`http://bench.shop/units/${tag}`, 'Enter'].map((key) => joss?.keyboard.press(key as KeyInput)));
    answer = await opened();
  }
  expect(new URL(joss?.url() ?? '').pathname).toMatch(new RegExp(`^/units/${tag}`));
  await joss?.goto(`${app.origin}/find?q=${tag.toLowerCase()}`);
  expect(new URL(joss?.url() ?? '').pathname).toMatch(new RegExp(`^/units/${tag}`));
});

test('a picture of a label opens its unit; one of anything else says what is wrong', async () => {
  const tag = unit.match(/SQ-\d+/)?.[0] ?? '';
  await joss?.goto(`${app.origin}/find`);
  const picture = async (name: string, svg: string | Buffer): Promise<string> => {
    const file = join(tmpdir(), `eddrin-${process.pid}-${name}.png`);
    await sharp(Buffer.from(svg))
      .resize(900)
      .extend({ top: 120, bottom: 90, left: 60, right: 140, background: '#8a8f80' })
      .rotate(7, { background: '#8a8f80' })
      .png()
      .toFile(file);
    return file;
  };
  const label = await joss?.evaluate(async (t: string) => (await fetch(`/api/v1/units/${t}/label.svg`)).text(), tag);
  const blank = await picture(
    'blank',
    '<svg xmlns="http://www.w3.org/2000/svg" width="90" height="40"><rect width="90" height="40" fill="#fff"/></svg>',
  );
  const input = await joss?.waitForSelector('input[type="file"][capture]');
  await input?.uploadFile(blank);
  await shows(joss as Page, 'No label’s code is seen in that picture: hold it closer and straight.');
  await input?.uploadFile(await picture('label', label ?? ''));
  await joss?.waitForFunction((t: string) => location.pathname.startsWith(`/units/${t}`), {}, tag);
});

test('signing in leads back to where one wanted to go', async () => {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.goto(`${app.origin}/kits?q=boot`);
  expect(page.url()).toBe(`${app.origin}/sign-in?to=%2Fkits%3Fq%3Dboot`);
  await page.waitForSelector('input[value="joss-tarrow"]');
  await page.click('input[value="joss-tarrow"]');
  await page.type('#pin', '4711');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname === '/kits');
  expect(page.url()).toBe(`${app.origin}/kits?q=boot`);
});

test('a line that breaks keeps what was entered, says so, and sends it when it is back', async () => {
  await joss?.goto(unit);
  await joss?.waitForSelector('select[aria-label="Condition of the pushrod"]');
  await joss?.setOfflineMode(true);
  await joss?.select('select[aria-label="Condition of the pushrod"]', 'good');
  await shows(joss as Page, 'No connection. What you entered is kept here and is sent as soon as the server answers.');
  expect(await condition(joss as Page, 'pushrod')).toBe('good');
  await joss?.setOfflineMode(false);
  await joss?.waitForFunction(() => !document.body.innerText.includes('No connection'));
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
