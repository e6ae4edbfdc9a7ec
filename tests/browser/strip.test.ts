import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type App, startApp } from './app';
import { Keyboard, ready, shows } from './bench';
import { openBrowser, signIn } from './browser';

// What happens around the tray: parts that do not belong, what is stuck, what is inspected, photos, variants, waits that ring.

let app: App;
let browser: Browser;
let page: Page;
let files = '';
beforeAll(async () => {
  app = await startApp();
  browser = await openBrowser();
  page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  files = mkdtempSync(join(tmpdir(), 'eddrin-files-'));
});
afterAll(async () => {
  await browser.close();
  await app.stop();
  rmSync(files, { recursive: true, force: true });
});

const click = async (text: string): Promise<void> => {
  const button = await page.waitForSelector(
    `::-p-xpath(//*[self::button or @role="tab"][normalize-space(.)="${text}" and not(@disabled)])`,
  );
  await button?.evaluate((b) => (b as HTMLElement).focus());
  await page.keyboard.press('Enter');
};
/** The demo's unit of a family that stands at Strip. */
const atStrip = async (label: string, view: string): Promise<string> => {
  await page.goto(app.origin);
  const href = await page.$eval(
    `section[aria-label="Booked in, strip"] a[data-tray]:has(svg[aria-label="${label}"])`,
    (a) => (a as HTMLAnchorElement).href,
  );
  await page.goto(`${href}/strip?view=${view}`);
  await ready(page);
  return href;
};
const fill = async (label: string, text: string): Promise<void> => {
  const field = (await page.waitForSelector(
    `::-p-xpath(//*[@aria-label="${label}"] | //*[@id=//label[normalize-space(.)="${label}"]/@for] | //label[starts-with(normalize-space(.), "${label}")]//*[self::input or self::select])`,
  )) as ElementHandle<Element>;
  await field.evaluate((e) => (e as HTMLInputElement).select?.());
  await field.focus();
  await page.keyboard.type(text);
  await page.keyboard.press('Tab');
};

test('waits that were over when the day began ring once, at the first bench that is opened', async () => {
  await signIn(page, app.origin, 'maren-oreland', '180422');
  await shows(page, /SQ-\d+ soak in penetrant: it is time\./);
  await shows(page, /SQ-\d+ question from Skerrin Tramway Works: it is time\./);
  const ringing = (): Promise<number> => page.$$eval('[role="alert"] button', (all) => all.length);
  for (let left = await ringing(); left > 0; left = await ringing()) {
    await click('Seen');
    await page.waitForFunction((n: number) => document.querySelectorAll('[role="alert"] button').length < n, {}, left);
  }
  const other = await (await browser.createBrowserContext()).newPage();
  await signIn(other, app.origin, 'joss-tarrow', '4711');
  await shows(other, /· \d over/);
  expect(await other.$$eval('[role="alert"]', (all) => all.map((a) => a.textContent).join(''))).toBe('');
  await other.close();
});

test('all waits stand under the bar, with who looks after them, and a calendar address', async () => {
  await page.goto(app.origin);
  await ready(page);
  await page.click('button[title="All waits"]');
  await shows(page, /soak in penetrant · (Joss Tarrow|Pell Wickert) over by/);
  await click('My calendar address');
  const field = await page.waitForSelector('input[readonly]');
  const address = await field?.evaluate((e) => (e as HTMLInputElement).value);
  const feed = await fetch(address as string);
  expect([feed.status, feed.headers.get('content-type')]).toEqual([200, 'text/calendar; charset=utf-8']);
  expect(await feed.text()).toMatch(/^BEGIN:VCALENDAR\r\n[\s\S]*SUMMARY:SQ-\d+ promised/);
  expect((await fetch((address as string).replace(/[^/]+\.ics$/, 'guess.ics'))).status).toBe(404);
});

test('a ticked step takes its parts out of the drawing, and the drawing can be pulled apart and taken along', async () => {
  const href = await atStrip('Valve master', 'guide');
  const out = () => page.$$eval('.section-part[data-state="out"]', (all) => all.length);
  const before = await out();
  await page.waitForSelector('li[aria-current="step"] [role="checkbox"]');
  await page.click('li[aria-current="step"] [role="checkbox"]');
  await page.waitForFunction((n: number) => document.querySelectorAll('.section-part[data-state="out"]').length > n, {}, before);
  await click('Pull apart');
  await page.waitForSelector('svg[aria-label$="pulled apart"]');
  const names = await page.$$eval('svg.section a', (all) => all.map((a) => a.getAttribute('aria-label')));
  expect(names).toEqual(expect.arrayContaining(['plunger seal', 'end seal', 'boot, out']));
  const svg = await page.evaluate(
    async (url: string) => (await fetch(url)).text(),
    `${href.replace('/units/', '/api/v1/units/')}/section.svg?view=apart`,
  );
  expect(svg).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg" width="[\d.]+mm" height="[\d.]+mm"/);
});

test('a part on the drawing leads to its line on the tray', async () => {
  await atStrip('Valve master', 'guide');
  await page.$eval('svg.section a[aria-label^="spring"]', (a) => (a as unknown as HTMLElement).focus());
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelector('tr:target')?.id === 'part-spring');
});

test('something that does not belong is put on the tray where it lay, and drawn there', async () => {
  await atStrip('Wheel cylinder, single', 'tray');
  await shows(page, /O-ring behind the cup added/);
  await click('Something else came out');
  await fill('What it is', 'spacer');
  await fill('Called', 'home-made spacer');
  await fill('Lay behind', 'piston');
  await click('Put it on the tray');
  await shows(page, /home-made spacer added/);
  const rows = await page.$$eval('tbody tr[id^="part-"] th', (all) => all.map((th) => th.firstChild?.textContent));
  expect(rows.slice(1, 4)).toEqual(['piston', 'home-made spacer', 'cup']);
  expect(await page.$$eval('svg.section a', (all) => all.map((a) => a.getAttribute('aria-label')?.replace(', out', '')))).toEqual(rows);
  await page.click('button[aria-label="Take the home-made spacer off the tray"]');
  await page.waitForFunction(() => ![...document.querySelectorAll('tbody th')].some((th) => th.textContent?.includes('home-made spacer')));
});

test('a spring is inspected: the verdict with its numbers, and the fate that follows', async () => {
  await atStrip('Wheel cylinder, single', 'tray');
  await page.click('button[aria-label="Inspect the spring"]');
  await fill('free length, mm', '40');
  await fill('free length when new, mm', '44');
  await shows(page, /Replace it 40 mm free against 44 mm new: 9\.1 % lost, at most 4 %\./);
  await page.waitForFunction(
    () => (document.querySelector('select[aria-label="Fate of the spring"]') as HTMLSelectElement).value === 'replaced',
  );
});

test('stuck: force before air is chosen, a limit that holds, and a soak that starts its wait', async () => {
  await atStrip('Clutch slave', 'stuck');
  await shows(page, /Tried so far push it inward first: did not move .* low air into a rag at 2\.00 bar: stopped/);
  await shows(page, /78 N on the piston limit 2 bar; this usually takes 64 bar: do not expect it to move/);
  await fill('Pressure, bar', '6');
  await shows(page, /230 N on the piston Past the limit of 2 bar/);
  await click('Start the soak');
  await shows(page, /soak in fresh brake fluid: soaks/);
  await page.waitForFunction(() => document.querySelector('aside')?.textContent?.includes('soak in fresh brake fluid 12 h'));
});

test('likely causes: a test’s answer moves them, and what it was is noted', async () => {
  await atStrip('Valve master', 'causes');
  await page.waitForFunction(() => document.querySelector('ol li b + b')?.textContent === 'end seal leaks back to the reservoir');
  await page.click('button[aria-label^="yes: Does the pedal come up"]');
  await shows(page, 'Tested Does the pedal come up and firm when it is pumped fast?');
  await page.waitForFunction(() => document.querySelector('ol li b + b')?.textContent === 'air in the system');
  await page.click('ol li input[type="checkbox"]');
  await shows(page, 'found out: air in the system yes');
});

describe('a variant of a family', () => {
  test('that cannot work says why and is not saved', async () => {
    await page.goto(`${app.origin}/rules/families/master-single/edit`);
    await ready(page);
    await page.click('button[aria-label="Drop the primary cup"]');
    await shows(page, 'Nothing seals between feed and pressure: one would run into the other.');
    const save = '::-p-xpath(//button[normalize-space(.)="Save the variant"])';
    expect(await page.$eval(save, (b) => (b as HTMLButtonElement).disabled)).toBe(true);
  });

  test('that can is saved, drawn, and offered at the counter', async () => {
    await page.goto(`${app.origin}/rules/families/master-lever/edit`);
    await ready(page);
    await page.click('button[aria-label="spring: nearer the open end"]');
    await page.click('button[aria-label="spring: further in"]');
    await fill('Name', 'Quay lever');
    await page.click('button[aria-label="Drop the sealing washers"]');
    await click('Save the variant');
    await page.waitForFunction(() => /\/rules\/families\/[0-9a-f-]{36}$/.test(location.pathname));
    await shows(page, /Quay lever .* Change this variant/);
    await page.goto(`${app.origin}/book-in`);
    expect(await page.$$eval('select[name="choice"] option', (all) => all.map((o) => o.textContent))).toContain('Quay lever');
  });
});

describe('photos', () => {
  const png = 'docs/screenshots/rack.png';
  const upload = async (label: string, ...paths: readonly string[]): Promise<void> => {
    const input = (await page.waitForSelector(`input[aria-label="${label}"]`)) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(...paths);
  };
  const write = (name: string, bytes: string | Buffer): string => {
    const path = join(files, name);
    writeFileSync(path, bytes);
    return path;
  };
  const stored = (): number => readdirSync(join(app.data, 'photos')).length;

  test('several at once on a part; looked at side by side and larger, by keyboard', async () => {
    await atStrip('Lever master', 'tray');
    await upload('Photo of the piston', png, 'docs/screenshots/rack.png', 'docs/screenshots/rules.png');
    await page.waitForFunction(() => document.querySelectorAll('#part-piston button img').length === 3);
    await page.focus('#part-piston button[aria-label="Open the photo piston"]');
    await page.keyboard.press('Enter');
    await page.waitForSelector('[role="dialog"] img');
    await page.waitForSelector('[role="dialog"] button[aria-label="Smaller"]:disabled');
    await new Keyboard(page).push('Larger');
    await page.waitForSelector('[role="dialog"] button[aria-label="Smaller"]:not(:disabled)');
    await new Keyboard(page).push('Side by side');
    await page.waitForFunction(() => document.querySelectorAll('[role="dialog"] figure').length === 2);
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
  });

  test('what is no photo gets a clear no, and the others still go', async () => {
    await atStrip('Lever master', 'tray');
    const before = await page.$$eval('#part-spring button img', (all) => all.length);
    await upload(
      'Photo of the spring',
      write('notes.png', 'these are notes'),
      write('drawing.svg', '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'),
      write('film.jpg', Buffer.alloc(40 * 1024 * 1024, 7)),
      png,
    );
    await shows(page, 'notes.png: That file is not a picture that can be read (JPEG, PNG, WebP).');
    await shows(page, 'drawing.svg: That file carries more than a picture (a script or a page in it): it is not taken.');
    await shows(page, 'film.jpg: 40 MB: a photo is at most 30 MB.');
    await page.waitForFunction((n: number) => document.querySelectorAll('#part-spring button img').length === n + 1, {}, before);
  });

  test('a line that breaks keeps them, and sends them when it is back', async () => {
    await atStrip('Lever master', 'tray');
    await page.setOfflineMode(true);
    await upload('Photo of the circlip', png);
    await shows(page, 'No connection: 1 kept here, sent when it is back.');
    await page.setOfflineMode(false);
    await page.waitForFunction(() => document.querySelectorAll('#part-circlip button img').length === 1);
  });

  /** The demo names its units as their tags are numbered. */
  const shownUnit = (): string => `demo-${/SQ-0(\d+)/.exec(page.url())?.[1]}`;
  const EDGE = '----a-line-between-the-parts-of-a-form';
  /** Sends bytes as a browser would, as far as is said. */
  const send = async (more: { readonly cut?: number; readonly headers?: Record<string, string>; readonly id?: string }) => {
    const unitId = await page.evaluate(() => document.querySelector('tr[id^="part-"]')?.id ?? '');
    expect(unitId).not.toBe('');
    const cookie = (await page.cookies()).map((c) => `${c.name}=${c.value}`).join('; ');
    const fields = { eventId: more.id ?? 'cut-1', unitId: shownUnit(), caption: 'cut', onKind: 'unit', onId: shownUnit(), phase: 'out' };
    const text = Object.entries(fields).map(([k, v]) => `--${EDGE}\r\ncontent-disposition: form-data; name="${k}"\r\n\r\n${v}\r\n`);
    const head = `${text.join('')}--${EDGE}\r\ncontent-disposition: form-data; name="file"; filename="a.png"\r\ncontent-type: image/png\r\n\r\n`;
    const body = Buffer.concat([Buffer.from(head), readFileSync(png), Buffer.from(`\r\n--${EDGE}--\r\n`)]);
    const headers = {
      cookie,
      origin: app.origin,
      'content-type': `multipart/form-data; boundary=${EDGE}`,
      'content-length': String(body.length),
      ...more.headers,
    };
    return new Promise<number>((resolve) => {
      const call = request(`${app.origin}/photos`, { method: 'POST', headers }, (answer) => {
        answer.resume();
        resolve(answer.statusCode ?? 0);
      });
      call.on('error', () => resolve(0));
      if (more.cut === undefined) call.end(body);
      else call.write(body.subarray(0, body.length * more.cut), () => call.destroy());
    });
  };
  const rows = async (): Promise<number> => {
    const db = createClient({ url: `file:${join(app.data, 'eddrin.db')}` });
    const { rows: found } = await db.execute("select count(*) as n from photos where caption = 'cut'");
    db.close();
    return Number(found[0]?.n);
  };

  test('an upload that is cut off half-way leaves nothing behind and can go on', async () => {
    await atStrip('Lever master', 'tray');
    const before = stored();
    expect(await send({ cut: 0.5 })).toBe(0);
    expect([stored(), await rows()]).toEqual([before, 0]);
    expect([await send({}), await send({})]).toEqual([201, 201]);
    expect(await rows()).toBe(1);
  });

  test('nobody, another site, and too much at once are refused before anything is read', async () => {
    await atStrip('Lever master', 'tray');
    expect(await send({ headers: { cookie: '' } })).toBe(401);
    expect(await send({ headers: { origin: 'http://elsewhere.example' } })).toBe(403);
    expect(await send({ headers: { origin: '' } })).toBe(403);
    expect(await send({ cut: 0.1, headers: { 'content-length': String(40 * 1024 * 1024) } })).toBeOneOf([0, 413]);
  });

  test('two hundred on one unit: the page draws a few, and all when asked', async () => {
    const href = await atStrip('Lever master', 'tray');
    const size = (): Promise<number> => page.evaluate(async (url: string) => (await (await fetch(url)).text()).length, `${href}/strip`);
    const before = await size();
    const db = createClient({ url: `file:${join(app.data, 'eddrin.db')}` });
    for (let i = 0; i < 200; i++)
      await db.execute({
        sql: "insert into photos select ?, unit_id, hash, 'one of many', at + ?, person_id, 'unit', unit_id, 'out' from photos where caption = 'cut'",
        args: [`many-${i}`, i],
      });
    // As each photo's own change would have done.
    await db.execute("update units set version = version + 1 where id in (select unit_id from photos where caption = 'one of many')");
    db.close();
    expect((await size()) - before).toBeLessThan(60_000);
    await page.reload();
    await ready(page);
    const drawn = () => page.$$eval('aside img', (all) => all.length);
    expect(await drawn()).toBe(6);
    await click(`All ${await page.evaluate(() => /Photos · (\d+)/.exec(document.body.innerText)?.[1])}`);
    await page.waitForFunction(() => document.querySelectorAll('aside img').length > 200);
    expect(await page.$$eval('aside img', (all) => all.every((i) => (i as HTMLImageElement).loading === 'lazy'))).toBe(true);
  });
});
