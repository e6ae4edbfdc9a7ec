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
  await hand.fill('Pitch of the rod’s end, mm', '1.25');
  await shows(page, '0.60 turns (3.6 flats) of its end, anticlockwise as seen from the tip');
  await hand.fill('Outer side of it to the tip, mm', '12.6');
  await shows(page, 'Measure again 0.70 ± 0.10 mm lies wholly in the window');
  await shows(page, 'Read a second time before it counts: the rim, the socket, the straight edge, the reading to the tip.');
  await hand.fill('Rim, again, mm', '4.8');
  await hand.fill('Socket, again, mm', '12.9');
  await hand.fill('Straight edge, again, mm', '20');
  await hand.fill('To the tip, again, mm', '12.6');
  await page.waitForFunction(() => document.querySelector('[data-testid="gap"]')?.textContent === 'Right');
  expect(page.url()).toMatch(
    /\/sums\/gap\?standOff=4\.8&socket=12\.9&edge=20&reading=12\.6&pitch=1\.25&standOff2=4\.8&socket2=12\.9&edge2=20&reading2=12\.6$/,
  );
  await page.reload();
  await ready(page);
  expect(await verdict()).toBe('Right');
  await hand.fill('Straight edge is thick, mm', '0.7874in');
  await shows(page, /0\.70 ± 0\.10 mm lies wholly in the window/);
});

test('readings that cannot be are explained, and nothing is worked out from them', async () => {
  await page.goto(`${app.origin}/sums/gap?standOff=4.8&socket=12.9&edge=20&reading=0`);
  await ready(page);
  await shows(page, 'The rod would stand out past the straight edge');
  expect(await page.$('[data-testid="gap"]')).toBeNull();
});

test('gap to set and change of the rod are two sides of one figure: either gives the other', async () => {
  await page.goto(`${app.origin}/sums/gap?standOff=4.8&socket=12.9&edge=20&reading=12.6`);
  await ready(page);
  const value = async (label: string) => (await hand.field(label)).evaluate((e) => e.value);
  expect([await value('Gap to set, mm'), await value('Longer by, − shorter, mm')]).toEqual(['0.750', '-0.050']);
  await hand.fill('Gap to set, mm', '0.9');
  await page.keyboard.press('Tab');
  expect(await value('Longer by, − shorter, mm')).toBe('-0.200');
  await hand.fill('Longer by, − shorter, mm', '-0.3');
  await page.keyboard.press('Tab');
  expect(await value('Gap to set, mm')).toBe('1.000');
  expect(page.url()).toMatch(/target=1$/);
  await hand.fill('Gap to set, mm', '5');
  await shows(page, 'The gap to set must lie in the window, 0.4 to 1.1 mm.');
});

test('the gap over temperature is drawn, and a sheet can be taken along as text', async () => {
  await page.goto(`${app.origin}/sums/gap?standOff=4.8&socket=12.9&edge=20&reading=12.6&rodLength=200&rodAlpha=23&bodyAlpha=11`);
  await ready(page);
  await page.waitForSelector('[aria-label^="Gap against temperature"] path.recharts-line-curve');
  await shows(page, 'allowed when set');
  await browser.defaultBrowserContext().overridePermissions(app.origin, ['clipboard-read', 'clipboard-write', 'clipboard-sanitized-write']);
  await hand.press('Copy as text');
  expect(await page.evaluate(() => navigator.clipboard.readText())).toMatch(/\(socket 12\.90 − rim 4\.80\) .* = 0\.70/);
});

test('what another bore does: a row each, a line each, and a circuit lost', async () => {
  await page.goto(`${app.origin}/sums/hydraulics`);
  await ready(page);
  for (const [label, text] of [
    ['Pedal force, N', '300'],
    ['Pedal ratio', '5'],
    ['Master bore, mm', '7/8'],
    ['Master stroke, in all, mm', '32'],
  ] as const)
    await hand.fill(label, text);
  await hand.fill('Another bore, mm', '13/16');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelectorAll('[data-testid="bores"] tbody tr').length === 2);
  await shows(page, /13\/16 in instead of 7\/8 in: pressure \+16 %, pedal travel \+16 %/);
  await hand.fill('Tandem: rear chamber’s stroke, mm', '18');
  await shows(page, /The rear circuit lost: pedal \d+(\.\d)? mm, \d+ % of the force left/);
  await page.waitForFunction(() => document.querySelectorAll('path.recharts-line-curve').length === 2);
  await page.reload();
  await shows(page, '13/16 in instead of 7/8 in');
});

test('fluids, a clutch, a hole and a vacuum hold say what stops, and why', async () => {
  await page.goto(`${app.origin}/sums/fluids`);
  await ready(page);
  await (await hand.field('Fluid of the system')).select('mineral');
  await hand.press('EPDM');
  await shows(page, 'Stop: EPDM swells in mineral brake fluid, and is ruined.');
  expect(page.url()).toMatch(/fluid=mineral&rubber=epdm$/);
  await page.goto(`${app.origin}/sums/clutch?master=19.05&slave=22.225&pedal=140&ratio=6&gap=0.7&fork=2&needed=9`);
  await shows(page, /too little: the clutch drags/);
  await page.goto(`${app.origin}/sums/hole`);
  await ready(page);
  await hand.fill('Hole, longest, mm', '8.6');
  await hand.fill('Hole, shortest, mm', '8.3');
  await hand.fill('Pin, mm', '8.9');
  await shows(page, 'The pin is thicker than its hole: measure both again.');
  await hand.fill('Pin, mm', '7.9');
  await shows(page, 'Worn The pin plays 0.70 mm in it, at most 0.25 mm.');
  await page.goto(`${app.origin}/sums/vacuum`);
  await ready(page);
  await hand.press('Paste or import a gauge’s log as CSV (tS with kPa, mbar, bar, inHg or mmHg)');
  await hand.fill('CSV of readings', 'tS;inHg\n0;-20,0\n30;-14,0');
  await shows(page, '2 readings; semicolon separated, decimal comma.');
  await hand.press('Take them');
  await shows(page, /Leaks It loses 10\.2 kPa in 15 s/);
});

test('the same sheet stands at Set, says why no gap is never allowed, and keeps it on the unit', async () => {
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
