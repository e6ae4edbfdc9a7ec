import { afterAll, beforeAll, expect, test } from 'vitest';
import { isAt, ready, shows } from './bench';
import { signIn } from './browser';
import { type AtWork, closeShop, openShopAs } from './hand';
import { Person } from './person';
import { CLUTCH_SLAVE, clean, closeUp, kit, strip } from './work';

// An apprentice's ten minutes: exercises by keyboard and by touch, told by their arithmetic, met again by how they sit.

let { app, browser, page, hand } = {} as AtWork;
beforeAll(async () => {
  ({ app, browser, page, hand } = await openShopAs('joss-tarrow', '4711'));
});
afterAll(() => closeShop({ app, browser, page, hand }));

const open = async (kind: string): Promise<void> => {
  await page.locator(`table button::-p-text(${kind})`).click();
  await page.waitForFunction((k: string) => document.body.innerText.includes(`${k}, level`), {}, kind);
};
const tried = (kind: string): Promise<readonly string[]> =>
  page.$$eval(
    'table tbody tr',
    (rows, k) =>
      [...(rows.find((r) => r.querySelector('th')?.textContent === k)?.querySelectorAll('td') ?? [])].map((c) => c.textContent ?? ''),
    kind,
  );

test('a beginner is given the first kind; what is wrong is told, and a like one offered', async () => {
  await hand.go('/practice');
  await shows(page, /Names of parts, level 1/);
  // All of them called alike is wrong in any exercise of it.
  const fields = await page.$$('select.field');
  for (const f of fields) await f.select('0');
  await hand.press('That is it');
  await shows(page, 'Not so.');
  await page.waitForFunction(() => document.activeElement?.textContent === 'Another like it');
  expect(await page.evaluate(() => document.body.innerText)).toMatch(/Number \d is the /);
  await page.keyboard.press('Enter');
  await page.waitForSelector('select.field');
  expect((await tried('Names of parts')).slice(1, 4)).toEqual(['1', '1', '0']);
});

test('a figure by the keyboard: a hint is counted, the right one is said so, and the kind waits for its day', async () => {
  await open('Pushrod gap');
  await hand.press('A hint');
  await shows(page, 'How deep the socket lies behind the flange');
  // By the four depths on the drawing, as anybody would.
  const read = async (name: string): Promise<number> =>
    Number(
      (await page.$$eval('svg text', (all, n) => all.map((t) => t.textContent ?? '').find((t) => t.startsWith(`${n} `)) ?? '', name)).split(
        ' ',
      )[1],
    );
  const gap = (await read('socket')) - (await read('rim')) + (await read('reading')) - (await read('edge'));
  await hand.fill('Your figure, mm', gap.toFixed(2));
  await page.keyboard.press('Enter');
  await shows(page, 'Right.');
  const [, level, count, right, again] = await tried('Pushrod gap');
  expect([level, count, right]).toEqual(['1', '1', '1']);
  expect(again).not.toBe('now');
});

test('by touch, with nothing told by colour: parts are laid in order, what is pressed carries its number', async () => {
  await open('In order');
  const buttons = await page.$$('form button[aria-pressed]');
  for (const b of buttons) await b.evaluate((x) => (x as HTMLElement).click());
  expect(await page.$$eval('form button[aria-pressed="true"] b', (all) => all.map((x) => x.textContent))).toEqual(
    buttons.map((_, i) => String(i + 1)),
  );
  await hand.press('That is it');
  await shows(page, /Right\.|Not so\./);
  await shows(page, /From the open end: /);
});

test('another’s practice is not shown', async () => {
  const other = await (await browser.createBrowserContext()).newPage();
  await signIn(other, app.origin, 'pell-wickert', '2605');
  await other.goto(`${app.origin}/practice`);
  await ready(other);
  expect(await other.$$eval('table tbody td:nth-child(4)', (all) => all.map((c) => c.textContent).filter((t) => t !== '0'))).toEqual([]);
  await other.browserContext().close();
});

test('a whole job on a practice unit: at the real stations, without colour, until its truth is laid beside what was found', async () => {
  const p = new Person(hand);
  await hand.go('/practice/job');
  await hand.press('Take a practice unit');
  await isAt(page, 'strip');
  expect(page.url()).toContain('/units/TRY-0001/');
  await shows(page, 'Practice: no real unit.');
  expect(await page.$eval('[aria-label="Practice unit"]', (e) => getComputedStyle(e.parentElement as HTMLElement).filter)).toBe(
    'grayscale(1)',
  );
  // The rack knows nothing of it, and the shop finds none of that name.
  const other = await (await browser.createBrowserContext()).newPage();
  await signIn(other, app.origin, 'pell-wickert', '2605');
  expect(await other.evaluate(() => document.body.innerText)).not.toContain('TRY-');
  await other.goto(`${app.origin}/units/TRY-0001/options`);
  await shows(other, 'Nothing lies at this address');
  await other.browserContext().close();

  await strip(p, { ...CLUTCH_SLAVE, choice: 'wheel-double', odd: [] });
  await p.next('clean');
  await clean(p);
  await p.next('gauge');
  await hand.press('Measure all over');
  await page.waitForFunction(() => [...document.querySelectorAll<HTMLInputElement>('[data-cell]')].every((c) => c.value !== ''));
  await p.click('Save gauging');
  await p.next('judge');
  await p.click('Save judgement');
  await p.next('kit');
  await kit(p);
  await p.next('close-up');
  await closeUp(p);
  await p.next('prove');
  // What the machine does not give the stand-in for a moment breaks a run off: it is tried again.
  for (let tries = 0; tries < 3 && !(await page.evaluate(() => document.body.innerText.includes('on the rig: finished'))); tries++) {
    await p.click('The shield is shut');
    await p.click('Pressurise and hold');
    await shows(page, new RegExp(`(on the rig: (finished|broken off|interrupted)[^]*){${tries + 1}}`), 90_000);
  }
  await hand.press('End, and lay its truth beside it');
  await shows(page, /TRY-0001, .* of \d+ found/);
  const told = await page.$$eval('table tbody tr', (rows) => rows.map((r) => [...r.children].map((c) => c.textContent ?? '')));
  const line = (what: string) => told.find((r) => r[1] === what);
  expect(line('How wide it was at its widest')?.[3]).toMatch(/^\d\d\.\d{3} mm$/);
  expect(line('How it held')?.[3]).toMatch(/passed|failed/);
  // No mark was drawn, and the one that was there is told.
  expect(told.some((r) => r[1]?.startsWith('The mark at') && r[3] === 'not looked at')).toBe(true);
  await page.goto(`${app.origin}/units/TRY-0001/strip`);
  await shows(page, 'Nothing lies at this address');
});
