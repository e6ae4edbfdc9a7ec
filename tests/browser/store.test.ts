import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { ownFolder } from '../server/shop';
import { isDone, ready, shows } from './bench';
import { type AtWork, closeShop, openShopAs } from './hand';

// The store as a counter and a bench use it: found, opened, made good, ordered, received, identified, imported and taken back.

const folder = ownFolder();
let { app, browser, page, hand } = {} as AtWork;
beforeAll(async () => {
  ({ app, browser, page, hand } = await openShopAs('maren-oreland', '180422'));
});
afterAll(() => closeShop({ app, browser, page, hand }));

const open = async (path: string): Promise<void> => {
  await page.goto(`${app.origin}${path}`);
  await ready(page);
};
const numbers = (of = page) => of.$$eval('tbody th', (all) => all.map((e) => e.textContent ?? ''));

test('the store answers while it is typed, in either system of units, and the query stands in the address', async () => {
  await open('/kits');
  const field = await hand.field('Find in the store');
  await field.type('7/8 tandem');
  await page.waitForFunction(() => document.querySelectorAll('tbody th').length === 2);
  expect(await numbers()).toEqual(['K-118', 'K-119']);
  expect(page.url()).toContain('q=7%2F8+tandem');
  // In a tab of its own: a reload that breaks off what is still fetched makes the router load the page once more by itself.
  const sent = await page.browserContext().newPage();
  await sent.goto(page.url());
  await ready(sent);
  expect(await numbers(sent)).toEqual(['K-118', 'K-119']);
  await sent.close();
  await page.bringToFront();
  await hand.fill('Find in the store', '22.2 mm tandem');
  await shows(page, '2 found');
  await open('/kits?show=expired');
  expect(await numbers()).toEqual(['K-124']);
  await open('/kits?of=fitments');
  await (await hand.field('Find a fitment')).type('corvane t9 clutch');
  await shows(page, '2 found');
});

test('at a unit: the sets that would cover it, a bag with a wrong boot, made good from the drawers; the lot warns the next', async () => {
  const tray = await hand.at('Kit', 'kit', 'Wheel cylinder, double');
  await hand.press('What covers it best?');
  await shows(page, /Least money, there in time .*K-131/);
  await shows(page, /Least money, whenever it comes/);
  await hand.press('Set aside');
  await hand.press('Open the bag');
  await shows(page, 'Old parts stay on the tray until the new ones lie beside them and are the same.');
  const wrong = await page.waitForSelector('::-p-xpath(//*[@aria-label="The boot"]//button[.="wrong"])');
  await wrong?.click();
  await hand.fill('boot as it is, outside ⌀', '22');
  await hand.fill('What is wrong with the boot', 'too small for the mouth');
  await hand.press('That is what is in it');
  await shows(page, 'wrong boot (outside ⌀ 22 mm): too small for the mouth. Its lot warns of it from now on.');
  await shows(page, /Still short left boot/);
  await shows(page, 'Nothing set aside covers: left boot, right boot.');
  // What the drawers lack goes back as it was, with a reason that stands with it.
  await hand.fill('Why the old one goes back', 'no boot of this size to be had');
  for (const side of ['left', 'right']) {
    const back = await page.waitForSelector(
      `::-p-xpath(//section[@aria-label="Still short"]//div[b[starts-with(., "${side} boot")]]//button[.="Reuse the old one"])`,
    );
    await back?.click();
    await page.waitForFunction((s: string) => !document.body.innerText.includes(`\n${s} boot\nReuse`), {}, side);
  }
  await page.waitForFunction(() => document.querySelector('section[aria-label="Still short"]') === null);
  await hand.press('Keep expander spring');
  await page.waitForFunction(() => ![...document.querySelectorAll('button')].some((b) => b.textContent === 'Keep expander spring'));
  await hand.press('Kit complete');
  await isDone(page, 'kit');
  const lot = (await page.evaluate(() => document.body.innerText)).match(/lot (L131-\w)/)?.[1];
  await open('/kits/K-131');
  await shows(page, new RegExp(`${lot} .*Opened for ${tray.split('/').pop()}`));
});

test('a kit and a fitment are entered by hand, found, and changed', async () => {
  await open('/kits/new');
  await hand.fill('Number', 'K-777');
  await hand.fill('Name', 'Master 17.5 mm');
  await hand.fill('Price', '21,5');
  await hand.fill('bore, mm', '17.5');
  await hand.press('Another part');
  await hand.fill('inside ⌀, mm', '9');
  await hand.press('Put it in the store');
  await shows(page, /K-777 Master 17\.5 mm EUR 21\.50 · not to be had/);
  await shows(page, /cup 17\.5 mm boot inside ⌀ 9 mm/);
  await page.goto(`${app.origin}/kits/K-777/edit`);
  await ready(page);
  await hand.fill('Days to get; empty: not to be had', '4');
  await hand.press('Save the change');
  await shows(page, '21.50 · 4 days to get');
  await open('/kits/fitments/new');
  await hand.fill('Maker', 'Tarn');
  await hand.fill('Machine', 'peat cutter');
  await hand.fill('Place on it', 'clutch');
  await hand.fill('Kits that a catalogue names', 'K-777');
  await hand.press('Save the fitment');
  await shows(page, /Tarn peat cutter clutch .*K-777/);
  await open('/kits?q=peat cutter');
  expect(await numbers()).toEqual(['K-777']);
});

test('pieces are ordered, come, are counted, and a lot is warned of', async () => {
  await open('/kits/K-112');
  await shows(page, 'None was ever received.');
  await hand.press('Order');
  await shows(page, /ON ORDER 1 expected/);
  await hand.fill('Lot, as on the bag', 'X7');
  await hand.fill('Good until', '31.5.2031');
  await hand.press('It came');
  await shows(page, /ON THE SHELF · 1 .*X7 1 good until 31 May 2031/);
  await shows(page, /ON ORDER Nothing\./);
  await hand.press('Count, or put right');
  await hand.fill('There are', '3');
  await hand.press('Note it');
  await shows(page, /ON THE SHELF · 3/);
  await shows(page, /\+2 counted lot X7 Maren Oreland/);
  await hand.press('Count, or put right');
  await hand.fill('Known fault of this lot; empty: none', 'clip too wide');
  await hand.press('Warn of it');
  await shows(page, 'Known fault: clip too wide');
  // There and back by the page's own links: the list is of now, not of when it was looked at before.
  const follow = (text: string) => page.locator(`::-p-xpath(//a[normalize-space(.)="${text}"])`).click();
  await open('/kits');
  await follow('K-112');
  await shows(page, /ON THE SHELF · 3/);
  await hand.press('Count, or put right');
  await hand.fill('There are', '7');
  await hand.press('Note it');
  await shows(page, /ON THE SHELF · 7/);
  await follow('Kits and sundries');
  await shows(page, /K-112 Single master 19 mm .*? 18\.10 7 /);
});

test('what is this unit: what is measured narrows it, the next thing to measure changes, and the unit is told', async () => {
  const tray = await hand.at('Hone, sleeve', 'hone', 'Tandem master');
  await open(`/kits/identify?unit=${tray.split('/').pop()}`);
  const next = () => page.$eval('section[aria-label="What it may be"] p', (p) => p.querySelector('b')?.textContent);
  const before = await next();
  const first = await page.$eval('article b', (b) => b.textContent);
  await hand.fill(before === 'length of the body' ? 'Body, end to end, mm' : 'Stroke, mm', '164');
  await page.waitForFunction((was: string | null) => document.querySelector('article b')?.textContent !== was, {}, first);
  expect(page.url()).toMatch(/(bodyLengthMm|strokeMm)=164/);
  expect(await next()).not.toBe(before);
  await hand.press('Which thread is it?');
  await hand.fill('Across its crests, mm', '9.9');
  await hand.fill('Over ten turns, mm', '10');
  await shows(page, /M10x1 metric fine, ten turns 10/);
  await hand.press('Take it');
  await shows(page, /agrees: .*port threads/);
  await hand.press('It is this one');
  await shows(page, 'it is this one');
  await page.goto(`${tray}/book-in`);
  await shows(page, /It is: .+, \d{4}/);
});

test('a file tells all that is wrong with it; one that is right shows each row’s fate, is written, and taken back whole', async () => {
  await open('/kits/files');
  await (await page.waitForSelector('::-p-xpath(//button[.="Sundries"])'))?.click();
  const send = async (name: string, text: string): Promise<void> => {
    const path = join(folder, name);
    writeFileSync(path, text);
    const input = (await page.waitForSelector('input[type="file"]')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(path);
  };
  await send('bad.csv', 'number,name,price,kind\nS-901,cup,dear,cup\nS-902,hat,1,hat\n');
  await shows(page, /2 things are wrong with it; nothing was written\. Line 2, price: “dear” is not a number\. Line 3, kind/);
  await send('good.csv', 'number;name;price;kind;boreMm\nS-901;cup 19;2,20;cup;19\nS-001;cup 5/8 in;3,40;cup;15,875\n');
  await shows(page, /semicolon separated, decimal comma: 1 new, 0 changed, 1 as they are\./);
  await hand.press('Write 1');
  await shows(page, 'Written: 1 new, 0 changed.');
  await shows(page, /sundries good\.csv 1 new, 0 changed · Maren Oreland/);
  await open('/kits?q=S-901');
  expect(await numbers()).toEqual(['S-901']);
  await open('/kits/files');
  await hand.press('Take it back');
  await shows(page, 'taken back');
  await open('/kits?q=S-901');
  await shows(page, 'Nothing in the store meets that');
});

test('what goes out comes in again as it is, as Excel too', async () => {
  await open('/kits/files');
  const fates = await page.evaluate(async () => {
    const said: string[] = [];
    for (const file of ['kits.xlsx', 'fitments.csv', 'stock.xlsx', 'sundries.csv', 'prices.xlsx']) {
      const bytes = await (await fetch(`/api/v1/store/export/${file}`)).arrayBuffer();
      const answer = await fetch(`/api/v1/store/import?what=${file.split('.')[0]}&file=${file}`, { method: 'POST', body: bytes });
      const last = JSON.parse((await answer.text()).trim().split('\n').at(-1) ?? '{}') as {
        kind: string;
        counts?: { new: number; changed: number; same: number };
      };
      const { new: fresh, changed, same } = last.counts ?? { new: -1, changed: -1, same: -1 };
      said.push(`${file} ${last.kind}, ${fresh} new, ${changed} changed, same ${same > 12}`);
    }
    return said;
  });
  expect(fates).toEqual([
    'kits.xlsx planned, 0 new, 0 changed, same true',
    'fitments.csv planned, 0 new, 0 changed, same true',
    'stock.xlsx planned, 0 new, 0 changed, same true',
    'sundries.csv planned, 0 new, 0 changed, same true',
    'prices.xlsx planned, 0 new, 0 changed, same true',
  ]);
});

test('a price is put on the list, changed at its line, and taken off; each is a version with who made it', async () => {
  await open('/kits/prices');
  await hand.press('A new price');
  await (await hand.field('What it is')).select('sleeve');
  await hand.fill('Price, without tax', '81.50');
  await hand.press('Put it on the list');
  await shows(page, /Who sleeves it\?.*How many days\?/);
  await hand.fill('Who sleeves it', 'Mill Lane Bores');
  await hand.fill('Days', '6');
  await hand.press('Put it on the list');
  await shows(page, /Any family, Mill Lane Bores 6 days EUR 81\.50/);
  await hand.press('Change any family, Mill Lane Bores');
  await hand.fill('Price, without tax', '79.90');
  await hand.press('Save the change');
  await shows(page, /Any family, Mill Lane Bores 6 days EUR 79\.90.* 3 today [\d:]+ Maren Oreland/);
  await hand.press('Take off any family, Mill Lane Bores');
  await shows(page, /4 today [\d:]+ Maren Oreland taken off: any family, Mill Lane Bores/);
});

test('a write from another site’s page is refused, and so is one without a session', async () => {
  const send = (headers: Record<string, string>) =>
    fetch(`${app.origin}/api/v1/store/import?what=stock&write=x`, { method: 'POST', body: 'number,lot,qty\nK-118,Z,9\n', headers });
  expect((await send({})).status).toBe(401);
  const cookie = (await browser.cookies()).map((c) => `${c.name}=${c.value}`).join('; ');
  expect((await send({ cookie, origin: 'http://elsewhere.example' })).status).toBe(403);
  expect((await send({ cookie })).status).toBe(403);
});
