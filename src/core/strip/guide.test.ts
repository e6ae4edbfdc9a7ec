import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../family/families';
import type { Family } from '../family/family';
import { UNIT_KINDS, type UnitKind } from '../family/family-name';
import type { PartKind } from '../family/part-kind';
import { guideFor } from './guide';
import { emptyTray } from './tray';

const guideOf = (family: Family, kinds: { readonly [slotId: string]: PartKind } = {}) =>
  guideFor(
    family,
    emptyTray(family, (s) => s.id).map((p) => ({ ...p, kind: kinds[p.slotId] ?? p.kind })),
    [],
  );
const stepOf = (name: UnitKind, slotId: string, kinds = {}) => guideOf(FAMILIES[name], kinds).find((s) => s.slots.includes(slotId));
const order = (name: UnitKind): readonly string[] => guideOf(FAMILIES[name]).flatMap((s) => s.slots);

describe.each(UNIT_KINDS)('the guide for a %s', (name) => {
  const steps = guideOf(FAMILIES[name]);

  test('takes every part out once, and nothing twice', () => {
    expect(steps.flatMap((s) => s.slots).sort()).toEqual(FAMILIES[name].slots.map((s) => s.id).sort());
    expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length);
  });

  test('begins with a look and a photo of all of it, and ends with counting', () => {
    expect([steps[0]?.id, steps[0]?.photo]).toEqual(['as-it-came', expect.stringContaining('whole unit')]);
    expect(steps.at(-1)?.id).toBe('count');
  });

  test('every step is a sentence with its part in it', () => {
    for (const s of steps) {
      expect(s.todo).toMatch(/[.!]$/);
      const first = FAMILIES[name].slots.find((x) => x.id === s.slots[0]);
      if (first !== undefined) expect(s.todo).toContain(first.name);
    }
  });
});

test('a tandem: the stop screw comes before the floating piston and after the rear one, pressed in', () => {
  const at = (id: string): number => order('master-tandem').indexOf(id);
  expect(at('stop-screw')).toBeGreaterThan(at('rear-piston'));
  expect(at('stop-screw')).toBeLessThan(at('floating-piston'));
  expect(at('boot')).toBeLessThan(at('circlip'));
  expect(at('circlip')).toBeLessThan(at('rear-piston'));
  expect(at('roll-pins')).toBeLessThan(at('grommets'));
  const stop = stepOf('master-tandem', 'stop-screw');
  expect(stop?.todo).toBe(
    'Press the floating piston in with a wooden rod and hold it there: only then does it leave the stop screw. Screw that out.',
  );
  expect([stop?.keep, stop?.tool, stop?.flies]).toEqual([
    expect.stringContaining('copper washer'),
    expect.stringContaining('wooden rod'),
    expect.stringContaining('scores the floating piston'),
  ]);
});

test('seals that sit on a piston come out on it, to be seen before they leave it', () => {
  const rear = stepOf('master-tandem', 'rear-piston');
  expect(rear?.slots).toEqual(['rear-piston', 'secondary']);
  expect(stepOf('master-tandem', 'floating-piston')?.slots).toEqual(['floating-piston', 'floating-rear']);
  expect(rear?.photo).toMatch(/lips/);
  expect(stepOf('master-valve', 'plunger')?.slots).toEqual(['plunger', 'plunger-seal']);
});

test('a lever master: the boot lies in the first groove, the clip in the second', () => {
  expect(stepOf('master-lever', 'boot')?.todo).toMatch(/first groove; the clip lies in the second/);
  expect(stepOf('master-lever', 'circlip')?.todo).toMatch(/second groove/);
});

test('a through bore: both boots first, for nothing else keeps the pistons in', () => {
  expect(order('wheel-double').slice(0, 2)).toEqual(['left-boot', 'right-boot']);
  expect(stepOf('wheel-double', 'left-boot')?.todo).toMatch(/Nothing else keeps the piston in/);
});

test('the rod is measured before anything of it moves', () => {
  for (const name of ['master-single', 'master-valve', 'master-tandem', 'slave'] as const) {
    const steps = guideOf(FAMILIES[name]);
    const rod = steps.findIndex((s) => s.id === 'rod');
    const boot = steps.findIndex((s) => s.slots.includes('boot'));
    if (FAMILIES[name].slots.some((s) => s.kind === 'pushrod')) expect([name, rod >= 0 && rod < boot]).toEqual([name, true]);
  }
  expect(
    guideOf(FAMILIES['master-single'])
      .find((s) => s.id === 'rod')
      ?.measure.map((m) => m.dim),
  ).toEqual(['rodLengthMm', 'threadMm']);
});

test.each<[PartKind, RegExp, RegExp]>([
  ['circlip', /squeeze the eyes/, /circlip pliers/],
  ['wire-ring', /It has no eyes/, /hook/],
  ['nylon-ring', /lugs/, /plastic blades/],
  ['tanged-clip', /tangs/, /blade/],
])('what holds it decides the step: %s', (kind, todo, tool) => {
  const step = stepOf('master-single', 'circlip', { circlip: kind });
  expect([step?.todo, step?.tool]).toEqual([expect.stringMatching(todo), expect.stringMatching(tool)]);
  expect(step?.flies).not.toBeNull();
});

test('whatever can jump says so: clips, pistons, springs that a tab or a keyhole holds', () => {
  for (const [name, slotId] of [
    ['master-single', 'circlip'],
    ['master-single', 'piston'],
    ['master-valve', 'plunger'],
    ['master-valve', 'thimble'],
    ['master-valve', 'stem'],
    ['slave', 'boot-clip'],
    ['wheel-single', 'boot'],
    ['wheel-double', 'bleed-screw'],
    ['caliper-half', 'piston'],
    ['booster', 'diaphragm'],
  ] as const)
    expect([name, slotId, stepOf(name, slotId)?.flies ?? '']).not.toEqual([name, slotId, '']);
  expect(stepOf('linkage', 'split-pin')?.flies).toMatch(/lose the whole brake/);
});

test('what holds another comes off first: the ring of a boot, the stem in its keyhole, the split pin in its pin', () => {
  const before = (name: UnitKind, first: string, then: string): boolean => order(name).indexOf(first) < order(name).indexOf(then);
  expect(before('slave', 'boot-clip', 'boot')).toBe(true);
  expect(before('master-valve', 'thimble', 'stem')).toBe(true);
  expect(before('master-valve', 'stem', 'spring')).toBe(true);
  expect(before('linkage', 'split-pin', 'pin')).toBe(true);
});

test('a step speaks of what this unit has: no rod where there is none, no tab on a plain seat, no reservoir on a booster', () => {
  expect(stepOf('master-tandem', 'boot')?.todo).not.toMatch(/rod/);
  expect(stepOf('master-single', 'boot')?.todo).toMatch(/along the rod/);
  expect(stepOf('master-single', 'spring-seat')).toMatchObject({ todo: 'Take off the spring seat.', flies: null, tool: null });
  expect(stepOf('booster', 'valve-grommet')?.todo).not.toMatch(/reservoir/);
  expect(stepOf('booster', 'front-seal')?.todo).not.toMatch(/stem/);
});

test('a part that was added has come out already: it has no step', () => {
  const family = FAMILIES['wheel-single'];
  const tray = emptyTray(family, (s) => s.id);
  const added = { ...(tray[0] as (typeof tray)[number]), id: 'x', slotId: 'added-x', name: 'packing' };
  expect(guideFor(family, [...tray, added], [])).toEqual(guideFor(family, tray, []));
});
