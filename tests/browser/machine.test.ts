import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { Keyboard, ready, shows } from './bench';
import { type AtWork, closeShop, openShopAs } from './hand';

// At the machine: a system is drawn and kept, bled by the guide, a tube is cut, and what goes with a unit is read by whoever fits it.

let { app, browser, page, hand } = {} as AtWork;
beforeAll(async () => {
  ({ app, browser, page, hand } = await openShopAs('pell-wickert', '2605'));
});
afterAll(() => closeShop({ app, browser, page, hand }));

const body = (of: Page = page): Promise<string> => of.evaluate(() => document.body.innerText);
const textOf = (id: string): Promise<string> => page.$eval(`[data-testid="${id}"]`, (e) => (e as HTMLElement).innerText);

test('a system is drawn from the master outward by the keyboard, ordered, and kept at its fitment', async () => {
  await hand.go('/kits/fitments/fit-bk9-1');
  await page.locator('a::-p-text(Its brake or clutch system)').click();
  await page.waitForFunction(() => location.pathname === '/sums/bleed');
  await ready(page);
  const keys = new Keyboard(page);
  // One tee with two ends to start from: a third is joined to it.
  await keys.tabTo('axle tee');
  await keys.press('Enter');
  await hand.press('Line to a cylinder');
  await hand.fill('This place is called', 'third axle');
  await hand.fill('Line from axle tee, mm', '4100');
  await hand.fill('Below the reservoir’s fluid, mm', '-40');
  await page.keyboard.press('Tab');
  await page.waitForFunction(() => document.querySelectorAll('[data-testid="ends"] tbody tr').length === 3);
  expect(await page.$$eval('[data-testid="ends"] tbody th', (all) => all.map((e) => e.textContent))).toEqual([
    'third axle',
    'rear right',
    'rear left',
  ]);
  await shows(page, 'The screw of third axle does not lie below the fluid in the reservoir: gravity moves nothing.');
  // Another school turns it round; a maker’s order starts from the one that stood.
  await (await hand.field('In which order')).select('nearest-first');
  await page.waitForFunction(() => document.querySelector('[data-testid="ends"] tbody th')?.textContent === 'rear left');
  await (await hand.field('In which order')).select('given');
  await hand.press('third axle earlier');
  await page.waitForFunction(
    () =>
      [...document.querySelectorAll('[data-testid="ends"] tbody th')].map((e) => e.textContent).join() ===
      'rear left,third axle,rear right',
  );
  await hand.fill('Called', 'Quarry dumper 9, three ends');
  await hand.press('Keep this system');
  await page.waitForFunction(() => location.search.startsWith('?kept='));
  await hand.go('/kits/fitments/fit-bk9-1');
  await shows(page, 'Quarry dumper 9, three ends');
});

test('a bleed from the first stroke to the last, by a thumb, through a lost line and a reload', async () => {
  await page.setViewport({ width: 390, height: 780, hasTouch: true });
  // A reservoir that is small, so that it must be topped up on the way.
  await hand.go('/sums/bleed?shape=one-two');
  await hand.fill('Must stay in it, ml', '150');
  await page.waitForFunction(() => /strokes/.test(document.querySelector('[data-testid="top-up"]')?.textContent ?? ''));
  const every = Number.parseInt(await textOf('top-up'), 10);
  await page.locator('a::-p-text(Bleed it now)').click();
  await page.waitForSelector('button::-p-text(a helper at the pedal)');
  await page.tap('button::-p-text(a helper at the pedal)');
  const big = 'button.btn.min-h-28';
  const tap = async (): Promise<void> => page.tap(big);
  const key = (): Promise<string> => page.$eval(big, (e) => (e as HTMLElement).innerText);
  const until = (text: string): Promise<unknown> =>
    page.waitForFunction((t: string, b: string) => document.querySelector<HTMLElement>(b)?.innerText === t, {}, text, big);
  await page.waitForSelector(big);
  for (let steps = 0; (await key()) === 'Done'; steps++) {
    const said = await page.$eval('section[aria-label="Now"]', (e) => (e as HTMLElement).innerText);
    await tap();
    await page.waitForFunction((t: string) => document.querySelector<HTMLElement>('section[aria-label="Now"]')?.innerText !== t, {}, said);
    if (steps > 9) throw new Error('it never comes to the first screw');
  }
  await until('Filled');
  await tap();
  await until('Stroke made');
  // The big key lies at the thumb and is large enough for one.
  const box = await (await page.$(big))?.boundingBox();
  expect([(box?.y ?? 0) > 390, (box?.height ?? 0) >= 90, (box?.width ?? 0) > 300]).toEqual([true, true, true]);
  await page.setOfflineMode(true);
  for (let n = 1; n <= every; n++) {
    expect(await textOf('count')).toContain(`${n} of`);
    await tap();
    if (n < every)
      await page.waitForFunction(
        (m: string) => document.querySelector('[data-testid="count"]')?.textContent?.startsWith(m),
        {},
        `${n + 1} of`,
      );
  }
  await until('Topped up');
  expect(await body()).toContain('Top up now');
  await page.waitForFunction(() => document.querySelector('[data-testid="sent"]')?.textContent?.includes('No connection'));
  await tap();
  await until('Stroke made');
  // One too many is taken back.
  await tap();
  await hand.press('Take the last press back');
  await page.waitForFunction(
    (m: string) => document.querySelector('[data-testid="count"]')?.textContent?.startsWith(m),
    {},
    `${every + 1} of`,
  );
  await page.setOfflineMode(false);
  await page.waitForFunction(() => document.querySelector('[data-testid="sent"]')?.textContent === 'Saved.');
  await page.reload();
  await page.waitForFunction(
    (m: string) => document.querySelector('[data-testid="count"]')?.textContent?.startsWith(m),
    {},
    `${every + 1} of`,
  );
  let strokes = every;
  for (let n = 0; n < 300 && (await page.$('section[aria-label="The pedal"]')) === null; n++) {
    await page.waitForSelector(`${big}, section[aria-label="The pedal"]`);
    if ((await page.$(big)) === null) break;
    if ((await key()) === 'Stroke made') strokes += 1;
    const before = await body();
    await tap();
    await page.waitForFunction((t: string) => document.body.innerText !== t, {}, before);
  }
  // The pedal: its field has the focus, and what it goes further than worked out is air.
  await page.waitForFunction(
    () => document.activeElement?.getAttribute('id') === document.querySelector<HTMLElement>('section[aria-label="The pedal"] input')?.id,
  );
  await hand.fill('Travel at the pedal, mm', '200');
  await page.waitForFunction(() => document.querySelector('[data-testid="air-left"]')?.textContent?.startsWith('There is air in it'));
  await hand.press('Still spongy');
  await shows(page, 'air in the system');
  await hand.press('Bleed it again from the first end');
  await until('Stroke made');
  await hand.press('Take the last press back');
  await hand.press('Take the last press back');
  await hand.fill('Travel at the pedal, mm', '40');
  await hand.press('Firm: note it');
  await shows(page, /Done: firm at 40 mm/);
  await page.locator('a::-p-text(Put it away)').click();
  await shows(page, new RegExp(`One circuit, two ends .*${strokes} strokes.* firm at 40 mm`));
  await page.setViewport({ width: 1280, height: 800 });
});

test('a tube: its length while it is typed, what does not fit said, the sheet in its address, a ticket to print', async () => {
  await hand.go('/sums/line');
  const cut = (): Promise<number> => textOf('cut').then((t) => Number.parseFloat(t));
  const before = await cut();
  await hand.fill('Leg 2, mm', '300');
  await page.keyboard.press('Tab');
  await page.waitForFunction(
    (was: number) => Number.parseFloat(document.querySelector('[data-testid="cut"]')?.textContent ?? '') > was,
    {},
    before,
  );
  expect(await cut()).toBeCloseTo(before + 60, 1);
  await (await hand.field('Flare')).select('bubble');
  await shows(page, 'At the start a cone-out seat takes double or universal, not bubble.');
  await hand.fill('Leg 1, mm', '10');
  await page.keyboard.press('Tab');
  await shows(page, /Leg 1: its bends take 5\.0 mm more than it has/);
  await hand.fill('Leg 1, mm', '90');
  await page.keyboard.press('Tab');
  await page.waitForSelector('[data-testid="cut"]');
  const length = await cut();
  const sent = await page.browserContext().newPage();
  await sent.goto(page.url());
  await ready(sent);
  expect(await sent.$eval('[data-testid="cut"]', (e) => Number.parseFloat(e.textContent ?? ''))).toBe(length);
  await sent.close();
  await page.bringToFront();
  const ticket = await page.$eval('a::-p-text(Cutting ticket)', (a) => (a as HTMLAnchorElement).href);
  expect(await page.evaluate(async (url: string) => (await fetch(url)).headers.get('content-type'), ticket)).toBe('application/pdf');
  // Why a union leaks: one looks first, then opens.
  await page.locator('summary::-p-text(A union leaks)').click();
  await page.locator('button::-p-text(at a washer)').click();
  await shows(page, /%\s+a washer used again, or a face that is scored/);
});

describe('what goes with a unit', () => {
  test('the code of its label opens the fitting sheet without a name here; it tells nothing of whose it is', async () => {
    const address = await page.evaluate(async () => (await fetch('/api/v1/units/SQ-0002/fitting')).url);
    expect(address).toMatch(/\/fitting\/SQ-0002\/[0-9a-f]{32}$/);
    const fitter = await (await browser.createBrowserContext()).newPage();
    await fitter.setViewport({ width: 390, height: 800 });
    await fitter.goto(address);
    await shows(fitter, /Fitting sheet SQ-0002: Tandem master/);
    const said = await body(fitter);
    expect(said).toContain('Top up every 19 strokes.');
    for (const secret of ['Lowmoor', '0178', 'fluid black soon']) expect(said).not.toContain(secret);
    expect(await fitter.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    // In inches the four depths are read in inches, and the worksheet answers them.
    await fitter.goto(await fitter.$eval('a::-p-text(in inches)', (a) => (a as HTMLAnchorElement).href));
    await shows(fitter, /Pushrod gap 0\.0\d\d ± 0\.00\d in/);
    await fitter.locator('summary::-p-text(The worksheet of the gap)').click();
    await shows(fitter, /lies wholly in the window|measure again/);
    const wrong = await fitter.goto(`${address.slice(0, -4)}0000`);
    expect([wrong?.status(), (await body(fitter)).includes('There is no fitting sheet at this address')]).toEqual([200, true]);
    await fitter.browserContext().close();
  });

  test('of a unit on the bench it says not to fit it; the unit’s page leads to it, and a scanner still finds the unit by it', async () => {
    const tray = await hand.at('Kit', 'kit');
    const tag = tray.split('/').pop() as string;
    const address = await page.evaluate(async (t: string) => (await fetch(`/api/v1/units/${t}/fitting`)).url, tag);
    const fitter = await (await browser.createBrowserContext()).newPage();
    await fitter.goto(address);
    await shows(fitter, 'It is still in the shop and not released: do not fit it.');
    await fitter.browserContext().close();
    await hand.go(`/find?q=${encodeURIComponent(address)}`);
    expect(page.url()).toContain(`/units/${tag}`);
  });
});
