import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { FAMILIES } from '@/core/family/families';
import { suggestDepths } from '@/core/gauge/suggest-grid';
import type { Person } from '@/core/people/role';
import { shiftsFrom } from '@/core/plan/shifts';
import type { Step } from '@/core/prove/programme/step';
import { usualSteps } from '@/core/prove/programme/usual';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { weekHours } from '@/core/shop/settings';
import { STATIONS } from '@/core/station';
import { boresOf } from '@/core/unit/bores';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { bookIn } from '@/db/book-in/book-in';
import { setPrices } from '@/db/cost/prices';
import { type Db, dataFolder, migrateDb, openDb } from '@/db/engine/connection';
import { currentVariants, type SavedVariant, saveVariant } from '@/db/family/variants';
import { addInstrument, checkRing, newToken } from '@/db/gauge/instruments';
import { addPerson } from '@/db/people/people';
import { saveProgramme } from '@/db/prove/save-programme';
import { leftUnits } from '@/db/rack/rack';
import { theShopKey } from '@/db/release/shop-key';
import { deliverRules } from '@/db/rules/deliver';
import { saveSettings } from '@/db/shop/settings';
import { customers } from '@/db/tables';
import { addPhoto } from '@/db/unit/photos';
import { startWait } from '@/db/unit/waits';
import type { TrueBore } from '../devices/gauge/bore';
import { trueBore } from '../devices/hand/bore';
import { must } from '../devices/hand/must';
import { drawPhoto } from '../devices/hand/photo';
import { type Random, seeded } from '../devices/hand/random';
import { Work, withValve } from '../devices/hand/work';
import { SOUND, type Truth } from '../devices/rig/chamber';
import { UNIT_STATES } from '../devices/rig/unit-states';
import { billFor } from './bills';
import { FITMENTS } from './fitments';
import { asArticle, KITS } from './kits';
import { PEOPLE } from './people';
import { PRICES } from './prices';
import { quoteFor } from './quotes';
import { CUSTOMERS, STORIES, type Story, type Trouble } from './scenario';
import { SHOP } from './shop';
import { insertArticle, insertFitment } from './shop-setup';
import { sundries } from './sundries';
import { bledBefore, identifyKnown, keepSystems } from './systems';
import { VARIANTS } from './variants';

const HOUR_MS = 3_600_000;
/** The shop's gauges: days since each was on its ring, and how far off it was, mm. */
const GAUGES = [
  ['Dial bore gauge, middle', 6, 0.001, 18, 35, 22.225],
  ['Three-point gauge', 41, -0.001, 20, 25, 22.225],
  ['Dial bore gauge, small', 12, 0.001, 10, 18.5, 15.875],
  ['Dial bore gauge, large', 9, 0.002, 34, 60, 42.862],
] as const;
/** What the stand-in devices are to find, by tag. */
export type Truths = { readonly rig: Readonly<Record<string, Truth>>; readonly gauge: Readonly<Record<string, TrueGauge>> };
type TrueGauge = { readonly bore: TrueBore; readonly depthsMm: readonly number[] };

/** Makes up the whole demo shop in an empty database. The same seed gives the same shop, relative to now. */
export async function seedDemo(db: Db, now: number, stories: readonly Story[] = STORIES): Promise<Truths> {
  const random = seeded(412);
  for (const person of PEOPLE) await addPerson(db, person, now - 400 * 24 * HOUR_MS);
  await deliverRules(db, now - 400 * 24 * HOUR_MS, {
    personId: 'maren-oreland',
    note: 'The standard rules, as the shop started with them.',
  });
  await theShopKey(db, now - 400 * 24 * HOUR_MS);
  await must(saveSettings(db, { personId: 'tobin-salke', at: now }, 0, SHOP));
  for (const [i, variant] of VARIANTS.entries())
    await saveVariant(db, PEOPLE[2] as Person, now - 300 * 24 * HOUR_MS, { id: `variant-${i + 1}`, replaces: null, variant });
  const slave = usualSteps(FAMILIES.slave).map((s): Step => (s.kind === 'cycles' ? { ...s, need: 'must' } : s));
  await must(
    saveProgramme(db, PEOPLE[2] as Person, now - 200 * 24 * HOUR_MS, {
      family: 'slave',
      after: 0,
      note: 'Two slaves came back that had held at once: stroke them first.',
      steps: slave,
    }),
  );
  for (const [i, [name, daysAgo, offMm, fromMm, toMm, ringMm]] of GAUGES.entries()) {
    const instrumentId = `gauge-${i + 1}`;
    await addInstrument(db, { id: instrumentId, name, fromMm, toMm }, now - 400 * 24 * HOUR_MS);
    for (const back of [62, 34, 0]) {
      const check = { checkId: `${instrumentId}-${back}`, instrumentId, ringMm, readMm: ringMm + (back === 0 ? offMm : 0) };
      await checkRing(db, PEOPLE[0] as Person, now - (daysAgo + back) * 24 * HOUR_MS, check);
    }
  }
  await stockStore(db, now);
  await customersOf(db, now);
  const rig: Record<string, Truth> = {};
  const gauge: Record<string, TrueGauge> = {};
  // Booked in as time went: the oldest first, so that tags count up.
  const byAge = [...stories].sort((a, b) => b.inH - a.inH);
  for (const [i, story] of byAge.entries()) {
    const record = await live(db, story, i, now, random, await currentVariants(db));
    const tag = tagOf(record.unit);
    const truth = withValve(story.rigFinds === undefined ? SOUND : { ...SOUND, ...UNIT_STATES[story.rigFinds].truth }, record);
    if (truth !== SOUND) rig[tag] = truth;
    for (const { pot, name, geometry } of boresOf(record))
      gauge[pot === 1 ? tag : `${tag}, ${name}`] = {
        bore: trueBore(geometry, story.bore),
        depthsMm: suggestDepths(geometry, STANDARD_RULES),
      };
  }
  return { rig, gauge };
}

const stockStore = async (db: Db, now: number): Promise<void> => {
  // A source of its own: what is in the drawers does not move what happens on the benches.
  const drawers = seeded(80);
  const all = [...KITS.map((k) => asArticle(k, now)), ...sundries(now, (below) => Math.floor(drawers.next() * below))];
  for (const [article, lots] of all) await insertArticle(db, article, lots, now - 300 * 24 * HOUR_MS, 'ida-brandvik');
  for (const fitment of FITMENTS) await insertFitment(db, fitment, now - 300 * 24 * HOUR_MS);
  await keepSystems(db, now - 90 * 24 * HOUR_MS);
  await bledBefore(db, now);
  await db.transaction((tx) => setPrices(tx, { personId: 'tobin-salke', at: now - 120 * 24 * HOUR_MS }, 'prices of the year', PRICES));
};

/** Customers came as they brought things; what else the counter knows of them is entered on their pages. */
const customersOf = async (db: Db, now: number): Promise<void> => {
  for (const [i, [name, phone, mail, address]] of CUSTOMERS.entries())
    await db.insert(customers).values({ id: `customer-${i + 1}`, name, phone, mail, address, createdAt: now - 390 * 24 * HOUR_MS });
};

/** Work is done by day: what fell at night was done the afternoon before. */
const byDay = (at: number): number => {
  const date = new Date(at);
  if (date.getHours() >= 8 && date.getHours() <= 15) return at;
  if (date.getHours() < 8) date.setDate(date.getDate() - 1);
  return date.setHours(13);
};

/** Hours that a promise is made for within the day's work; what is further off is by the calendar. */
const SOON_H = 12;
/** A promise, for the shop's hours: what is near is so many hours of work away, by day or by night; what is late stays late. */
const promiseOf = (dueH: number, now: number): number => {
  const halfHour = (at: number): number => Math.ceil(at / 1_800_000) * 1_800_000;
  if (dueH <= 0) return halfHour(now + dueH * HOUR_MS);
  const shifts = shiftsFrom(now, 60, weekHours(SHOP.hours), SHOP.closed);
  let left = dueH * 60;
  for (const { fromMin, toMin } of shifts) {
    // By the calendar: that moment, or two hours after the shop opens next.
    if (dueH > SOON_H && toMin > dueH * 60) return halfHour(now + Math.max(dueH * 60, fromMin + 120) * 60_000);
    if (dueH <= SOON_H && left <= toMin - fromMin) return halfHour(now + (fromMin + left) * 60_000);
    left -= toMin - fromMin;
  }
  throw new Error('the shop is never open');
};

/** A few drawn photos serve all units. */
const drawn = new Map<string, Promise<Uint8Array>>();
const photo = (kind: 'body' | 'bore', index: number, random: Random): Promise<Uint8Array> => {
  const key = `${kind}-${index % 3}`;
  const known = drawn.get(key) ?? drawPhoto(kind, random);
  drawn.set(key, known);
  return known;
};

const live = async (
  db: Db,
  story: Story,
  index: number,
  now: number,
  random: Random,
  variants: readonly SavedVariant[],
): Promise<UnitRecord> => {
  const [joss, pell, maren, ida] = PEOPLE as readonly [(typeof PEOPLE)[0], (typeof PEOPLE)[0], (typeof PEOPLE)[0], (typeof PEOPLE)[0]];
  const bench = index % 2 === 0 ? joss : pell;
  const unitId = `demo-${String(index + 1).padStart(3, '0')}`;
  const at = byDay(now - story.inH * HOUR_MS);
  const due = promiseOf(story.dueH, now);
  await bookIn(db, ida, at, {
    unitId,
    customer: story.customer,
    phone: story.phone,
    machine: story.machine,
    family: story.family,
    variant: variants.find((v) => v.variant.label === story.variant) ?? null,
    position: story.position,
    nominalMm: story.sixteenths === 0 ? null : (story.sixteenths * 25.4) / 16,
    morePotsMm: (story.morePots ?? []).map((n) => (n * 25.4) / 16),
    material: story.material,
    complaints: story.complaints,
    complaintText: story.words,
    identityMarks: story.marks,
    promisedAt: due,
    heldAt: index % 4 === 0 ? null : due,
    comesBackFrom: story.comeback === true ? await lifeBefore(db, story) : null,
  });
  const work = new Work(db, unitId, at, random, { bench, lead: maren });
  if (index % 3 !== 1)
    await addPhoto(db, work.next('photo-added', 'as it came', ida), {
      caption: 'as it came',
      bytes: await photo('body', index, random),
      on: { kind: 'unit', id: unitId },
      phase: 'out',
    });
  if (story.at === 'released') await identifyKnown(db, work, story);
  await run(work, story, db, random, now);
  if (story.finish !== undefined) await work.finish(story.finish[0], now - story.finish[1] * HOUR_MS);
  if (story.trouble !== undefined) await trouble(work, story.trouble, db, random);
  if (story.at === 'released' || story.at === 'scrapped') await billFor(db, work, index);
  if (story.quote !== undefined) await quoteFor(db, work, story.quote, now);
  if (story.wait !== undefined) {
    const [label, minutes] = story.wait;
    await startWait(db, { ...work.next('wait-started', label), at: now - 120_000 }, { label, minutes: minutes + 2 });
  }
  return work.record();
};

/** The last unit of a family that left for the same place of the same machine. */
const lifeBefore = async (db: Db, story: Story): Promise<string> => {
  const { units: left } = await leftUnits(db, null, 1000);
  const found = left.find((u) => u.family === story.family && u.machine === story.machine && u.position === story.position);
  if (found === undefined) throw new Error(`nothing left before for ${story.machine}, ${story.position}`);
  return found.id;
};

/** Works a unit along its route until it stands where its story says. */
const run = async (work: Work, story: Story, db: Db, random: Random, now: number): Promise<void> => {
  const order: readonly string[] = [...STATIONS, 'released'];
  const past = (station: string): boolean =>
    story.at === 'scrapped' ? ['strip', 'clean', 'gauge', 'judge'].includes(station) : order.indexOf(story.at) > order.indexOf(station);
  if (past('strip')) await work.strip();
  if (past('clean')) await work.clean();
  if (past('clean'))
    await addPhoto(db, work.next('photo-added', 'bore, cleaned'), {
      caption: 'bore, cleaned',
      bytes: await photo('bore', story.inH, random),
      on: { kind: 'unit', id: work.unitId },
      phase: 'out',
    });
  const bored = FAMILIES[story.family].bore !== 'none';
  if (bored && past('gauge')) await work.gauge(story.bore);
  if (bored && past('judge')) await work.judge(story.bore);
  if (story.at === 'scrapped') return work.scrap();
  if (bored && past('hone')) await work.hone(story.bore);
  else if (story.at === 'hone') await work.cut(story.family === 'master-tandem' ? 2 : 0);
  if (story.answer !== undefined) await work.sleeve(story.answer, promiseOf(40, now));
  if (past('kit')) await work.kit();
  if (past('close-up')) await work.closeUp();
  else if (story.at === 'close-up' && story.unasked !== true) await work.closeUp(story.family === 'master-tandem' ? 8 : 6);
  if (past('set')) await work.set();
  if (past('prove') || story.rigFinds === 'groove')
    await work.prove(
      story.rigFinds === 'groove'
        ? { ...SOUND, ...UNIT_STATES.groove.truth }
        : { ...SOUND, leakMlPerMinAt80: 0.004 + random.next() * 0.012 },
    );
  if (story.at === 'release') await work.sign();
  if (story.cause !== undefined) await work.itWas(story.cause);
  if (story.at === 'released') await work.release();
};

/** What stands in the way at strip, as far as it has been taken apart. */
const trouble = async (work: Work, kind: Trouble, db: Db, random: Random): Promise<void> => {
  switch (kind) {
    case 'half-way':
      await work.guide(6);
      await addPhoto(db, work.next('photo-added', 'mouth, boot off'), {
        caption: 'mouth, boot off',
        bytes: await photo('bore', 1, random),
        on: { kind: 'step', id: 'part-boot' },
        phase: 'out',
      });
      return;
    case 'stuck':
      await work.guide(5);
      await work.treat('push-inward', 'no', { state: 'seized' });
      await work.treat('tap-wood', 'no', { state: 'seized' });
      await work.treat('low-air', 'stopped', { state: 'seized', bar: 2 });
      return;
    case 'soaking':
      await work.guide(4);
      await work.treat('push-inward', 'moved', { state: 'seized' });
      await work.treat('soak-penetrant', 'waiting', { state: 'seized', minutes: 1560 });
      return;
    case 'absent':
      await work.guide();
      return work.markAbsent('boot');
    case 'foreign':
      await work.guide();
      return work.addForeign('o-ring', 'O-ring behind the cup', 'cup', 'someone packed it out');
  }
};

if (process.argv[1]?.endsWith('seed.ts')) {
  const db = await openDb();
  await migrateDb(db);
  const truths = await seedDemo(db, Date.now());
  writeFileSync(join(dataFolder(), 'rig-truth.json'), JSON.stringify(truths.rig));
  writeFileSync(join(dataFolder(), 'gauge-truth.json'), JSON.stringify(truths.gauge));
  writeFileSync(join(dataFolder(), 'gauge-token'), (await newToken(db, 'gauge-1')) ?? '', { mode: 0o600 });
  // Written last: it marks the demo as whole.
  writeFileSync(join(dataFolder(), 'demo-pins.json'), JSON.stringify(Object.fromEntries(PEOPLE.map((p) => [p.id, p.pin]))));
}
