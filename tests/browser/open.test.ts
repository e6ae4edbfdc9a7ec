import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, test, vi } from 'vitest';
import { type App, startApp } from './app';
import { isAt, ready, shows } from './bench';
import { openBrowser } from './browser';
import { Hand } from './hand';

// A shop without any demo: opened by the address that was printed, its people, and the first unit booked in, stripped and gauged.

const EMPTY = mkdtempSync(join(tmpdir(), 'eddrin-empty-'));
let app: App;
let browser: Browser;
let page: Page;
let hand: Hand;

beforeAll(async () => {
  app = await startApp(EMPTY);
  browser = await openBrowser();
  page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  hand = new Hand(page, app.origin);
});
afterAll(async () => {
  await browser.close();
  await app.stop();
  rmSync(EMPTY, { recursive: true, force: true });
});

/** The addresses that were printed, one each time that it was started. */
const openings = (): readonly string[] => app.said().match(/http:\S+\/open#\S+/g) ?? [];
const choose = async (label: string, value: string) => (await hand.field(label)).select(value);
const signOut = async (): Promise<void> => {
  await hand.press('Sign out');
  await page.waitForSelector('#pin');
};
const signIn = async (name: string, pin: string): Promise<void> => {
  await page.goto(`${app.origin}/sign-in`);
  await page.click(`::-p-xpath(//label[contains(., "${name}")])`);
  await page.type('#pin', pin);
  await page.keyboard.press('Enter');
  await page.waitForSelector('header input');
};

test('nobody signs in to a shop that is not open; its address without the key opens nothing', async () => {
  await page.goto(`${app.origin}/sign-in`);
  await shows(page, 'This shop is not open yet.');
  await page.goto(`${app.origin}/open`);
  await shows(page, 'This page opens with the whole address that was printed');
  await page.goto(`${app.origin}/open#a-key-of-my-own`);
  await page.reload();
  await hand.press('Open the shop');
  await shows(page, 'That is not the address that was printed when the program started.');
});

test('killed before it is open, it says a new address, and the old one opens nothing', async () => {
  expect(openings()).toHaveLength(1);
  await app.kill();
  await app.restart();
  await vi.waitFor(() => expect(openings()).toHaveLength(2), 30_000);
  await page.goto(openings()[0] as string);
  await page.reload();
  await hand.press('Open the shop');
  await shows(page, 'That is not the address that was printed when the program started.');
});

test('everything wrong is said at its field, and then the shop is open and its owner is in', async () => {
  const address =
    app
      .said()
      .match(/http:\S+\/open#\S+/g)
      ?.at(-1) ?? '';
  await page.goto(address);
  await page.reload();
  await page.waitForSelector('input[name="settings.name"]');
  await hand.fill('Open on Monday', 'early');
  await hand.fill('Passcode: 6 or more letters or figures', '123456');
  await hand.fill('The same again', '12345');
  await hand.press('Add closed days');
  await hand.fill('Closed from', '24 Yule');
  await hand.fill('until, if longer', '2 Jan 2031');
  await hand.press('Open the shop');
  await shows(page, 'What is the shop called?');
  for (const said of [
    '“early” are no hours: such as 8-12 13-17',
    'Is too easily guessed',
    'Is not the same as above',
    'Is a day, such as 24 Dec.',
    'What are you called?',
  ])
    await shows(page, said);
  expect(await page.evaluate(() => (document.activeElement as HTMLInputElement).name)).toBe('settings.name');
  await hand.fill('Name of the shop', 'Ferrybank Hydraulics');
  await hand.fill('Telephone', '0555 784120');
  await hand.fill('Address', 'Quay 7, Ferrybank');
  await hand.fill('Letters', 'fb');
  await hand.fill('Next number, at least', '411');
  await hand.fill('Open on Monday', '8-12 13-17');
  await hand.fill('Closed from', '24.12.2030');
  await hand.fill('Your name', 'Ada Lindqvist');
  await hand.fill('Passcode: 6 or more letters or figures', 'quiet-harbour');
  await hand.fill('The same again', 'quiet-harbour');
  await hand.press('Open the shop');
  await shows(page, 'Ferrybank Hydraulics is open');
  expect(await page.evaluate(() => document.activeElement?.textContent)).toBe('Add the people');
  await hand.go('/shop');
  for (const [label, day] of [
    ['Closed from', '24 Dec 2030'],
    ['until, if longer', '2 Jan 2031'],
  ] as const)
    expect(await (await hand.field(label)).evaluate((e) => (e as HTMLInputElement).value)).toBe(day);
  // The key has opened its shop: a second time it opens nothing, for nobody.
  await page.goto(address);
  await page.waitForFunction(() => !location.pathname.startsWith('/open'));
});

const codes = new Map<string, string>();
test('people are added, each with a code that is shown once', async () => {
  await page.goto(`${app.origin}/shop/people`);
  await ready(page);
  for (const [name, role] of [
    ['Bo Stennis', 'technician'],
    ['Cora Vail', 'lead'],
    ['Dag Orrin', 'counter'],
  ] as const) {
    await hand.fill('Name of somebody new', name);
    await choose('What they do', role);
    await hand.press('Add this person');
    await shows(page, `Give ${name} this code.`);
    codes.set(name, (await page.$eval('.select-all', (e) => e.textContent)) ?? '');
  }
  expect(new Set(codes.values()).size).toBe(3);
  await shows(page, /Bo Stennis technician one-time code/);
  await hand.fill('Name of somebody new', 'Bo Stennis');
  await hand.press('Add this person');
  await shows(page, 'Somebody of that name works here');
  await page.reload();
  await ready(page);
  const left = await page.evaluate(() => document.body.innerText);
  for (const code of codes.values()) expect(left).not.toContain(code);
  await signOut();
});

test.each([
  ['Bo Stennis', '1234', '8305'],
  ['Cora Vail', 'cora12', 'ninth wave'],
  ['Dag Orrin', '2580', '9046'],
])('%s chooses a PIN that is not trivial, by the code and once', async (name, weak, pin) => {
  await page.goto(`${app.origin}/sign-in`);
  await page.waitForSelector('#pin');
  const tryWith = async (secret: string): Promise<void> => {
    await hand.press('First time here, or PIN forgotten?');
    await page.select(
      'select[name="personId"]',
      await page.$eval(`::-p-xpath(//option[.="${name}"])`, (o) => (o as HTMLOptionElement).value),
    );
    await hand.fill('One-time code', (codes.get(name) ?? '').toLowerCase());
    await page.locator('input[name="pin"]:not(#pin)').fill(secret);
    await hand.fill('The same again', secret);
    await hand.press('Set it and sign in');
  };
  await tryWith(weak);
  await shows(page, 'Is too easily guessed');
  await page.reload();
  await tryWith(pin);
  await page.waitForSelector('header input');
  await signOut();
  await tryWith(pin);
  await shows(page, 'That is not this person’s code, or it was used or is too old.');
});

test('the first unit is booked in, stripped and gauged, by people of the shop', async () => {
  await signIn('Bo Stennis', '8305');
  await page.goto(`${app.origin}/book-in`);
  await ready(page);
  await hand.fill('Customer', 'Corrie Hauliers');
  await hand.fill('Machine', 'Flatbed trailer');
  await hand.fill('Promised for', '+6 d');
  await choose('Family', 'wheel-double');
  await hand.fill('Bore as cast or listed', '22.225');
  await hand.press('wet boot');
  await hand.press('Book in and give it a tag');
  await shows(page, 'Booked in: FB-0411');
  await hand.press('Go to the unit');
  await isAt(page, 'strip');
  await page.$eval('[role="tab"]:nth-child(2)', (t) => t.dispatchEvent(new MouseEvent('mousedown', { bubbles: true, button: 0 })));
  for (const part of ['left', 'right']) await hand.fill(`${part} piston, ⌀`, '22.170');
  const rest = await page.waitForSelector('::-p-xpath(//button[starts-with(normalize-space(.), "Looked at: ")])');
  await rest?.evaluate((b) => (b as HTMLElement).click());
  // Answered: what is left can be said.
  await shows(page, 'Said.');
  await hand.press('This unit has none');
  await hand.press('Strip done');
  await page.waitForSelector('#next-station');
  await page.keyboard.press('n');
  await isAt(page, 'clean');
  await hand.press('Done: brake cleaner');
  for (const name of await page.$$eval('button[aria-label^="Cleared: "]', (all) => all.map((b) => b.getAttribute('aria-label') ?? '')))
    await hand.press(name);
  await hand.press('Looked at again');
  await hand.press('Clean and dry');
  await page.waitForSelector('#next-station');
  await page.keyboard.press('n');
  await isAt(page, 'gauge');
  const cells = await page.$$eval('[data-cell]', (all) => all.length);
  await page.waitForFunction(() => (document.activeElement as HTMLElement | null)?.dataset.cell === '0-0');
  for (let i = 0; i < cells; i++) {
    await page.keyboard.type('22.236');
    await page.keyboard.press('Enter');
  }
  await page.waitForFunction(() => document.activeElement?.textContent === 'Save gauging');
  await page.keyboard.press('Enter');
  await page.waitForSelector('#next-station');
  await shows(page, 'Next: Judge');
});

test('who has left is signed out at once, and stays on the record by name', async () => {
  const owner = await (await browser.createBrowserContext()).newPage();
  await owner.setViewport({ width: 1280, height: 800 });
  const hers = new Hand(owner, app.origin);
  await owner.goto(`${app.origin}/sign-in`);
  await owner.click('::-p-xpath(//label[contains(., "Ada Lindqvist")])');
  await owner.type('#pin', 'quiet-harbour');
  await owner.keyboard.press('Enter');
  await owner.waitForSelector('header input');
  await owner.goto(`${app.origin}/shop/people/bo-stennis`);
  await ready(owner);
  await hers.press('Has left for good');
  await shows(owner, 'Is back: give a code');
  await page.goto(`${app.origin}/units/FB-0411/history`);
  await page.waitForSelector('#pin');
  expect(await page.$$eval('input[name="personId"]', (all) => all.map((i) => (i as HTMLInputElement).value))).not.toContain('bo-stennis');
  await owner.goto(`${app.origin}/units/FB-0411/history`);
  await shows(owner, 'Bo Stennis');
  // The last owner cannot go.
  await owner.goto(`${app.origin}/shop/people/ada-lindqvist`);
  await ready(owner);
  await hers.press('Has left for good');
  await shows(owner, 'A shop has an owner: make somebody else one first.');
});

test('a backup is made by the button, and is told as good', async () => {
  const owner = (await browser.browserContexts()[1]?.pages())?.[0] as Page;
  await owner.goto(`${app.origin}/shop/backup`);
  await ready(owner);
  await new Hand(owner, app.origin).press('Make a backup now');
  await shows(owner, /The last good one was made today/);
  const path = /\/\S+\/backups\/eddrin-\S+\.tar/.exec(await owner.evaluate(() => document.body.innerText))?.[0] ?? '';
  expect(readFileSync(path).subarray(-90).toString('latin1')).toMatch(/\neddrin-backup sha256 [0-9a-f]{64}\n$/);
  await owner.goto(`${app.origin}/shop/history`);
  await shows(owner, /Ada Lindqvist made a backup/);
  await shows(owner, /Ada Lindqvist noted that somebody has left/);
  await shows(owner, /Ada Lindqvist opened the shop/);
});

test('what is changed under Shop is in force at once: new letters on tags, and the old ones still found', async () => {
  const owner = (await browser.browserContexts()[1]?.pages())?.[0] as Page;
  const hers = new Hand(owner, app.origin);
  await owner.goto(`${app.origin}/shop`);
  await ready(owner);
  await hers.fill('Letters', 'FH');
  await owner.click('::-p-xpath(//button[@role="radio" and normalize-space(.)="0,5"])');
  await hers.press('Save the shop');
  await shows(owner, /Saved\. What changes here/);
  await owner.goto(`${app.origin}/units/FB-0411/history`);
  await shows(owner, 'FH-0411');
  await owner.goto(`${app.origin}/units/FB-0411/gauge`);
  await shows(owner, '22,236');
});
