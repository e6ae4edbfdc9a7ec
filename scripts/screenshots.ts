import { mkdirSync } from 'node:fs';
import { openBrowser, signIn } from '../tests/browser/browser';

// npx tsx scripts/screenshots.ts [origin] [folder] [name …]: a PNG of each main view, from a running demo.
const [origin = 'http://localhost:3000', folder = 'docs/screenshots', ...only] = process.argv.slice(2);

/** Views by name: the address, or the station at which a unit stands, or a family at Strip and a side of it, or a bore by its verdict and marks. */
const VIEWS: Readonly<Record<string, string>> = {
  rack: '/',
  day: '/day',
  'book-in': '/book-in',
  'unit-strip': 'Valve master: /strip?view=guide',
  'unit-gauge': 'gauge',
  'unit-hone': 'hone',
  'unit-kit': 'kit',
  'unit-close-up': 'close-up',
  'sums-gap': '/sums/gap?standOff=4.8&socket=12.9&edge=20&reading=12.6&pitch=1.25&ratio=4&rodLength=200&rodAlpha=23&bodyAlpha=11',
  'sums-bleed': '/sums/bleed?kept=system-1',
  'fitting-sheet': '/api/v1/units/SQ-0002/fitting',
  'unit-prove': 'prove',
  'unit-release': 'release',
  kits: '/kits',
  rules: '/rules',
  'unit-quote': '/units/SQ-0050/options',
  'bore-honed': 'bore: Hone, 3 marks',
  practice: '/practice?kind=decides&level=2',
  'book-holds': '/book/holds',
};

const browser = await openBrowser();
const page = await browser.newPage();
await page.setViewport({ width: 1280, height: 800 });
mkdirSync(folder, { recursive: true });
const wanted = (name: string): boolean => only.length === 0 || only.includes(name);
await signIn(page, origin, 'maren-oreland', '180422');
/** What shows a station best: marks that have been judged, a run that has been held. Any unit that has been there will do. */
const BEST: Readonly<Record<string, string>> = {
  prove: '[aria-label^="Pressure trace"]',
};
const trayAt = async (station: string): Promise<string> => {
  await page.goto(origin);
  const links = await page.$$eval('a[data-tray]', (all) => all.map((a) => (a as HTMLAnchorElement).href));
  for (const link of links) {
    await page.goto(BEST[station] === undefined ? link : `${link}/${station}`);
    if (page.url().endsWith(`/${station}`) && (BEST[station] === undefined || (await page.$(BEST[station])) !== null)) return page.url();
  }
  throw new Error(`no tray shows ${station}`);
};
/** A unit of a family that stands at Strip, at one side of it. */
const atStrip = async (label: string, path: string): Promise<string> => {
  await page.goto(origin);
  const tray = `section[aria-label="Booked in, strip"] a[data-tray]:has(svg[aria-label="${label}"])`;
  return `${await page.$eval(tray, (a) => (a as HTMLAnchorElement).href)}${path}`;
};
/** The first bore, in the shop or in the book, with such a verdict and so many marks. */
const boreWith = async (verdict: string, marks: string): Promise<string> => {
  const links: string[] = [];
  for (const list of ['/', '/book']) {
    await page.goto(`${origin}${list}`);
    links.push(...(await page.$$eval('a[data-tray]', (all) => all.map((a) => (a as HTMLAnchorElement).href))));
  }
  for (const link of links) {
    await page.goto(`${link}/judge`);
    const shown = await page.evaluate(
      () => `${document.querySelector('[data-testid="verdict"]')?.textContent} ${document.querySelector('#station')?.textContent}`,
    );
    if (shown.startsWith(`${verdict} `) && shown.includes(`· ${marks} ·`)) return page.url();
  }
  throw new Error(`no bore is judged ${verdict} with ${marks}`);
};
const addressOf = async (view: string): Promise<string> => {
  if (view.startsWith('/')) return `${origin}${view}`;
  const [label, path] = view.split(': ');
  if (label === 'bore') return boreWith(...((path as string).split(', ') as [string, string]));
  return path === undefined ? trayAt(view) : atStrip(label as string, path);
};
for (const [name, view] of Object.entries(VIEWS)) {
  if (!wanted(name)) continue;
  await page.goto(await addressOf(view), { waitUntil: 'load' });
  // The next wait to ring is drawn once the page runs; pages without a bar have none.
  await page.waitForFunction(
    () => location.pathname.startsWith('/fitting/') || /SQ-\d/.test(document.querySelector('header')?.textContent ?? ''),
  );
  // What is worked out beside the page has come.
  await page.waitForFunction(
    () => !/Trying the cut in the model|looking for a better plan|Asking the plan|Planning again/.test(document.body.innerText),
  );
  await page.screenshot({ path: `${folder}/${name}.png` });
  console.log(name);
}
await browser.close();
