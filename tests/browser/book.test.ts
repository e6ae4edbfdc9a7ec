import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { ready, shows } from './bench';
import { type AtWork, closeShop, openShopAs } from './hand';

// The Book of a shop that has worked for a year: what came back of one lot, who is called about it, and what stands behind each figure.

const DAY_MS = 86_400_000;
/** Units that left a year ago, one a day, and of which lot each took its kit; two in three of the bad lot came back within weeks. */
const PAST = `with recursive s(i) as (select 1 union all select i + 1 from s where i < 90)`;
const bad = 'i % 6 = 0';

let { app, browser, page, hand } = {} as AtWork;
beforeAll(async () => {
  ({ app, browser, page, hand } = await openShopAs('maren-oreland', '180422'));
  const shop = createClient({ url: `file:${join(app.data, 'eddrin.db')}` });
  const now = Date.now();
  const columns = 'family, position, identity_marks, material, geometry, piston_dia_mm, due_at, version, station, outcome';
  const one = `(select * from units where exit = 'released' and family = 'wheel-double' limit 1)`;
  await shop.batch(
    [
      `${PAST} insert into units (id, job_id, tag_no, created_at, changed_at, bore_changed_at, exit, exit_at, ${columns})
        select 'past-' || i, job_id, 5000 + i, ${now} - (400 + i) * ${DAY_MS}, ${now}, 0, 'released', ${now} - (380 + i) * ${DAY_MS}, ${columns} from s, ${one}`,
      `${PAST} insert into units (id, job_id, tag_no, created_at, changed_at, bore_changed_at, comes_back_from, ${columns})
        select 'again-' || i, job_id, 6000 + i, ${now} - (340 + i) * ${DAY_MS}, ${now}, 0, 'past-' || i, ${columns} from s, ${one}
        where ${bad} and i % 18 <> 0 or i = 40`,
      `${PAST} insert into bags (id, unit_id, article_id, lot_id, number, name, lot_code, expires_at, qty, items, at, opened_at, opened_by, findings, kept, spoilt)
        select 'bag-' || i, 'past-' || i, article_id, lot_id, 'K-131', name, case when ${bad} then 'LBAD' else 'LGOOD' end, expires_at, qty, items, at, opened_at, opened_by, '[]', '[]', '[]'
        from s, (select * from bags limit 1)`,
    ],
    'write',
  );
  shop.close();
});
afterAll(() => closeShop({ app, browser, page, hand }));

const rowOf = (name: string): Promise<string> =>
  page.$$eval(
    'tbody tr',
    (all, text) => (all.find((r) => (r as HTMLElement).innerText.includes(text)) as HTMLElement | undefined)?.innerText ?? '',
    name,
  );

test('a lot of which more come back than chance gives is told, with whom to call about those that are still out', async () => {
  await hand.go('/book');
  await shows(page, 'Lot, K-131, lot LBAD: more come back than chance gives. Whom to call');
  await page.click('::-p-xpath(//a[. = "Whom to call"])');
  await page.waitForFunction(() => location.pathname === '/book/holds');
  expect(new URL(page.url()).searchParams.get('group')).toBe('K-131, lot LBAD');
  await shows(page, /K-131, lot LBAD: more come back than chance gives\. Still out: 5/);
  const called = await page.$$eval('section[aria-label="To be called"] li', (all) => all.map((li) => li.textContent ?? ''));
  expect(called.map((c) => /SQ-50\d\d/.exec(c)?.[0]).sort()).toEqual(['SQ-5018', 'SQ-5036', 'SQ-5054', 'SQ-5072', 'SQ-5090']);
  expect(called.every((c) => /Aldwater|Pendle|Lowmoor|Skerrin|Fallowfield|Norrvik|Volunteer/.test(c) && /555 01\d\d/.test(c))).toBe(true);
  // 10 of 15 of that lot, of all that were out for long enough.
  expect(await rowOf('lot LBAD')).toMatch(/15\s+10\s[\s\S]*67 %: 10 of 15/);
  expect(await rowOf('lot LGOOD')).toMatch(/75\s+1\s[\s\S]*1.3 %: 1 of 75/);
  await shows(page, /differ/);
  await page.click('::-p-xpath(//tbody//a[contains(., "lot LBAD")])');
  await page.waitForSelector('section[aria-label="Units: K-131, lot LBAD"]');
  const rows = await page.$$eval('section[aria-label="Units: K-131, lot LBAD"] li', (all) => all.map((li) => li.textContent ?? ''));
  expect([rows.length, rows.filter((r) => r.includes('came back')).length]).toEqual([15, 10]);
});

test('the Book is filtered and its columns are picked in its address; its file has what is shown', async () => {
  await hand.go('/book?lot=LBAD&back=yes');
  await shows(page, '10 units have left the shop that are as asked below; 1 to 10.');
  await hand.press('Columns: 7 beside the tag');
  await page.click('::-p-xpath(//label[contains(., "Came back") and input])');
  await page.waitForFunction(() => location.search.includes('back%2C') || location.search.includes('back'));
  await page.waitForSelector('th ::-p-text(Came back)');
  expect(new URL(page.url()).searchParams.get('columns')).toBe('family,machine,customer,complaint,bore,how,left,back');
  expect(new URL(page.url()).searchParams.get('lot')).toBe('LBAD');
  const tags = await page.$$eval('tbody a[data-tray]', (all) => all.map((a) => a.textContent ?? ''));
  const href = await page.$eval('::-p-xpath(//a[contains(., "These as CSV")])', (a) => (a as HTMLAnchorElement).href);
  const lines = (await hand.download(href)).trim().split(/\r?\n/);
  expect(lines[0]).toBe('tag,family,machine,customer,complaint,bore,how,left,back');
  expect(lines.slice(1).map((l) => l.split(',')[0])).toEqual(tags);
  await hand.go('/book?lot=LBAD&back=no&columns=left&columns=back');
  await shows(page, '5 units have left the shop');
});

test('what a limit would have caught, where days went and what was learned: each figure leads to its units', async () => {
  await hand.go('/book/days');
  await shows(page, /The bottleneck is/);
  const [station, units] = await page.$eval('tbody tr', (r) => [
    r.querySelector('a')?.textContent ?? '',
    r.querySelector('td')?.textContent ?? '',
  ]);
  await page.click('tbody tr a');
  await page.waitForSelector(`section[aria-label="Units at ${station}"]`);
  const named = await page.$$eval(`section[aria-label="Units at ${station}"] li a`, (all) => all.map((a) => a.textContent));
  expect(new Set(named).size).toBe(Number(units));
  await hand.go('/book/learned');
  await page.click('section[aria-label="What freed what"] tbody a');
  await page.waitForSelector('section[aria-label="Units behind it"] li a');
  await hand.go('/book/learned?of=nothing&lot=1');
  expect(await page.$('section[aria-label="Units behind it"]')).toBeNull();
});

test('a unit’s file of another shop is taken in and shown as such; this shop’s own, and what is none, are refused in words', async () => {
  const file = JSON.parse(await hand.download('/api/v1/units/SQ-0003/unit.json'));
  const put = async (field: string, bytes: readonly number[], name: string): Promise<void> => {
    const input = await page.waitForSelector(field);
    await input?.evaluate(
      (e, all, called) => {
        const files = new DataTransfer();
        files.items.add(new File([new Uint8Array(all)], called));
        (e as HTMLInputElement).files = files.files;
        e.dispatchEvent(new Event('change', { bubbles: true }));
      },
      bytes,
      name,
    );
  };
  const take = async (text: string): Promise<void> => {
    await hand.go('/book/foreign');
    await ready(page);
    await put('input[accept*="json"]', [...Buffer.from(text)], 'unit.json');
  };
  await take(JSON.stringify(file));
  await shows(page, 'That file is of this shop: its unit is in the Book already.');
  await take('{"eddrin": "unit"}');
  await shows(page, /That is no file of a unit: \d+ things are not as they should be\./);
  await take(JSON.stringify({ ...file, shop: 'Works Elsewhere' }));
  await shows(page, /SQ-0003 of Works Elsewhere, as it was on .*: not this shop’s record/);
  await shows(page, /0 of its \d+ photos? (is|are) here/);
  const zip = await page.evaluate(async () => [...new Uint8Array(await (await fetch('/api/v1/units/SQ-0003/photos.zip')).arrayBuffer())]);
  await put('input[accept*="zip"]', zip, 'photos.zip');
  await shows(page, /[1-9]\d* photos? (was|were) taken in\./);
  await page.waitForFunction(() => {
    const all = [...document.querySelectorAll<HTMLImageElement>('section[aria-label="Its photos"] img')];
    return all.length > 0 && all.every((i) => i.complete && i.naturalWidth > 0);
  });
  await put('input[accept*="zip"]', [1, 2, 3], 'photos.zip');
  await shows(page, 'That is no zip, or it is damaged.');
  // Nobody who is not signed in puts anything there, nor a page of elsewhere.
  const door = `${app.origin}/api/v1/book/foreign/any/photos`;
  expect((await fetch(door, { method: 'POST', body: 'x' })).status).toBe(401);
  // It is in no count and no list of this shop's own.
  await hand.go('/find?q=Elsewhere');
  await shows(page, /0 found|Units turn up by tag/);
});
