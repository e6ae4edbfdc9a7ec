import { afterAll, beforeAll, expect, test } from 'vitest';
import { holdVacuum, isAt, ready, shows } from './bench';
import { type AtWork, closeShop, openShopAs } from './hand';
import { Person } from './person';
import {
  answered,
  bookIn,
  CLUTCH_SLAVE,
  clean,
  closeUp,
  gauge,
  type Job,
  judge,
  kit,
  partsIn,
  prove,
  release,
  set,
  sleevedAndOn,
  strip,
  toBeSleeved,
} from './work';

// Whole jobs, from the counter to the certificate, as a person does them who follows the screen: what they press and type is counted.
// Readings (gauge, caliper, depths) are work and not counted; everything else is the program's doing.

let { app, browser, page, hand } = {} as AtWork;
beforeAll(async () => {
  ({ app, browser, page, hand } = await openShopAs('maren-oreland', '180422'));
});
afterAll(() => closeShop({ app, browser, page, hand }));

test.each<Job>([
  {
    family: 'wheel cylinder with a cup that went hard',
    choice: 'wheel-double',
    bore: '7/8',
    complaint: 'wet boot',
    odd: [['left cup', 'hard']],
    pistonMm: 22.18,
    holed: 'sound',
  },
  {
    family: 'tandem master, pitted and honed',
    choice: 'master-tandem',
    bore: '7/8',
    complaint: 'pedal sinks slowly',
    odd: [
      ['boot', 'split'],
      ['rear primary cup', 'nicked'],
    ],
    pistonMm: 22.18,
    holed: 'pit',
  },
  CLUTCH_SLAVE,
])('$family', async (job) => {
  const p = new Person(hand);
  const tally: [string, number, number][] = [];
  const part = async (name: string, work: () => Promise<void>, next?: string): Promise<void> => {
    const [clicks, keys] = [p.clicks, p.keys];
    await work();
    if (next !== undefined) await p.next(next);
    tally.push([name, p.clicks - clicks, p.keys - keys]);
  };
  await part('book in', () => bookIn(p, job));
  const hasGap = job.choice.startsWith('master');
  await part('strip', () => strip(p, job), 'clean');
  await part('clean', () => clean(p), 'gauge');
  await part('gauge', () => gauge(p, 22.236), 'judge');
  await part('judge', () => judge(p, job), 'kit');
  await part('kit', () => kit(p), 'close-up');
  await part('close up', () => closeUp(p), hasGap ? 'set' : 'prove');
  if (hasGap) await part('set', () => set(p), 'prove');
  await part('prove', () => prove(p), 'release');
  await part('release', () => release(p, job));
  expect([p.clicks <= 60, p.keys <= 120], JSON.stringify([p.clicks, p.keys, tally])).toEqual([true, true]);
});

test('a caliper half with two pots: one after the other, each by its size, until both are judged', async () => {
  const p = new Person(hand);
  const more = [
    ['Pots', '2'],
    ['Bore of pot 2', '38.1'],
  ] as const;
  await bookIn(p, { choice: 'caliper-half', bore: '42.86', complaint: 'seized' }, more);
  await shows(page, /Pump all pistons out together/);
  expect(await page.$$eval('section[aria-label="Unit"] figcaption', (all) => all.map((f) => f.textContent))).toEqual(['Pot 1', 'Pot 2']);
  await p.click(/^Tray \d+ of/);
  await p.read('piston 1, ⌀', '42.815');
  await p.read('piston 2, ⌀', '38.055');
  await p.click(/^Looked at: \d+ are as usual$/);
  await answered(p);
  await p.click('This unit has none');
  await p.click('Strip done');
  await p.next('clean');
  await clean(p);
  await p.next('gauge');
  await shows(page, /Pot 1 ⌀ 42\.860: to be gauged Pot 2 ⌀ 38\.100: to be gauged/);
  await gauge(p, 42.87);
  await shows(page, /Pot 1 ⌀ 42\.860: to be judged Pot 2 ⌀ 38\.100: to be gauged/);
  await gauge(p, 38.11);
  await p.next('judge');
  await shows(page, /nominal \+ 0\.150 43\.010/);
  await p.click('Save judgement');
  await shows(page, /Pot 1 ⌀ 42\.860: reuse Pot 2 ⌀ 38\.100: to be judged/);
  await shows(page, /nominal \+ 0\.150 38\.250/);
  await p.click('Save judgement');
  await p.next('kit');
});

test('a lever master, pitted too deep to hone: sleeved with the customer’s yes, and on to the certificate', {
  timeout: 300_000,
}, async () => {
  const p = new Person(hand);
  await toBeSleeved(p);
  await p.type('Added to the price', '85');
  await p.click('Send and wait');
  await p.click('Aldwater Orchards said yes');
  await p.next('sleeve');
  await sleevedAndOn(p);
  expect([p.clicks <= 60, p.keys <= 120], JSON.stringify([p.clicks, p.keys])).toEqual([true, true]);
});

test('a booster: by hand, from the counter to the certificate', { timeout: 300_000 }, async () => {
  const p = new Person(hand);
  await page.goto(`${app.origin}/book-in`);
  await ready(page);
  await p.type('Customer', 'Aldwater Orchards');
  await p.type('Machine', 'Orchard tractor');
  await p.type('Promised for', '+6 d');
  await p.choose('Family', 'booster');
  await p.click('hard pedal');
  await p.click('Book in and give it a tag');
  await p.click('Go to the unit');
  await isAt(page, 'strip');
  await strip(p, { family: '', choice: 'booster', bore: '', complaint: '', odd: [['diaphragm', 'split']], pistonMm: 0, holed: 'sound' });
  await p.next('clean');
  await p.click('Done: wet wipe');
  await p.click('Clean and dry');
  await p.next('kit');
  await kit(p);
  await p.next('close-up');
  await partsIn(p);
  await p.click('Closed up');
  await p.next('prove');
  await p.click('holds against its way');
  await p.click('passes its own way');
  await p.click('Keep');
  await holdVacuum(page, 1, [67, 66.5, 66]);
  await shows(page, 'It loses 0.8 kPa in 15 s');
  await holdVacuum(page, 2, [67, 66, 65]);
  await shows(page, 'It holds both ways');
  await p.click('Proved by hand');
  await p.next('release');
  await release(p, { family: '', choice: 'booster', bore: '', complaint: '', odd: [], pistonMm: 0, holed: 'sound' });
  expect([p.clicks <= 60, p.keys <= 120], JSON.stringify([p.clicks, p.keys])).toEqual([true, true]);
});
