import { beforeAll, describe, expect, test } from 'vitest';
import { type CloseUpStep, closeUpSteps } from '@/core/close-up/guide';
import { piecesOf, sayPiece } from '@/core/close-up/piece';
import { NO_TOUCH } from '@/core/fluid/contact';
import { IMPERIAL, METRIC } from '@/core/quantity/units';
import { drawnParts } from '@/core/unit/drawn-parts';
import { stationPicture } from '@/core/unit/station-picture';
import type { UnitRecord } from '@/core/unit/unit-record';
import { noteTorque, torquesOf } from '@/db/close-up/torques';
import { openBag } from '@/db/kit/kit';
import { noteAtBench } from '@/db/unit/bench';
import { openShop, type Shop } from './shop';

// The close-up guide as it is made from real units: their tray, their bags, their bore, their fluid.

let shop: Shop;
let tandem: UnitRecord;
let steps: readonly CloseUpStep[];
beforeAll(async () => {
  shop = await openShop();
  tandem = await shop.record(await shop.at('close-up', { family: 'master-tandem', nominalMm: 22.225 }));
  steps = closeUpSteps(tandem, [], METRIC);
});

const stepOf = (record: UnitRecord, all: readonly CloseUpStep[], slotId: string): CloseUpStep => {
  const id = record.tray.find((p) => p.slotId === slotId)?.id;
  const step = all.find((s) => s.partId === id);
  if (step === undefined) throw new Error(`no step for ${slotId}`);
  return step;
};

describe('which piece', () => {
  test('the unit’s own where it goes back, else its place in the bag', () => {
    expect(stepOf(tandem, steps, 'rear-piston')).toMatchObject({ piece: 'same', from: 'same one back' });
    const [bag] = tandem.setAside;
    const cup = bag?.items.findIndex((i) => i.kind === 'cup') ?? -1;
    expect(stepOf(tandem, steps, 'rear-primary')).toMatchObject({ piece: 'new', from: `${bag?.number}, piece ${cup + 1}` });
    const boot = bag?.items.findIndex((i) => i.kind === 'boot') ?? -1;
    expect(stepOf(tandem, steps, 'boot').from).toBe(`${bag?.number}, piece ${boot + 1}`);
  });

  test('every part that goes back has one, and what the bags lack is a new one of nowhere', () => {
    const pieces = piecesOf(tandem);
    expect([...pieces.keys()].sort()).toEqual(tandem.tray.map((p) => p.slotId).sort());
    const bare = { ...tandem, setAside: [] };
    expect(sayPiece(piecesOf(bare).get('boot') ?? { kind: 'same' })).toBe('a new one');
    expect(closeUpSteps(bare, [], METRIC).find((s) => s.partId === stepOf(tandem, steps, 'boot').partId)?.from).toBe('a new one');
  });

  test('a bag of one piece is named alone', () => {
    const [bag] = tandem.setAside;
    const single = bag === undefined ? [] : [{ ...bag, number: 'S-9', items: bag.items.filter((i) => i.kind === 'boot') }];
    expect(sayPiece(piecesOf({ ...tandem, setAside: single }).get('boot') ?? { kind: 'same' })).toBe('S-9');
  });
});

describe('wet with what', () => {
  const wet = (slotId: string, more: object) => {
    const touch = { kind: 'touch', ...NO_TOUCH, ...more, id: 't', at: 1, personId: 'p' } as const;
    const record = { ...tandem, bench: [touch] } as UnitRecord;
    return stepOf(record, closeUpSteps(record, [], METRIC), slotId).wetWith;
  };
  test.each([
    ['rear-primary', { fluid: 'dot-4' }, 'soaked 10 min in fresh DOT 4'],
    ['rear-primary', {}, 'soaked 10 min in fresh fluid of this system'],
    ['rear-piston', { fluid: 'mineral' }, 'fresh mineral brake fluid'],
    ['rear-primary', { fluid: 'dot-4', lubricant: 'glycol-grease' }, 'rubber-safe grease, glycol base'],
    ['boot', { fluid: 'dot-4' }, 'a thin film of rubber-safe grease, on the dust side only'],
    ['circlip', { fluid: 'dot-4' }, 'clean and dry'],
  ])('%s with %o: %s', (slotId, more, words) => expect(wet(slotId, more)).toBe(words));
});

describe('what is referred to is there', () => {
  test('a photo is named only where one was taken', () => {
    const tray = tandem.tray.map((p) => (p.slotId === 'check-valves' ? { ...p, found: 'present' as const, fate: 'refitted' as const } : p));
    const valves = tray.filter((p) => p.slotId === 'check-valves');
    const withValves = { ...tandem, tray };
    const todo = (photos: UnitRecord['photos']) =>
      stepOf(withValves, closeUpSteps({ ...withValves, photos }, [], METRIC), 'check-valves').fitting.todo;
    expect(todo([])).not.toMatch(/photo/);
    const photo = { id: 'x', caption: '', at: 1, onKind: 'part', onId: valves[0]?.id ?? '', phase: 'out' } as const;
    expect(todo([photo])).toMatch(/passes as the photo from stripping shows/);
  });
  test('what has no fluid is wetted with none', () => {
    const dry = { ...tandem, family: { ...tandem.family, proof: 'by-hand' as const } };
    for (const step of closeUpSteps(dry, [], METRIC)) expect(step.wetWith).not.toMatch(/fluid|DOT/);
  });
});

describe('the way in', () => {
  test('a cup is told every edge between the mouth and its seat, in the person’s units', () => {
    expect(stepOf(tandem, steps, 'front-primary').passing).toMatch(
      /^Its lip goes in first: .* Past the clip groove at 3\.1 mm, the rear feed port at 35 mm, the rear compensating port at 43\.9 mm/,
    );
    const inches = closeUpSteps(tandem, [], IMPERIAL);
    expect(stepOf(tandem, inches, 'front-primary').passing).toMatch(/rear feed port at 1\.38 in/);
    // It came out on its piston and goes in on it: the edges are met by both together.
    expect(stepOf(tandem, steps, 'floating-rear').passing).toBeNull();
    expect(stepOf(tandem, steps, 'floating-rear').fitting.todo).toMatch(
      /^Work the floating rear cup onto the floating piston outside of the bore/,
    );
    expect(stepOf(tandem, steps, 'floating-piston').passing).toMatch(/^Past the clip groove/);
    expect(stepOf(tandem, steps, 'circlip').passing).toBeNull();
  });

  test('sides are asked of lips and springs, and of nothing else of a tandem', () => {
    const sided = steps
      .filter((s) => s.side !== null)
      .map((s) => [tandem.tray.find((p) => p.id === s.partId)?.slotId, s.side?.what, s.even]);
    expect(sided.filter(([, what]) => what === 'lip').map(([slot]) => slot)).toEqual([
      'front-primary',
      'floating-rear',
      'rear-primary',
      'secondary',
    ]);
    expect(
      sided.filter(([, what]) => what === 'small-end').every(([slot, , even]) => String(slot).endsWith('spring') && even === true),
    ).toBe(true);
  });

  test('the drawing shows the part whose turn it is, while the unit is closed up', async () => {
    const first = tandem.tray.find((p) => p.id === steps[0]?.partId)?.slotId;
    expect(
      drawnParts(tandem, stationPicture(tandem, 'close-up').marked)
        .filter((p) => p.state === 'marked')
        .map((p) => p.id),
    ).toEqual([first]);
    expect(drawnParts(tandem).some((p) => p.state === 'marked')).toBe(false);
  });
});

describe('screws, and what is usually replaced', () => {
  test('a screw is told its torque once it is known for the fitment; other parts are not tightened', async () => {
    expect(stepOf(tandem, steps, 'stop-screw').fastener).toEqual({ torque: null });
    expect(stepOf(tandem, steps, 'circlip').fastener).toBeNull();
    const torque = { slotId: 'stop-screw', nm: 12, hand: 'right', source: 'manual, page 4' } as const;
    await noteTorque(shop.db, await shop.change(tandem.unit.id, 'torque-noted'), torque);
    const now = await shop.record(tandem.unit.id);
    const after = closeUpSteps(now, await torquesOf(shop.db, now), METRIC);
    expect(stepOf(now, after, 'stop-screw').fastener).toEqual({ torque });
  });

  test('an old boot that goes back is asked why, once; a piston is not', () => {
    const old = (note: string) => ({
      ...tandem,
      tray: tandem.tray.map((p) => (p.kind === 'boot' ? { ...p, fate: 'refitted' as const, note } : p)),
    });
    const asks = (r: UnitRecord, slotId: string) => stepOf(r, closeUpSteps(r, [], METRIC), slotId).asksReason;
    expect([asks(old(''), 'boot'), asks(old('grips, no split'), 'boot'), asks(tandem, 'rear-piston')]).toEqual([true, false, false]);
  });
});

test('a note of fluid and rubber stays with the unit, and the newest counts', async () => {
  const unitId = await shop.at('close-up');
  for (const fluid of ['dot-3', 'dot-4'] as const)
    await noteAtBench(shop.db, await shop.change(unitId, 'touch-noted'), { kind: 'touch', ...NO_TOUCH, fluid });
  const record = await shop.record(unitId);
  expect(record.bench.filter((b) => b.kind === 'touch').length).toBe(2);
  expect(stepOf(record, closeUpSteps(record, [], METRIC), 'left-cup').wetWith).toBe('soaked 10 min in fresh DOT 4');
});

test('a bag that was opened keeps its pieces’ places', async () => {
  const [bag] = tandem.setAside;
  const again = await openBag(shop.db, await shop.change(tandem.unit.id, 'kit-opened'), {
    bagId: bag?.id ?? '',
    findings: [{ what: 'extra', kind: 'circlip', name: 'spare clip', qty: 1, dims: {} }],
  });
  const now = await shop.record(tandem.unit.id);
  expect([again.ok, stepOf(now, closeUpSteps(now, [], METRIC), 'boot').from]).toEqual([true, stepOf(tandem, steps, 'boot').from]);
});
