import { inflateSync } from 'node:zlib';
import { beforeAll, describe, expect, test } from 'vitest';
import type { BleedEvent } from '@/core/bleed/bleed-event';
import { SHAPES } from '@/core/bleed/shapes';
import { fittingSheetOf } from '@/core/fitting-sheet/fitting-sheet';
import { lineOf } from '@/core/line/line';
import { FIRST_LINE, lineQuestion } from '@/core/line/line-sheet';
import { IMPERIAL, METRIC } from '@/core/quantity/units';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { lastBleeds, saveBleed } from '@/db/bleed/bleeds';
import { countSystems, dropSystem, keepSystem, keptSystem, keptSystems, systemOfFitment } from '@/db/bleed/systems';
import { fittingKeyOf, unitOfFittingKey } from '@/db/fitting-sheet/keys';
import { identifyUnit } from '@/db/identify/identity';
import { systems } from '@/db/tables';
import { leave } from '@/db/unit/sign-off';
import { labelSvg } from '@/papers/label';
import { inPool } from '@/pool/pool';
import { FITMENTS } from '../../demo/fitments';
import { insertFitment } from '../../demo/shop-setup';
import { openShop, PEOPLE, type Shop, START } from './shop';

// What goes with a unit to the machine: systems, bleeds, fitting sheets, cutting tickets.

let shop: Shop;
const by = { personId: PEOPLE.tech.id, at: START };
const FITMENT = FITMENTS[1] as (typeof FITMENTS)[number];
beforeAll(async () => {
  shop = await openShop();
  await insertFitment(shop.db, FITMENT, START);
});

describe('systems that are kept', () => {
  const system = SHAPES['one-two']();

  test('kept, found again at its fitment, changed under its id, dropped', async () => {
    expect(await keepSystem(shop.db, by, { id: 's1', fitmentId: FITMENT.id, system })).toEqual({ ok: true, value: { id: 's1' } });
    await keepSystem(shop.db, { ...by, at: START + 1 }, { id: 's2', fitmentId: null, system: { ...system, name: 'by itself' } });
    await keepSystem(shop.db, { ...by, at: START + 2 }, { id: 's1', fitmentId: FITMENT.id, system: { ...system, name: 'as measured' } });
    expect((await keptSystems(shop.db, 9)).map((k) => [k.id, k.system.name, k.fitment])).toEqual([
      ['s1', 'as measured', expect.stringContaining(FITMENT.machine)],
      ['s2', 'by itself', null],
    ]);
    expect((await systemOfFitment(shop.db, FITMENT.id))?.system.name).toBe('as measured');
    await dropSystem(shop.db, 's2');
    expect([await countSystems(shop.db), await keptSystem(shop.db, 's2')]).toEqual([1, undefined]);
  });

  test('none is kept at a fitment that is not there; one that cannot be read takes no list down', async () => {
    expect((await keepSystem(shop.db, by, { id: 's3', fitmentId: 'none', system })).ok).toBe(false);
    await shop.db
      .insert(systems)
      .values({ id: 'bad', name: 'bad', fitmentId: null, system: { lines: 7 }, changedAt: START, personId: 'tess' });
    expect((await keptSystems(shop.db, 9)).map((k) => k.id)).toEqual(['s1']);
  });
});

describe('a bleed that is sent as it goes on', () => {
  const stroke = (n: number): BleedEvent => ({ kind: 'stroke', at: START + n, endId: 'rear right' });
  const bleed = { id: 'b1', startedAt: START, method: 'pump' as const, system: SHAPES['one-two'](), events: [stroke(1)], changes: 1 };
  const counted = async () => (await lastBleeds(shop.db, 5)).map((b) => [b.id, b.by, b.events.length]);

  test('more is kept, the same again harms nothing, what was taken back is gone', async () => {
    expect((await saveBleed(shop.db, by, bleed)).ok).toBe(true);
    expect((await saveBleed(shop.db, by, { ...bleed, events: [stroke(1), stroke(2)], changes: 2 })).ok).toBe(true);
    expect((await saveBleed(shop.db, by, { ...bleed, events: [stroke(1), stroke(2)], changes: 2 })).ok).toBe(true);
    expect(await counted()).toEqual([['b1', 'Tess', 2]]);
    await saveBleed(shop.db, by, { ...bleed, events: [stroke(1)], changes: 3 });
    expect(await counted()).toEqual([['b1', 'Tess', 1]]);
  });

  test('an older tab does not put back what is past, nor does anybody else', async () => {
    const old = await saveBleed(shop.db, by, { ...bleed, events: [stroke(1), stroke(2)], changes: 2 });
    const other = await saveBleed(shop.db, { ...by, personId: PEOPLE.other.id }, { ...bleed, events: [], changes: 9 });
    expect([old.ok, other.ok]).toEqual([false, false]);
    expect(await counted()).toEqual([['b1', 'Tess', 1]]);
  });
});

describe('the fitting sheet', () => {
  const sheetOf = async (unitId: string, units = METRIC) => {
    const record = await shop.record(unitId);
    const kept = record.identity === null ? undefined : await systemOfFitment(shop.db, record.identity.fitmentId);
    return fittingSheetOf(record, kept?.system ?? null, STANDARD_RULES, units);
  };
  const head = (sheet: Awaited<ReturnType<typeof sheetOf>>, name: string) => sheet.sections.find((s) => s.head === name)?.lines ?? [];

  test('every unit has a key from the moment it is booked in, each its own, and it leads back to it', async () => {
    const ids = [await shop.book(), await shop.book()];
    const keys = await Promise.all(ids.map((id) => fittingKeyOf(shop.db, id)));
    expect([new Set(keys).size, keys.every((k) => /^[0-9a-f]{32}$/.test(k))]).toEqual([2, true]);
    expect((await unitOfFittingKey(shop.db, keys[1] ?? ''))?.unit.id).toBe(ids[1]);
    expect(await unitOfFittingKey(shop.db, '0'.repeat(32))).toBeUndefined();
  });

  test('of a unit that is still here, or left without a release, it says not to fit it', async () => {
    const here = await shop.at('judge');
    expect((await sheetOf(here)).may.kind).toBe('not-released');
    await leave(shop.db, await shop.change(here, 'exited', PEOPLE.lead), 'returned');
    expect((await sheetOf(here)).may.kind).toBe('not-fit');
  });

  test('released, with the bleed plan of its fitment; nothing of whose it is, whichever way it is read', async () => {
    const unitId = await shop.at('release', {
      customer: 'Zebulon Quill',
      phone: '0199 887',
      identityMarks: 'ZQ 1',
      machine: 'Quill’s own tractor',
    });
    await identifyUnit(shop.db, await shop.change(unitId, 'identified'), { fitmentId: FITMENT.id, measured: {} });
    await shop.worker(unitId).release();
    for (const units of [METRIC, IMPERIAL]) {
      const sheet = await sheetOf(unitId, units);
      expect([sheet.may.kind, sheet.fitment]).toEqual(['fit', expect.stringContaining(FITMENT.machine)]);
      const all = JSON.stringify(sheet);
      for (const secret of ['Quill', '0199', 'ZQ 1']) expect(all).not.toContain(secret);
    }
    const sheet = await sheetOf(unitId);
    expect(head(sheet, 'Bleed')[0]).toMatch(/^1\. rear right: \d+ strokes/);
    expect(head(sheet, 'Residual pressure')[0]).toContain('Cups alone weep');
    expect(head(sheet, 'Fluid')[0]).toContain('DOT 4');
    expect(head(sheet, 'Boots').length).toBe(1);
    expect(sheet.worksheet).toBeNull();
  });

  test('a master’s gap stands on it in the fitter’s units, with the four depths that lead to it', async () => {
    const unitId = await shop.at('prove', { family: 'master-single', nominalMm: 19.05, position: 'service brake' });
    const [mm, inch] = [await sheetOf(unitId), await sheetOf(unitId, IMPERIAL)];
    const gapMm = Number(/gap ([\d.]+)/.exec(head(mm, 'What was set at the bench')[0] ?? '')?.[1]);
    const gapIn = Number(/gap ([\d.]+)/.exec(head(inch, 'What was set at the bench')[0] ?? '')?.[1]);
    expect(gapMm).toBeGreaterThan(0.3);
    expect(Math.abs(gapIn * 25.4 - gapMm)).toBeLessThan(0.02);
    // The four figures on the sheet, put together by hand, are the gap on it.
    const [standOff, socket, edge, reading] = head(mm, 'How to check the gap on the machine').map((l) =>
      Number(/here ([\d.]+) mm/.exec(l)?.[1]),
    );
    expect((socket ?? 0) - (standOff ?? 0) + (reading ?? 0) - (edge ?? 0)).toBeCloseTo(gapMm, 1);
    expect(head(mm, 'Bleed')[0]).toContain('No system is kept');
    expect(mm.worksheet?.start.socket).toBeCloseTo(socket ?? 0, 1);
  });

  test('the label’s code is its address', async () => {
    const svg = labelSvg(await shop.record(await shop.book()), 'https://shop.example/fitting/SQ-0001/0123');
    expect(svg).toContain('<svg x="1" y="1" width="28" height="28"');
  });
});

test('the cutting ticket is in true scale: its ruler is 100 mm, and the strip as long as the tube, in the PDF’s own units', async () => {
  const line = lineOf(lineQuestion(FIRST_LINE), STANDARD_RULES);
  const pdf = await inPool('ticket', [FIRST_LINE, line]);
  if (!pdf.ok) throw new Error('no ticket was made');
  const bytes = Buffer.from(pdf.value).toString('latin1');
  const drawn = [...bytes.matchAll(/stream\r?\n([\s\S]*?)endstream/g)].flatMap((m) => {
    try {
      return [inflateSync(Buffer.from(m[1] ?? '', 'latin1')).toString('latin1')];
    } catch {
      return [];
    }
  });
  // By the matrices alone: what is drawn is as long as its own figure times every scale it stands under.
  const lengthsMm: number[] = [];
  for (const content of drawn) {
    const stack: number[] = [];
    let scale = 1;
    let from: readonly number[] = [];
    for (const text of content.split('\n')) {
      const numbers = text.split(' ').map(Number);
      if (text === 'q') stack.push(scale);
      else if (text === 'Q') scale = stack.pop() ?? 1;
      else if (text.endsWith(' cm')) scale *= numbers[0] ?? 1;
      else if (text.endsWith(' m')) from = numbers;
      else if (text.endsWith(' l')) {
        if (numbers[1] === from[1]) lengthsMm.push((Math.abs((numbers[0] ?? 0) - (from[0] ?? 0)) * scale * 25.4) / 72);
        from = numbers;
      }
    }
  }
  expect(lengthsMm.filter((mm) => Math.abs(mm - 100) < 0.05).length).toBe(1);
  // Upper and lower edge of two pieces of 150 mm and of what is left.
  const long = (mm: number): boolean => [150, line.cutMm - 300].some((piece) => Math.abs(mm - piece) < 0.05);
  expect(lengthsMm.filter(long).reduce((sum, mm) => sum + mm, 0) / 2).toBeCloseTo(line.cutMm, 1);
});
