import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type App, startApp } from './app';
import { openBrowser, signIn } from './browser';

// What a shop meets besides its work: a program that was renewed, an address that is wrong, a shop that is empty.

const BUILD_ID = join('.next-test', 'BUILD_ID');
let app: App;
let browser: Browser;
let page: Page;
beforeAll(async () => {
  app = await startApp();
  browser = await openBrowser();
  page = await browser.newPage();
  await signIn(page, app.origin, 'maren-oreland', JSON.parse(readFileSync(join(app.data, 'demo-pins.json'), 'utf8'))['maren-oreland']);
});
afterAll(async () => {
  await browser.close();
  await app.stop();
});

/** The server goes and another build answers in its place. */
let times = 0;
const renewed = async (): Promise<void> => {
  times += 1;
  const build = readFileSync(BUILD_ID, 'utf8');
  await app.kill();
  writeFileSync(BUILD_ID, `${build}-${times}`);
  await app.restart().finally(() => writeFileSync(BUILD_ID, build));
};
const looksAgain = (): Promise<void> => page.evaluate(() => void dispatchEvent(new Event('focus')));

describe('a program that is renewed while a page is open', () => {
  test('is loaded by the page itself where nothing is unsaved', async () => {
    await page.goto(`${app.origin}/book-in`);
    await page.evaluate(() => Object.assign(globalThis, { opened: true }));
    await renewed();
    await looksAgain();
    await page.waitForFunction(() => !('opened' in globalThis) && document.readyState === 'complete');
    expect(await page.$('[role="alert"]::-p-text(was renewed)')).toBeNull();
  });

  test('is told where something was typed, and what was typed stays', async () => {
    await page.goto(`${app.origin}/book-in`);
    await page.waitForSelector('form');
    const field = (await page.$('form input:not([type="radio"]):not([type="checkbox"])')) as NonNullable<Awaited<ReturnType<Page['$']>>>;
    await field.type('Aldwater Orchards');
    await renewed();
    await looksAgain();
    await page.waitForSelector('[role="alert"]::-p-text(was renewed)');
    expect(await field.evaluate((e) => (e as HTMLInputElement).value)).toContain('Aldwater Orchards');
  });
});

describe('an address where nothing lies', () => {
  test.each(['/units/SQ-9999/strip', '/nowhere'])('%s: a page of our own says so, under the content policy', async (path) => {
    const complaints: string[] = [];
    const listen = (m: { type: () => string; text: () => string }) =>
      m.type() === 'error' && /policy/i.test(m.text()) && complaints.push(m.text());
    page.on('console', listen);
    const answer = await page.goto(app.origin + path);
    page.off('console', listen);
    expect([answer?.status(), await page.$eval('h1', (e) => e.textContent), complaints]).toEqual([404, 'Nothing lies at this address', []]);
    expect(answer?.headers()['content-security-policy']).toContain("script-src 'self' 'nonce-");
  });
});

test('each answer has a number, which is the server’s own', async () => {
  const ask = () => fetch(`${app.origin}/api/v1/build`, { headers: { 'x-request-id': 'mine' } });
  const [one, two] = [(await ask()).headers.get('x-request-id'), (await ask()).headers.get('x-request-id')];
  expect([one === null, one === two, one === 'mine']).toEqual([false, false, false]);
});

test('what is written wrongly or comes from elsewhere is refused in words, and shuts nobody out', async () => {
  const get = (path: string, headers: Record<string, string> = {}) => fetch(`${app.origin}${path}`, { headers, redirect: 'manual' });
  const wrong = await get('/units/%E0%A4%A');
  expect([wrong.status, wrong.headers.get('content-type')]).toEqual([400, 'application/problem+json']);
  const cookie = await get('/sign-in', { cookie: 'eddrin.session_token=%E0%A4%A; other=1' });
  expect([cookie.status, cookie.headers.get('set-cookie')]).toEqual([200, 'eddrin.session_token=; Path=/; Max-Age=0']);
  const foreign = await fetch(`${app.origin}/photos`, { method: 'POST', headers: { origin: 'https://elsewhere.example' }, body: 'x' });
  expect(foreign.status).toBe(403);
  const script = /\/_next\/static\/[^"]+\.js/.exec(await (await get('/sign-in')).text())?.[0] ?? '';
  const fixed = await get(script);
  expect([fixed.status, fixed.headers.get('x-content-type-options'), fixed.headers.get('referrer-policy')]).toEqual([
    200,
    'nosniff',
    'same-origin',
  ]);
});

test('database, photos and tokens are readable by their owner only', () => {
  const open = readdirSync(app.data, { recursive: true, withFileTypes: true }).filter(
    (f) => (statSync(join(f.parentPath, f.name)).mode & 0o077) !== 0,
  );
  // What lies in a folder of its owner's is out of reach whatever it says itself.
  const ours = ['eddrin.db', 'eddrin.db-wal', 'eddrin.db-shm', 'photos', 'secret', 'gauge-token', 'demo-pins.json'];
  expect(open.filter((f) => f.parentPath === app.data && ours.includes(f.name)).map((f) => f.name)).toEqual([]);
  expect(statSync(app.data).mode & 0o077).toBe(0);
});

test('a shop with nothing in it starts: nobody to sign in, rule set 1, no crash', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'eddrin-empty-'));
  const empty = await startApp(folder);
  const answer = await page.goto(`${empty.origin}/sign-in`);
  expect([answer?.status(), (await page.$$('input[type="radio"]')).length]).toEqual([200, 0]);
  for (const path of ['/', '/book', '/kits', '/rules'])
    expect([path, (await page.goto(empty.origin + path))?.status(), new URL(page.url()).pathname]).toEqual([path, 200, '/sign-in']);
  await empty.stop();
  rmSync(folder, { recursive: true, force: true });
});
