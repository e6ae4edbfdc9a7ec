import { afterAll, beforeAll, expect, test } from 'vitest';
import { ready, shows } from './bench';
import { type AtWork, closeShop, openShopAs } from './hand';

// Sums that stand on their own: a new user gets the right gap from four readings.

let { app, browser, page, hand } = {} as AtWork;
beforeAll(async () => {
  ({ app, browser, page, hand } = await openShopAs('joss-tarrow', '4711'));
});
afterAll(() => closeShop({ app, browser, page, hand }));

const verdict = () => page.$eval('[data-testid="gap"]', (e) => e.textContent);

test('four depths give the gap, its verdict and what to turn; the sheet stands in the address, in either system of units', async () => {
  await page.goto(`${app.origin}/sums/gap`);
  await ready(page);
  await shows(page, 'Enter the four; the drawing says which is which.');
  await hand.fill('Rim stands off the flange, mm', '4.8');
  await hand.fill('Socket, from the rim, mm', '12.9');
  await hand.fill('Straight edge is thick, mm', '20');
  await hand.fill('Outer side of it to the tip, mm', '13.4');
  await shows(page, 'Too loose 1.50 mm is more than the 0.40 to 1.10 mm allowed: the pedal is lost to it. Lengthen the rod by 0.75 mm.');
  await hand.press('Turns, pedal, the old unit, another rod, warmth');
  await hand.fill('Pitch of its end, mm', '1.25');
  await shows(page, '0.60 turns (3.6 flats) of its end, anticlockwise as seen from the tip');
  await hand.fill('Outer side of it to the tip, mm', '12.6');
  await page.waitForFunction(() => document.querySelector('[data-testid="gap"]')?.textContent === 'Right');
  expect(page.url()).toMatch(/\/sums\/gap\?standOff=4\.8&socket=12\.9&edge=20&reading=12\.6&pitch=1\.25$/);
  await page.reload();
  await ready(page);
  expect(await verdict()).toBe('Right');
  await hand.fill('Straight edge is thick, mm', '0.7874in');
  await shows(page, /0\.70 ± 0\.08 mm lies wholly in the window/);
});

test('readings that cannot be are explained, and nothing is worked out from them', async () => {
  await page.goto(`${app.origin}/sums/gap?standOff=4.8&socket=12.9&edge=20&reading=0`);
  await ready(page);
  await shows(page, 'The rod would stand out past the straight edge');
  expect(await page.$('[data-testid="gap"]')).toBeNull();
});

test('the same sheet stands at Set, and says why no gap is never allowed', async () => {
  const links = await page
    .goto(app.origin)
    .then(() => page.$$eval('a[data-tray]:has(svg[aria-label="Tandem master"])', (all) => all.map((a) => (a as HTMLAnchorElement).href)));
  await page.goto(`${links[0]}/set`);
  await ready(page);
  await shows(page, 'SET · pushrod gap');
  await hand.fill('Rim stands off the flange, mm', '5');
  await hand.fill('Socket, from the rim, mm', '13');
  await hand.fill('Straight edge is thick, mm', '10');
  await hand.fill('Outer side of it to the tip, mm', '2');
  await shows(page, 'Binding There is no gap (0.00 mm): the rod holds the port shut');
});
