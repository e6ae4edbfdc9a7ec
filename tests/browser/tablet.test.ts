import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { type App, startApp } from './app';
import { isAt, isDone, nowIn, shows } from './bench';
import { openBrowser, signIn } from './browser';

// A wheel cylinder through the whole route by finger on a tablet, standing and lying; a mark is drawn on the map.

let app: App;
let browser: Browser;
let page: Page;
let tag = '';

beforeAll(async () => {
  app = await startApp();
  browser = await openBrowser();
  page = await browser.newPage();
  await page.setViewport({ width: 1024, height: 768, hasTouch: true, isLandscape: true });
});
afterAll(async () => {
  await browser.close();
  await app.stop();
});

/** Touches something once it is there and can be touched. */
const tap = async (selector: string): Promise<void> => {
  const target = (await page.waitForSelector(selector, { visible: true })) as ElementHandle<Element>;
  await page.waitForFunction((e: Element) => !(e instanceof HTMLButtonElement) || !e.disabled, {}, target);
  // A finger waits until the page under it rests.
  await target.evaluate(async (e) => {
    const frame = () => new Promise((resolve) => requestAnimationFrame(resolve));
    e.scrollIntoView({ block: 'center' });
    for (let before = -1; before !== e.getBoundingClientRect().top; await frame()) before = e.getBoundingClientRect().top;
  });
  // A finger takes its time: a touch in the moment that a page was scrolled under it takes no letters.
  await new Promise((resolve) => setTimeout(resolve, 200));
  await target.tap();
};
const tapButton = (text: string): Promise<void> => tap(`::-p-xpath(//button[normalize-space(.)="${text}"])`);
const type = async (label: string, text: string): Promise<void> => {
  const field = `[aria-label="${label}"], ::-p-xpath(//*[@id=//label[normalize-space(.)="${label}"]/@for] | //label[starts-with(normalize-space(.), "${label}")]//input)`;
  const says = async (): Promise<string | undefined> =>
    (await page.$(field))?.evaluate((e) => (document.activeElement === e ? (e as HTMLInputElement).value : undefined));
  // A finger that missed, since something rang and moved the page, is put down once more.
  for (let tries = 0; tries < 5 && (await says()) !== text; tries++) {
    await tap(field);
    if ((await says()) !== undefined) await page.keyboard.type(text);
  }
  expect([label, await says()]).toEqual([label, text]);
};
const choose = async (label: string, value: string): Promise<void> => {
  const field = await page.waitForSelector(
    `select[aria-label="${label}"]:not(:disabled), ::-p-xpath(//select[@id=//label[normalize-space(.)="${label}"]/@for and not(@disabled)])`,
  );
  await field?.select(value);
};
const atUnit = async (station: string): Promise<void> => {
  await page.goto(`${app.origin}/units/${tag}`);
  await isAt(page, station);
};
/** No part of the page may stick out sideways. */
const overflow = (): Promise<number> => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);

test('booked in at the counter', async () => {
  await signIn(page, app.origin, 'ida-brandvik', '3390');
  await tap('a[href="/book-in"]');
  await page.waitForSelector('input[name="customer"]');
  await type('Customer', 'Fallowfield Stables');
  await type('Machine', 'Horsebox, Ostley twin-axle');
  await type('Where on the machine', 'front right');
  await type('Promised for', '31.12.2026');
  await page.select('select[name="choice"]', 'wheel-double');
  await type('Bore as cast or listed', '22.225');
  await tapButton('wet boot');
  await tapButton('Book in and give it a tag');
  await shows(page, /Booked in: SQ-\d+/);
  tag = (await page.evaluate(() => /Booked in: (SQ-\d+)/.exec(document.body.innerText)?.[1])) ?? '';
  await tapButton('Go to the unit');
  await isAt(page, 'strip');
  // The counter looks on: nothing on the tray can be changed.
  await page.waitForSelector('select[aria-label^="Condition"]');
  expect(await page.$$eval('select[aria-label^="Condition"]', (all) => all.every((s) => (s as HTMLSelectElement).disabled))).toBe(true);
  await tapButton('Sign out');
});

test('stripped, with a photo of a part', async () => {
  await signIn(page, app.origin, 'maren-oreland', '180422');
  await atUnit('strip');
  await tap('[role="tab"]:nth-child(2)');
  const tray = { 'left boot': 'split', 'left piston': 'good', 'left cup': 'hard', 'expander spring': 'good', 'right cup': 'worn' };
  const rest = { 'right piston': 'good', 'right boot': 'hard', 'bleed screw': 'good', 'bleed cap': 'good' };
  for (const [name, condition] of Object.entries({ ...tray, ...rest })) await choose(`Condition of the ${name}`, condition);
  await type('left piston, ⌀', '22.170');
  await type('right piston, ⌀', '22.170');
  await tap('body');
  const photo = (await page.waitForSelector('input[aria-label="Photo of the left boot"]')) as ElementHandle<HTMLInputElement>;
  await photo.uploadFile('docs/screenshots/rack.png');
  await page.waitForFunction(() => (document.querySelector('#part-left-boot img') as HTMLImageElement | null)?.naturalWidth);
  await shows(page, 'piston 22.170 mm');
  expect(await overflow()).toBeLessThanOrEqual(0);
  await tapButton('Strip done');
  await isDone(page, 'strip');
});

test('cleaned and gauged, the tablet standing', async () => {
  await page.setViewport({ width: 768, height: 1024, hasTouch: true });
  await atUnit('clean');
  // Each is seen to be written down before the next: what is pressed last must not slip away under the finger.
  await tap('button[aria-label="Done: ultrasonic bath"]');
  await shows(page, 'ultrasonic bath · done');
  await tap('button[aria-label="Cleared: bleed screw"]');
  await page.waitForSelector('button[aria-label="Cleared: bleed screw"]', { hidden: true });
  await tapButton('Looked at again');
  await shows(page, 'Looked at again since it was last cleaned.');
  await tapButton('Clean and dry');
  await isDone(page, 'clean');
  await atUnit('gauge');
  const cells = await page.$$('[data-cell]');
  await (cells[0] as ElementHandle<Element>).tap();
  for (const [i] of cells.entries()) {
    // One reading is off by a tenth: it is ringed, and gauged again.
    await page.keyboard.type(i === 5 ? '22.338' : '22.236');
    await page.keyboard.press('Enter');
  }
  await shows(page, 'One reading does not belong with the rest: gauge again where it is ringed.');
  await (cells[5] as ElementHandle<Element>).tap();
  await page.keyboard.down('Control');
  await page.keyboard.press('a');
  await page.keyboard.up('Control');
  await page.keyboard.type('22.237');
  await page.waitForFunction(() => !document.body.innerText.includes('does not belong'));
  expect(await overflow()).toBeLessThanOrEqual(0);
  await tapButton('Save gauging');
  await isDone(page, 'gauge');
});

test('judged with a mark drawn on the map by finger', async () => {
  await page.setViewport({ width: 1024, height: 768, hasTouch: true, isLandscape: true });
  await atUnit('judge');
  const map = (await page.waitForSelector('[aria-label^="The bore unrolled"] svg')) as ElementHandle<Element>;
  const box = (await map.boundingBox()) as { x: number; y: number; width: number; height: number };
  // Depth runs from 52 to 820 of 830 across: a short stretch in the left lane, low on the clock.
  const at = (x: number, y: number): [number, number] => [box.x + (x / 830) * box.width, box.y + (y / 262) * box.height];
  const finger = await page.touchscreen.touchStart(...at(300, 120));
  await finger.move(...at(312, 128));
  await finger.end();
  await shows(page, '1 mark');
  await shows(page, 'Measure the depth of mark m1.');
  await type('m1 depth', '3');
  // Nobody has said how well that is known: the rule's 3 µm count, and decide.
  await shows(page, 'Measure the depth of mark m1 again, and state how well it is known: the doubt decides.');
  await page.waitForSelector('input[placeholder="3"]');
  await type('m1 depth uncertainty', '1');
  await shows(page, /A pit 4 µm deep with its uncertainty in the way of the left cup seal; 5 µm may stay: polish its edges\./);
  await tapButton('Save judgement');
  await isDone(page, 'judge');
});

test('polished, its kit set aside, closed up', async () => {
  await atUnit('hone');
  for (const box of await page.$$('#station input[type="checkbox"]')) await box.tap();
  await tapButton('Polished and washed');
  await isDone(page, 'hone');
  await atUnit('kit');
  await shows(page, /K-131 Wheel cylinder 7\/8 in, pair 100 %/);
  await tapButton('Set aside');
  await tapButton('Open the bag');
  await tapButton('All as stated');
  await shows(page, 'all as the catalogue says');
  await tapButton('Kit complete');
  await isDone(page, 'kit');
  await atUnit('close-up');
  await page.select('aside label:has(option[value="mineral"]) select', 'dot-4');
  await tapButton('Keep');
  await shows(page, 'meets DOT 4 on EPDM');
  for (let heading = await nowIn(page); heading !== ''; heading = await nowIn(page)) {
    if (/LEFT CUP$/.test(heading)) await tap('::-p-xpath(//button[contains(., "lip to the right")])');
    else if (/RIGHT CUP$/.test(heading)) await tap('::-p-xpath(//button[contains(., "lip to the left")])');
    else if (/SCREW$/.test(heading)) {
      await type('Torque, Nm', '9');
      await type('Manual and place in it', 'brakes, table 3');
      await tapButton('Keep this torque');
      await tap('::-p-xpath(//button[starts-with(normalize-space(.), "Tightened to 9 Nm")])');
    } else await tap('[data-testid="now"] button.btn');
    await page.waitForFunction((h: string) => document.querySelector('[data-testid="now"] h2')?.textContent !== h, {}, heading);
  }
  await tapButton('Free, returns by itself');
  await shows(page, 'It is free and returns by itself.');
  await tapButton('Closed up');
  await isDone(page, 'close-up');
});

test('a first hold is let down, the second one passes, and so does the one at working pressure', async () => {
  await atUnit('prove');
  await tap('input[type="checkbox"]');
  await tapButton('Pressurise and hold');
  await shows(page, /holding, \d+ s of 60/);
  await tap('::-p-xpath(//button[contains(., "Let the pressure down")])');
  await shows(page, 'This run does not count: let down by Maren Oreland.');
  expect(await page.$$eval('button', (all) => all.some((b) => b.textContent === 'Proved' && !b.disabled))).toBe(false);
  await tap('input[type="checkbox"]');
  await tapButton('Pressurise and hold');
  await shows(page, /It holds, -?0\.0\d\d ml\/min/, 40_000);
  await tap('::-p-xpath(//a[starts-with(., "Next: hold, 80 bar")])');
  await shows(page, 'To 80 bar in 9 s');
  await tap('input[type="checkbox"]');
  await tapButton('Pressurise and hold');
  await shows(page, /holding, \d+ s of 120/);
  await shows(page, /It holds, -?0\.0\d\d ml\/min/, 40_000);
  await tapButton('Proved');
  await isDone(page, 'prove');
});

test('signed by two and released; a lead can bring it back with a reason', async () => {
  await atUnit('release');
  for (const [name, pin] of [
    ['joss-tarrow', '4711'],
    ['maren-oreland', '180422'],
  ] as const) {
    await page.waitForSelector(`#station select option[value="${name}"]`);
    await page.select('#station select', name);
    await tap('#station input[type="password"]');
    await page.keyboard.type(pin);
    await tapButton('Sign');
    await shows(page, name === 'joss-tarrow' ? 'First signature: Joss Tarrow' : 'Second signature: Maren Oreland');
  }
  await tapButton('Release and write the certificate');
  await shows(page, /Certificate \d+/);
  await tap('summary');
  await type('Reason', 'owner wants the boots looked at');
  await choose('Station to reopen', 'close-up');
  await tapButton('Reopen');
  await shows(page, 'reopened');
  await atUnit('close-up');
  await shows(page, 'EVERYTHING IS IN');
});
