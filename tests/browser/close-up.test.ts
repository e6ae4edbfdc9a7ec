import { afterAll, beforeAll, expect, test } from 'vitest';
import { holdVacuum, isDone, putInUntil, ready, shows } from './bench';
import { type AtWork, closeShop, openShopAs } from './hand';

// A single master closed up and set by a technician who makes mistakes: each is caught, told and put right.

let { app, browser, page, hand } = {} as AtWork;
let unit = '';
beforeAll(async () => {
  ({ app, browser, page, hand } = await openShopAs('joss-tarrow', '4711'));
  unit = await hand.at('Close up, set', 'close-up', 'Single master');
});
afterAll(() => closeShop({ app, browser, page, hand }));

const pick = async (label: string, value: string): Promise<void> => void (await (await hand.field(label)).select(value));
const until = (last: RegExp): Promise<void> => putInUntil(page, last);
const inNow = (): Promise<number> => page.$$eval('#station td', (all) => all.filter((td) => td.textContent === 'in').length);

test('a fluid that the rubber does not bear stops it, a fluid of another kind has to be flushed', async () => {
  await shows(page, 'Stop: Say which fluid the system is filled with');
  await pick('Fluid of the system', 'mineral');
  await shows(page, 'Stop: EPDM swells in mineral brake fluid, and is ruined.');
  await pick('Fluid of the system', 'dot-4');
  await pick('What was in it', 'dot-5');
  await shows(page, 'Stop: It held DOT 5, which does not mix with DOT 4: flush hoses');
  await hand.press('the fitter will');
  await shows(page, 'The certificate says so.');
  await hand.press('Keep');
  await shows(page, 'meets DOT 4 on EPDM · boils 230 °C dry, 155 °C wet');
});

test('a low bake is refused with openings open; the guide comes part by part, a cup the wrong way round is caught', async () => {
  await until(/PRIMARY CUP/);
  const before = await inNow();
  await shows(page, /NOW: PRIMARY CUP New: K-\d+, piece 1 · soaked 10 min in fresh DOT 4/);
  await shows(page, /Past the clip groove at [\d.]+ mm, the feed port at [\d.]+ mm: an edge cuts a lip\./);
  await page.keyboard.press('2');
  await shows(page, 'Stop: the primary cup is the wrong way round. Turn it.');
  expect(await inNow()).toBe(before);
  expect(await page.$eval('.section-part[data-state="marked"]', (e) => e.getAttribute('aria-label'))).toBe('primary cup, this one');
  await page.keyboard.press('1');
  await shows(page, 'NOW: THIN PROTECTOR WASHER');
  expect(await inNow()).toBe(before + 1);
  await hand.press('Paint, thread locker, resin');
  await pick('Put on', 'paint-bake');
  await shows(page, /A low bake ruins rubber and plastic, and these are in the body: primary cup/);
  await shows(page, /0 of \d openings are plugged/);
  await hand.press('Paint, thread locker, resin');
});

test('it is stroked before it is closed; then a washer lies on the bench, and just what it needs is open again', async () => {
  await until(/^$/);
  await shows(page, 'Stroke it by hand: is it free, and does it return by itself?');
  await hand.press('It sticks');
  await shows(page, 'It does not return by itself: a lip turned over');
  await hand.press('Free, returns by itself');
  await hand.press('Closed up');
  await isDone(page, 'close-up');
  await page.goto(`${unit}/close-up`);
  await ready(page);
  await hand.press('A part was left over');
  await hand.field('Which part lies on the bench?');
  const washer = await page.$$eval(
    'option',
    (all) => (all as HTMLOptionElement[]).find((o) => o.textContent === 'thin protector washer')?.value ?? '',
  );
  await pick('Which part lies on the bench?', washer);
  await shows(
    page,
    /For it must come out again: boot, circlip, stop washer, pushrod, piston\. Open again after that: Close up, Set, Prove, Release\./,
  );
  await hand.press('It was left out: open what it needs');
  await shows(page, 'NOW: THIN PROTECTOR WASHER');
  await until(/^$/);
  await hand.press('Free, returns by itself');
  await hand.press('Closed up');
  await isDone(page, 'close-up');
});

test('the gap is saved with its verdict: no gap holds Set, a right one signs it off', async () => {
  await page.goto(`${unit}/set`);
  await ready(page);
  const read = async (reading: string): Promise<void> => {
    for (const [label, text] of [
      ['Rim stands off the flange, mm', '4.8'],
      ['Socket, from the rim, mm', '12.9'],
      ['Straight edge is thick, mm', '20'],
      ['Outer side of it to the tip, mm', reading],
    ] as const)
      await hand.fill(label, text);
    await hand.press('Save to the unit');
  };
  await read('11.9');
  await shows(page, 'Not yet: There is no pushrod gap: the brakes would apply themselves.');
  await read('12.6');
  await shows(page, 'Not yet: The pushrod gap is not certain: it was read once only');
  for (const [label, text] of [
    ['Rim, again, mm', '4.8'],
    ['Socket, again, mm', '13.2'],
    ['Straight edge, again, mm', '20'],
    ['To the tip, again, mm', '12.6'],
  ] as const)
    await hand.fill(label, text);
  await shows(page, 'Two readings of the socket differ by 0.30 mm, more than the 0.07 that a hand makes: read both again.');
  await hand.fill('Socket, again, mm', '12.9');
  await hand.press('Save to the unit');
  await shows(page, 'Pushrod gap 0.70 ± 0.10 mm (from four depths, read twice; 0.40 to 1.10 allowed): right.');
  await hand.press('Gap set');
  await isDone(page, 'set');
});

test('what cures is told at every station until its time is over, and counts its plugs out', async () => {
  const painted = await hand.at('Clean', 'clean', 'Wheel cylinder, double');
  await shows(page, /paint, air cure · cures until/);
  expect(await page.$$eval('button', (all) => all.find((b) => b.textContent === 'It has cured')?.disabled)).toBe(true);
  await page.goto(`${painted}/hone`);
  await ready(page);
  await shows(page, /paint, air cure · cures until/);
  await shows(page, 'Plugs out, of 4');
});

test('a booster is tried by hand: what leaks is told, with where to look', async () => {
  await hand.at('Prove', 'prove', 'Vacuum booster');
  await hand.press('holds against its way');
  await hand.press('passes its own way');
  await hand.press('Keep');
  await shows(page, 'The check valve holds one way and passes the other.');
  await holdVacuum(page, 1, [67, 66.5, 66]);
  await shows(page, 'It loses 0.8 kPa in 15 s, at most 3.3 kPa: it holds.');
  await holdVacuum(page, 2, [67, 60, 53]);
  await shows(page, 'It holds at rest and leaks when pressed: the diaphragm');
  await holdVacuum(page, 2, [67, 66, 65]);
  await shows(page, 'It holds both ways: diaphragm, seals and check valve are tight.');
  await hand.press('Proved by hand');
  await isDone(page, 'prove');
});
