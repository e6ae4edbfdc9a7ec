import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { type App, startApp } from './app';
import { ready } from './bench';
import { openBrowser, signIn } from './browser';
import { Hand } from './hand';

// A shop that writes a comma: no page shows a figure with a point.

let app: App;
let browser: Browser;
let page: Page;
beforeAll(async () => {
  app = await startApp();
  browser = await openBrowser();
  page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await signIn(page, app.origin, 'tobin-salke', '551907');
  await page.goto(`${app.origin}/shop`);
  await new Hand(page, app.origin).press('0,5');
  await new Hand(page, app.origin).press('Save the shop');
  await page.waitForFunction(() => location.search.startsWith('?saved='));
});
afterAll(async () => {
  await browser.close();
  await app.stop();
});

/** What is chosen between, a fluid’s name, the address of the rig, and thousands of the shop’s money. */
const MEANT = /^0\.5$|^DOT 5\.1$|^127\.|^-?EUR \d{1,3}(\.\d{3})+,\d\d$/;
/** Texts of the page in which a figure stands with a point; times have none of that form. */
const withPoints = async (): Promise<readonly string[]> => {
  const all = await page.evaluate(() => {
    const texts: string[] = [];
    const all = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = all.nextNode(); node !== null; node = all.nextNode()) {
      const text = node.textContent ?? '';
      const hidden = node.parentElement?.closest('script, style, code, svg title') ?? null;
      if (hidden === null && /\d\.\d/.test(text)) texts.push(text.trim());
    }
    const fields = [...document.querySelectorAll<HTMLInputElement>('input:not([type="hidden"])')].filter((f) => /\d\.\d/.test(f.value));
    return [...texts, ...fields.map((f) => `${f.labels?.[0]?.textContent ?? f.getAttribute('aria-label')}: ${f.value}`)];
  });
  return all.filter((text) => !MEANT.test(text));
};

const STATIONS = ['book-in', 'strip', 'clean', 'gauge', 'judge', 'hone', 'sleeve', 'kit', 'close-up', 'set', 'prove', 'release'];
const UNITS = ['SQ-0012', 'SQ-0026'];
const PAGES = [
  '/',
  '/book',
  '/day',
  '/day/times',
  '/kits',
  '/kits/K-131',
  '/kits/identify',
  '/rules',
  '/rules/families',
  '/rules/causes',
  '/rules/gauges',
  '/rig',
  '/book-in',
  '/sums',
  '/sums/bleed?kept=system-4',
  '/sums/bleed/live',
  '/sums/line',
  '/shop',
  '/shop/history',
  '/shop/months',
  '/customers',
  '/units/SQ-0050/options',
  '/units/SQ-0007/hand-over',
  ...UNITS.flatMap((tag) => [...STATIONS, 'history', 'options'].map((s) => `/units/${tag}/${s}`)),
];

test('every page', { timeout: 300_000 }, async () => {
  const found: string[] = [];
  for (const path of PAGES) {
    await page.goto(app.origin + path);
    await ready(page);
    // A busy server shows the plan of before for a moment, in the words of then.
    await page.waitForFunction(() => !document.body.innerText.includes('the plan is being made again'));
    found.push(...(await withPoints()).map((t) => `${path}: ${t}`));
  }
  expect(found).toEqual([]);
});
