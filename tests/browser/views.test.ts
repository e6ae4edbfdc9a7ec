import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type App, startApp } from './app';
import { Keyboard, ready, shows } from './bench';
import { openBrowser, signIn } from './browser';

let app: App;
let browser: Browser;
let page: Page;
const complaints: string[] = [];

beforeAll(async () => {
  app = await startApp();
  browser = await openBrowser();
  page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  page.on('console', (m) => m.type() === 'error' && complaints.push(m.text()));
  page.on('pageerror', (e) => complaints.push(String(e)));
});
afterAll(async () => {
  await browser.close();
  await app.stop();
});

/** A page of the rack's first tray at a station. Each tray is asked where it stands without being opened. */
const unitAt = async (station: string): Promise<string> => {
  await page.goto(app.origin);
  const found = await page.evaluate(async (end) => {
    for (const tray of document.querySelectorAll<HTMLAnchorElement>('a[data-tray]')) {
      const { url } = await fetch(tray.href, { method: 'HEAD' });
      if (url.endsWith(end)) return url;
    }
    return undefined;
  }, `/${station}`);
  if (found === undefined) throw new Error(`no tray at ${station}`);
  return found;
};
const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');
type Violation = { readonly id: string; readonly impact: string; readonly nodes: readonly { readonly html: string }[] };
/** What axe finds serious or critical on the page, by all of its rules or by one. */
const faults = async (rule?: string): Promise<readonly string[]> => {
  await page.evaluate(AXE);
  const options = JSON.stringify({ resultTypes: ['violations'], ...(rule === undefined ? {} : { runOnly: [rule] }) });
  const violations = (await page.evaluate(`axe.run(document, ${options}).then((r) => r.violations)`)) as readonly Violation[];
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(' ')}`);
};

/** What is learned from, and learned by: the Book’s figures, and practice. */
const LEARNT = [
  '/practice',
  '/practice/cases',
  '/practice/job',
  '/book/holds',
  '/book/limits',
  '/book/days',
  '/book/learned',
  '/book/foreign',
  '/book?family=wheel-double&back=yes',
  '/book/holds?by=lot&group=none',
  '/practice/skills',
  '/units/SQ-0012/case',
];

describe('signing in', () => {
  test.each([
    '/',
    '/day',
    '/day?view=units',
    '/day?view=what-if',
    '/day/times',
    '/kits',
    '/kits/identify',
    '/kits/files',
    '/kits/prices',
    '/book',
    '/rules',
    '/rules/families',
    '/rules/causes',
    '/rig',
    '/book-in',
    '/find?q=1',
    '/shop',
    '/shop/people',
    '/shop/months',
    '/customers',
    '/customers/customer-2',
    '/outbox',
    '/sums/bleed',
    '/sums/bleed/live',
    '/sums/line',
    ...LEARNT,
    '/you',
    '/units/SQ-0012/prove',
    '/units/SQ-0012/hand-over',
  ])('%s leads nobody in', async (path) => {
    await page.goto(app.origin + path);
    expect(new URL(page.url()).pathname).toBe('/sign-in');
  });

  test('papers, photos and the rig’s stream are closed to nobody', async () => {
    const papers = [
      '/api/v1/units/SQ-0001/certificate.pdf',
      '/api/v1/units/SQ-0012/label.svg',
      '/api/v1/units/SQ-0012/kit-sets',
      '/api/v1/units/SQ-0012/fitting',
      '/api/v1/line/ticket.pdf',
    ];
    const store = ['find?q=1', 'identify?boreMm=22', 'export/kits.csv', 'export/stock.xlsx'].map((of) => `/api/v1/store/${of}`);
    for (const path of [...papers, ...store, '/api/v1/rig/stream']) expect((await fetch(app.origin + path)).status).toBe(401);
    expect((await fetch(`${app.origin}/photos/demo-001-1`)).status).toBe(401);
  });

  test('a wrong PIN is told, and nothing else', async () => {
    await page.goto(`${app.origin}/sign-in`);
    await page.click('input[value="pell-wickert"]');
    await page.waitForFunction(() => document.activeElement?.id === 'pin');
    await page.keyboard.type('0000');
    await page.keyboard.press('Enter');
    await shows(page, 'That is not the PIN.');
    expect(new URL(page.url()).pathname).toBe('/sign-in');
    expect(await faults()).toEqual([]);
  });

  test('every page carries a strict policy with a nonce of its own, and runs under it', async () => {
    const policies = await Promise.all(
      [1, 2].map(async () => (await fetch(`${app.origin}/sign-in`)).headers.get('content-security-policy')),
    );
    for (const policy of policies) {
      expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
      expect(policy).not.toMatch(/script-src[^;]*unsafe/);
      expect(policy).toMatch(/object-src 'none'.*frame-ancestors 'none'/);
    }
    expect(policies[0]).not.toBe(policies[1]);
  });
});

describe('every main view, in both themes', () => {
  const paths = [
    '/',
    '/book-in',
    '/day',
    '/day?view=units',
    '/day?view=what-if',
    '/day/times',
    '/kits',
    '/kits?of=fitments',
    '/kits/K-122',
    '/kits/K-122/edit',
    '/kits/fitments/new',
    '/kits/identify?boreMm=22.23',
    '/kits/files',
    '/kits/prices',
    '/sums',
    '/sums/gap?standOff=4.8&socket=12.9&edge=20&reading=12.5',
    '/sums/hydraulics?force=300&ratio=5&bore=22.225&stroke=32&rearStroke=18&others=20.6375',
    '/sums/clutch?master=19.05&slave=22.225&pedal=140&ratio=6&needed=9',
    '/sums/fluids?fluid=mineral&rubber=epdm&was=dot-4',
    '/sums/hole?longMm=8.6&shortMm=8.3&pinMm=7.9&ratio=5',
    '/sums/vacuum?samples=0:67,10:65,20:63',
    '/sums/bleed?shape=diagonal',
    '/sums/bleed?kept=system-4',
    '/sums/bleed/live?shape=lever-two',
    '/sums/line',
    ...LEARNT,
    '/rig',
    '/book',
    '/rules',
    '/rules/families',
    '/rules/families/master-tandem',
    '/rules/families/master-lever/edit',
    '/rules/causes',
    '/rules/programmes',
    '/rules/programmes/master-tandem',
    '/find?q=tug',
    '/shop',
    '/shop/people',
    '/shop/people/joss-tarrow',
    '/shop/backup',
    '/shop/tokens',
    '/shop/history',
    '/shop/months',
    '/shop/messages',
    '/customers',
    '/customers/customer-2',
    '/outbox',
    '/shop/begin',
    '/you',
    '/units/SQ-0034/options',
    '/units/SQ-0026/options',
    '/units/SQ-0050/options',
    '/units/SQ-0007/hand-over',
    '/units/SQ-0012/hand-over',
  ];
  const stations = ['strip', 'clean', 'gauge', 'judge', 'hone', 'sleeve', 'kit', 'close-up', 'set', 'prove', 'release'];
  beforeAll(() => signIn(page, app.origin, 'maren-oreland', '180422'));

  test.each([...paths, ...stations])('%s: axe finds nothing serious, nothing sticks out, the browser has no complaint', async (view) => {
    complaints.length = 0;
    await page.goto(view.startsWith('/') ? app.origin + view : await unitAt(view));
    expect(await faults()).toEqual([]);
    await page.evaluate(() => {
      document.documentElement.dataset.theme = 'bench';
    });
    // The other theme changes colours, and nothing else.
    expect(await faults('color-contrast')).toEqual([]);
    for (const width of [1280, 1024, 768, 390]) {
      await page.setViewport({ width, height: 800 });
      expect([width, await page.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))]).toEqual([width, 0]);
    }
    await page.setViewport({ width: 1280, height: 800 });
    expect(complaints).toEqual([]);
  });

  test('pages that follow the rig, one after another, leave a line for the next', async () => {
    await page.goto(app.origin);
    const trays = await page.$$eval('a[data-tray]', (all) => all.map((a) => (a as HTMLAnchorElement).href));
    for (const tray of trays.slice(0, 14)) {
      await page.goto(`${tray}/prove`);
      await ready(page);
    }
  });

  test('a view that is not there says so', async () => {
    const response = await page.goto(`${app.origin}/units/SQ-9999`);
    expect(response?.status()).toBe(404);
  });
});

describe('the shell, by keyboard', () => {
  let keys: Keyboard;
  beforeAll(async () => {
    page = await (await browser.createBrowserContext()).newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await signIn(page, app.origin, 'maren-oreland', '180422');
    keys = new Keyboard(page);
  });

  test('the sheet of keys opens with ? and closes with Esc', async () => {
    await page.goto(app.origin);
    await keys.press('?');
    await page.waitForSelector('[role="dialog"]');
    await shows(page, 'Station before, station after');
    expect(await faults()).toEqual([]);
    await keys.press('Escape');
    await page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
  });

  test('j and k go along the trays, Enter opens one', async () => {
    await page.goto(app.origin);
    await keys.press('j', 'j', 'k');
    const href = await page.evaluate(() => (document.activeElement as HTMLAnchorElement).href);
    expect(href).toBe(await page.$eval('a[data-tray]', (a) => (a as HTMLAnchorElement).href));
    await keys.press('Enter');
    await page.waitForFunction(() => location.pathname.startsWith('/units/'));
  });

  test('u switches units, and every figure follows', async () => {
    await page.goto(await unitAt('prove'));
    await shows(page, 'piston 22.180 mm');
    await keys.press('u');
    await shows(page, 'piston 0.8732 in');
    await shows(page, 'hold, 1160 psi');
    await keys.press('u');
    await shows(page, 'piston 22.180 mm');
  });

  test('keys do not fire while someone types', async () => {
    await page.goto(app.origin);
    await ready(page);
    await keys.press('/');
    await page.keyboard.type('bug');
    expect(new URL(page.url()).pathname).toBe('/');
    expect(await page.evaluate(() => (document.activeElement as HTMLInputElement).value)).toBe('bug');
  });

  test('find knows tags, machines, customers and marks on the casting', async () => {
    for (const [text, found] of [
      ['12', 'SQ-0012'],
      ['sq-0012', 'SQ-0012'],
      ['glasmark', 'Ice resurfacer'],
      ['Pendle', 'Quarry dumper'],
    ] as const) {
      await page.goto(`${app.origin}/find?q=${text}`);
      await shows(page, found);
    }
    await page.goto(`${app.origin}/find?q=no such thing`);
    await shows(page, '0 found');
  });

  test('[ and ] step along the route, t goes to the waits', async () => {
    await page.goto(await unitAt('gauge'));
    await ready(page);
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await keys.press('[');
    await page.waitForFunction(() => location.pathname.endsWith('/clean'));
    await keys.press(']');
    await page.waitForFunction(() => location.pathname.endsWith('/gauge'));
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await keys.press('t');
    expect(await keys.focused()).toBe('Wait for');
  });

  test('the theme is kept on this bench', async () => {
    await page.goto(app.origin);
    await keys.push('Switch between light and bench theme');
    const theme = await page.evaluate(() => document.documentElement.dataset.theme);
    await page.reload();
    expect(await page.evaluate(() => document.documentElement.dataset.theme)).toBe(theme);
    await keys.push('Switch between light and bench theme');
  });

  test('a wait is started from the unit and shown in the bar until it is ended', async () => {
    await page.goto(await unitAt('close-up'));
    await ready(page);
    await keys.press('t');
    await page.keyboard.type('seal soak');
    await keys.tabTo('How long');
    await page.keyboard.type('1');
    await keys.push('Start');
    await shows(page, /seal soak \d+ s/);
    await page.waitForFunction(() => /seal soak \d+ s/.test(document.querySelector('header')?.textContent ?? ''));
    await keys.push('End it');
    await page.waitForFunction(() => !document.querySelector('header')?.textContent?.includes('seal soak'));
  });
});
