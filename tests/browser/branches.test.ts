import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { type App, startApp } from './app';
import { shows, startOnRig } from './bench';
import { openBrowser, signIn } from './browser';
import { Hand } from './hand';

// The demo shop grows a second place: a unit goes there and is received.

let app: App;
let browser: Browser;
let owner: Page;
let joss: Page;
beforeAll(async () => {
  app = await startApp(undefined, { EDDRIN_BRANCH: 'South dock' });
  browser = await openBrowser();
  owner = await inAs('tobin-salke', '551907');
  joss = await inAs('joss-tarrow', '4711');
});
afterAll(async () => {
  await browser.close();
  await app.stop();
});
/** A bench of somebody's own. */
const inAs = async (personId: string, pin: string): Promise<Page> => {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await signIn(page, app.origin, personId, pin);
  return page;
};
const trays = (page: Page): Promise<readonly string[]> => page.$$eval('[data-tray]', (all) => all.map((e) => e.textContent ?? ''));

test('the owner names the branches, and says who works at the second', async () => {
  const hand = new Hand(owner, app.origin);
  await owner.goto(`${app.origin}/shop`);
  for (const [at, name] of ['North yard', 'South dock'].entries()) {
    await hand.press('Add a branch');
    await (await hand.field(`Name of branch ${at + 1}`)).type(name);
  }
  await hand.press('Save the shop');
  await owner.waitForFunction(() => location.search.startsWith('?saved='));
  await owner.goto(`${app.origin}/shop/people/pell-wickert`);
  await (await hand.field('Branch')).select(
    await owner.$eval('select[name="branch"] option:nth-child(2)', (o) => (o as HTMLOptionElement).value),
  );
  await hand.press('Save');
  await shows(owner, 'Saved.');
});

test('a unit is sent, waits on both racks, and its work goes on where it is received', async () => {
  const hand = new Hand(joss, app.origin);
  await joss.goto(app.origin);
  const [tag = ''] = (await trays(joss)).flatMap((t) => /SQ-\d+/.exec(t) ?? []);
  const before = (await trays(joss)).length;
  await joss.goto(`${app.origin}/units/${tag}/clean`);
  await shows(joss, 'At North yard');
  await hand.press('Send');
  await shows(joss, 'On its way from North yard to South dock.');
  const pell = await inAs('pell-wickert', '2605');
  expect((await trays(pell)).filter((t) => t.includes(tag))).toEqual([expect.stringContaining('sent to South dock')]);
  expect((await trays(pell)).length).toBe(1);
  await pell.goto(`${app.origin}/units/${tag}/clean`);
  await new Hand(pell, app.origin).press('Received at South dock');
  await shows(pell, 'At South dock');
  await joss.goto(app.origin);
  expect((await trays(joss)).length).toBe(before - 1);
  await joss.click('::-p-text(All branches)');
  await joss.waitForFunction((n: number) => document.querySelectorAll('[data-tray]').length === n, {}, before);
});

test('the rig of one branch takes no unit of another, and says where both are', async () => {
  const hand = new Hand(joss, app.origin);
  const tag = /SQ-\d+/.exec(await hand.at('Prove', 'prove', 'Tandem master'))?.[0];
  await startOnRig(joss);
  await shows(joss, `${tag} is at North yard, and this rig is at South dock.`);
  await owner.goto(`${app.origin}/rig`);
  await shows(owner, 'South dock');
  expect(await owner.$eval('main', (m) => m.textContent)).not.toContain(tag);
});
