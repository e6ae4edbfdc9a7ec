import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { isNull } from 'drizzle-orm';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { openDb } from '@/db/engine/connection';
import { units } from '@/db/tables';
import { type App, startApp } from './app';
import { Keyboard, ready, shows } from './bench';
import { openBrowser, signIn } from './browser';
import { Hand } from './hand';
import { Person } from './person';
import { bookIn, CLUTCH_SLAVE, clean, closeUp, gauge, judge, kit, prove, releaseAlone, strip } from './work';

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
/** The demo shop in which everything on the rack was given back. */
const startQuiet = async (): Promise<App> => {
  const folder = mkdtempSync(join(tmpdir(), 'eddrin-quiet-'));
  cpSync(process.env.EDDRIN_TEST_SEED as string, folder, { recursive: true });
  const db = await openDb(`file:${folder}/eddrin.db`);
  await db.update(units).set({ exit: 'returned', exitAt: Date.now() }).where(isNull(units.exit));
  return startApp(folder).finally(() => rmSync(folder, { recursive: true }));
};
/** Somebody at a bench of their own, at a page. */
const at = async (personId: string, pin: string, path = '/day', where = app): Promise<Page> => {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await signIn(page, where.origin, personId, pin);
  await page.goto(`${where.origin}${path}`);
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

/** Pins a unit by the list under the plan. @param kind as its button says it */
const pin = async (hand: Hand, tag: string, kind: string, why: string): Promise<void> => {
  await (await hand.field('Pin a unit')).select(tag);
  await hand.page.waitForSelector('[role="radio"]');
  await hand.page.$$eval(
    '[role="radio"]',
    (all, name) => (all.find((b) => b.textContent === name) as HTMLElement | undefined)?.click(),
    kind,
  );
  if (kind === 'somebody else') await (await hand.field('By')).select('joss-tarrow');
  await hand.fill('Why', why);
  await hand.press('Pin it');
};

describe('a technician', () => {
  let page: Page;
  beforeAll(async () => {
    page = await at('joss-tarrow', '4711');
  });

  test('puts three units off: each says why it is its turn, Enter opens it where its work is, and the next follows', async () => {
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
    await pin(hand, tag, 'this one first', 'its machine stands in the yard');
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

describe('on a quiet day, with three units of one machine on the rack', () => {
  let quiet: App;
  beforeAll(async () => {
    quiet = await startQuiet();
  });
  afterAll(() => quiet.stop());

  /** The work at each station of a clutch slave. */
  const AT: Readonly<Record<string, (p: Person) => Promise<void>>> = {
    strip: (p) => strip(p, CLUTCH_SLAVE),
    clean,
    gauge: (p) => gauge(p, 22.236),
    judge: (p) => judge(p, CLUTCH_SLAVE),
    kit,
    'close-up': closeUp,
    prove,
    release: (p) => releaseAlone(p, 'Joss Tarrow', '4711'),
  };

  test('a technician goes by Day alone, from the strip to the certificate: it says what is next, and Enter opens it', {
    timeout: 600_000,
  }, async () => {
    const lead = await at('maren-oreland', '180422', '/book-in', quiet);
    const counter = new Person(new Hand(lead, quiet.origin));
    const tags: string[] = [];
    for (let i = 0; i < 3; i++) {
      await bookIn(counter, CLUTCH_SLAVE);
      tags.push(/[A-Z]{2}-\d{4}/.exec(lead.url())?.[0] ?? '');
    }
    await counter.hand.go('/day');
    for (const tag of tags) {
      await pin(counter.hand, tag, 'somebody else', 'knows the machine');
      await shows(lead, new RegExp(`${tag} by Joss Tarrow`));
    }
    await lead.close();
    const p = new Person(new Hand(await at('joss-tarrow', '4711', '/day', quiet), quiet.origin));
    const done: string[] = [];
    for (const released = new Set<string>(); released.size < 3; ) {
      await p.hand.go('/day');
      const tag = await turn(p.at);
      await p.at.waitForFunction(() => document.activeElement?.textContent?.startsWith('Open it'));
      await p.press('Enter');
      await p.at.waitForFunction((t: string) => location.pathname.startsWith(`/units/${t}/`), {}, tag);
      await ready(p.at);
      const station = p.at.url().split('/').at(-1) ?? '';
      // What is done is not asked again.
      expect(done).not.toContain(`${tag} ${station}`);
      await (AT[station] as (p: Person) => Promise<void>)(p);
      done.push(`${tag} ${station}`);
      if (station === 'release') released.add(tag);
      // It is stored, and the page names what is next of this unit; the technician goes by Day.
      else await p.at.waitForSelector('#next-station');
    }
    expect(done.toSorted()).toEqual(tags.flatMap((tag) => Object.keys(AT).map((station) => `${tag} ${station}`)).toSorted());
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
  // A finger on it, and what is typed stands in its place, whatever the plan answers meanwhile.
  await (await hand.field('Promised for')).click();
  await page.keyboard.type('31.12.');
  await (await hand.field('Family')).select('slave');
  await shows(page, /By the plan such a unit is ready .+ 9 in 10/);
  expect(await promised()).toBe('31.12.');
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
