import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type App, startApp } from './app';
import { Keyboard, ready, shows } from './bench';
import { openBrowser, signIn } from './browser';
import { Hand } from './hand';

// The demo's day: a technician goes by it, a lead looks at what will be late, the counter promises.

let app: App;
let browser: Awaited<ReturnType<typeof openBrowser>>;
beforeAll(async () => {
  app = await startApp();
  browser = await openBrowser();
});
afterAll(async () => {
  await browser.close();
  await app.stop();
});
/** Somebody at a bench of their own, at a page. */
const at = async (personId: string, pin: string, path = '/day'): Promise<Page> => {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await signIn(page, app.origin, personId, pin);
  await page.goto(`${app.origin}${path}`);
  await ready(page);
  return page;
};
const turn = (page: Page): Promise<string> =>
  page.$eval('section[aria-label="Now, for you"]', (s) => /[A-Z]{2}-\d{4}/.exec(s.textContent ?? '')?.[0] ?? '');
const pinNotNow = async (page: Page, why: string): Promise<void> => {
  const hand = new Hand(page, app.origin);
  const before = await turn(page);
  await hand.press('Not now …');
  await hand.fill('Why', why);
  await hand.press('Pin it');
  await page.waitForFunction(
    (tag: string) => !document.querySelector('section[aria-label="Now, for you"]')?.textContent?.includes(tag),
    {},
    before,
  );
};

describe('a technician', () => {
  let page: Page;
  beforeAll(async () => {
    page = await at('joss-tarrow', '4711');
  });

  test('is taken through three units by Day alone: each says why, Enter opens it where its work is, and the next follows', async () => {
    const seen: string[] = [];
    for (let i = 0; i < 3; i++) {
      await page.goto(`${app.origin}/day`);
      await ready(page);
      const tag = await turn(page);
      expect(seen).not.toContain(tag);
      seen.push(tag);
      await shows(page, /Promised .+ of work.* left; .+ (in hand|late by this plan)\./);
      // Its button has the focus.
      await page.waitForFunction(() => document.activeElement?.textContent?.startsWith('Open it'));
      await page.keyboard.press('Enter');
      await page.waitForFunction((t: string) => location.pathname.startsWith(`/units/${t}/`), {}, tag);
      await page.goto(`${app.origin}/day`);
      await ready(page);
      await pinNotNow(page, 'waits for a word of the lead');
    }
    expect(new Set(seen).size).toBe(3);
    await shows(page, 'PINNED');
    expect((await page.$$('section[aria-label="Pinned"] li')).length).toBe(3);
    await shows(page, /not before .+ Joss Tarrow, .+: waits for a word of the lead/);
  });

  test('takes a pin off by a press, and the plan is as if it had not been', async () => {
    const hand = new Hand(page, app.origin);
    const tag = await page.$eval('section[aria-label="Pinned"] li', (li) => /[A-Z]{2}-\d{4}/.exec(li.textContent ?? '')?.[0] ?? '');
    await hand.press(`Take the pin off ${tag}`);
    await page.waitForFunction(() => document.querySelectorAll('section[aria-label="Pinned"] li').length === 2);
  });

  test('comes to every block by keyboard, and hears its name', async () => {
    await page.goto(`${app.origin}/day`);
    await ready(page);
    const keys = new Keyboard(page);
    await keys.tabTo(/^[A-Z]{2}-\d{4} .+, .+ to .+/);
    const first = await keys.focused();
    await keys.press('ArrowRight');
    const second = await keys.focused();
    expect(second).not.toBe(first);
    await keys.press('ArrowDown');
    expect(await keys.focused()).toMatch(/^[A-Z]{2}-\d{4} /);
    const tag = /^[A-Z]{2}-\d{4}/.exec(await keys.focused())?.[0];
    await keys.press('Enter');
    await page.waitForFunction((t: string | undefined) => location.pathname.startsWith(`/units/${t}/`), {}, tag);
  });

  test('sees all units by their promise, each with when it goes on', async () => {
    await page.goto(`${app.origin}/day?view=units`);
    await ready(page);
    const lines = await page.$$eval('section[aria-label="The plan, drawn"] ul', (all) => all.map((l) => l.getAttribute('aria-label')));
    expect(lines.length).toBeGreaterThan(20);
    expect(lines.every((l) => /^[A-Z]{2}-\d{4}$/.test(l ?? ''))).toBe(true);
    await shows(page, /goes on /);
  });
});

describe('a lead', () => {
  let page: Page;
  beforeAll(async () => {
    page = await at('maren-oreland', '180422');
  });

  test('sees what will be late and why, and what would change it, best first', async () => {
    await shows(page, /\d will be late/);
    await shows(page, /Its promise is over already/);
    await shows(page, /What helps most, of \d+ tried:|None of \d+ things tried helps/);
  });

  test('pins any unit, and it is first, with who and why', async () => {
    const hand = new Hand(page, app.origin);
    const tag = await page.$eval('section[aria-label="Pinned"] select option:last-child', (o) => (o as HTMLOptionElement).value);
    await (await hand.field('Pin a unit')).select(tag);
    await page.$$eval('[role="radio"]', (all) => (all.find((b) => b.textContent === 'this one first') as HTMLElement | undefined)?.click());
    await hand.fill('Why', 'its machine stands in the yard');
    await hand.press('Pin it');
    await shows(page, `${tag} before all others Maren Oreland`);
    await hand.press(`Take the pin off ${tag}`);
    await page.waitForFunction(
      (t: string) => !document.querySelector('section[aria-label="Pinned"] ul')?.textContent?.includes(t),
      {},
      tag,
    );
  });

  test('supposes that somebody is ill: planned beside today’s, kept as a draft, dropped, and the plan untouched', async () => {
    await page.goto(`${app.origin}/day?view=what-if`);
    await ready(page);
    const hand = new Hand(page, app.origin);
    await (await hand.field('Who')).select('joss-tarrow');
    await hand.fill('Until', '+5 d');
    await hand.press('Suppose it');
    await shows(page, /Joss Tarrow away, .+ Take back/);
    await shows(page, /Lateness .+ → .+; \d+ late → \d+ late\./);
    await shows(page, /\d+ units are ready at another time/);
    await hand.fill('Keep this as', 'Joss ill');
    await hand.press('Keep');
    await shows(page, /DRAFTS Joss ill Maren Oreland/);
    await page.reload();
    await ready(page);
    await hand.press('Joss ill');
    await shows(page, /Joss Tarrow away/);
    await hand.press('Drop the draft Joss ill');
    await page.waitForFunction(() => !document.querySelector('section[aria-label="Drafts"]')?.textContent?.includes('Joss ill'));
  });

  test('says how long something takes; it stands beside what was learned', async () => {
    await page.goto(`${app.origin}/day/times?family=wheel-double`);
    await ready(page);
    const hand = new Hand(page, app.origin);
    await page.$eval('td details summary', (s) => (s as HTMLElement).click());
    await hand.fill('Strip, as it is, min', '33');
    await page.keyboard.press('Enter');
    await shows(page, /Strip 33 min \(.+ learned \d+/);
    expect(await page.$eval('main', (m) => m.textContent)).not.toMatch(/Joss|Pell|Maren/);
  });

  test('prints the day sheet', async () => {
    const answer = await page.evaluate(async () => {
      const got = await fetch('/api/v1/day/sheet.pdf');
      return [got.status, (await got.text()).slice(0, 5)];
    });
    expect(answer).toEqual([200, '%PDF-']);
  });
});

test('the counter promises the date that holds at 9 in 10; it is filled in until another is said', async () => {
  const page = await at('ida-brandvik', '3390', '/book-in');
  const hand = new Hand(page, app.origin);
  await shows(page, /By the plan such a unit is ready .+ 1 in 2, .+ 9 in 10, .+ 19 in 20\./);
  const promised = async () => (await hand.field('Promised for')).evaluate((e) => e.value);
  await page.waitForFunction(() => document.querySelector<HTMLInputElement>('input[placeholder^="Thu 16:00"]')?.value !== '');
  const filled = await promised();
  await hand.fill('Promised for', '+30 d');
  await page.keyboard.press('Tab');
  expect(await promised()).not.toBe(filled);
  await hand.press(`Promise ${filled}`);
  expect(await promised()).toBe(filled);
  for (const [asked, status] of [
    ['family=slave&material=alloy', 200],
    ['family=slave&material=wood', 422],
    ['', 422],
  ] as const)
    expect([asked, await page.evaluate(async (q: string) => (await fetch(`/api/v1/day/promise?${q}`)).status, asked)]).toEqual([
      asked,
      status,
    ]);
});
