import { afterAll, beforeAll, expect, test } from 'vitest';
import { ready, shows } from './bench';
import { type AtWork, closeShop, openShopAs } from './hand';

// A unit comes back over the counter, and a certificate is checked by whoever holds the paper.

let { app, browser, page, hand } = {} as AtWork;
beforeAll(async () => {
  ({ app, browser, page, hand } = await openShopAs('ida-brandvik', '3390'));
});
afterAll(() => closeShop({ app, browser, page, hand }));

const released = async (family: string): Promise<string> => {
  await page.goto(`${app.origin}/book`);
  await ready(page);
  const hrefs = await page.$$eval(`tr:has(svg[aria-label="${family}"]) a[data-tray]`, (all) =>
    all.map((a) => (a as HTMLAnchorElement).href),
  );
  return new URL(hrefs.at(-1) ?? '').pathname;
};

test('a wrong tag is refused with why and everything typed stays; the right one ties both lives together', async () => {
  const old = (await released('Wheel cylinder, double')).split('/')[2] ?? '';
  await page.goto(`${app.origin}/book-in`);
  await ready(page);
  await hand.fill('Customer', 'Pendle Quarry');
  await hand.fill('Machine', 'Quarry dumper, Brakkel 6');
  await (await hand.field('Family')).select('wheel-double');
  await hand.fill('Bore as cast or listed', '7/8');
  await hand.fill('Back again? Its old tag', 'SQ-9999');
  await hand.fill('Promised for', '6.5.2031');
  await hand.press('Book in and give it a tag');
  await shows(page, 'There is no unit with the tag SQ-9999: leave it empty if it was not here before.');
  expect(await (await hand.field('Machine')).evaluate((e) => e.value)).toBe('Quarry dumper, Brakkel 6');
  await hand.fill('Back again? Its old tag', old);
  await hand.press('Book in and give it a tag');
  await shows(page, /Booked in: SQ-\d+/);
  await hand.press('Go to the unit');
  await shows(page, `It came back: it was here as ${old}.`);
  await page.goto(page.url().replace(/\/[a-z-]+$/, '/lives'));
  await shows(page, /What was found and done each time it was here, the first on the left\./);
  await shows(page, /Kits and lots K-\d+, lot L\d+-[AB]/);
  await page.goto(`${app.origin}/units/${old}/release`);
  await shows(page, /It has come back as SQ-\d+\./);
});

test('what came back is counted by kit and lot, by how the bore was saved, by rules and by what was found', async () => {
  await page.goto(`${app.origin}/book`);
  await shows(page, /Came back: 4/);
  for (const head of ['By kit and lot', 'By how the bore was saved', 'By rules in force', 'By what was found']) await shows(page, head);
  const sums = await page.$$eval('table:has(caption)', (all) =>
    all.map((t) => [...t.querySelectorAll('td')].reduce((sum, td) => sum + Number(td.textContent), 0)),
  );
  expect(sums.slice(1)).toEqual([4, 4, 4]);
});

test('a certificate’s address says to anybody whether it stands, and nothing of one that was altered', async () => {
  await page.goto(`${app.origin}${await released('Wheel cylinder, double')}/release`);
  await ready(page);
  const link = await page.$eval('a[href^="/verify/"]', (a) => (a as HTMLAnchorElement).href);
  const file = (await page.evaluate(async () => {
    const path = document.querySelector<HTMLAnchorElement>('a[href$="certificate.json"]')?.href ?? '';
    return (await fetch(path)).json();
  })) as { readonly eddrin: string; readonly hash: string; readonly statement: { readonly tag: string } };
  expect([file.eddrin, link.endsWith(file.hash)]).toEqual(['certificate', true]);
  const stranger = await (await browser.createBrowserContext()).newPage();
  await stranger.goto(link);
  await shows(stranger, 'It stands as it was issued.');
  await shows(stranger, file.statement.tag);
  await stranger.goto(`${link.slice(0, -1)}${link.endsWith('0') ? '1' : '0'}`);
  await shows(stranger, 'No certificate of this shop has this number and this mark.');
  expect(await stranger.evaluate(() => document.body.innerText)).not.toContain(file.statement.tag);
  const papers = await stranger.goto(`${app.origin}/api/v1/units/${file.statement.tag}/certificate.json`);
  expect(papers?.status()).toBe(401);
});
