import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { type Chamber, expectedFacing } from '../family/facing';
import { FAMILIES } from '../family/families';
import { neverReused, PART_KIND_NAMES } from '../family/part-kind';
import { type StackInput, stackCheck } from './stack-check';

const PRESSURES = ['none', 'reservoir', 'working'] as const;

describe('where a lip must open', () => {
  test.each([
    ['none', 'reservoir', 'blind'],
    ['reservoir', 'working', 'blind'],
    ['none', 'working', 'blind'],
    ['working', 'reservoir', 'open'],
    ['working', 'none', 'open'],
    ['reservoir', 'none', 'open'],
    ['working', 'working', 'either'],
    ['none', 'none', 'either'],
  ] as const)('between %s and %s: %s', (open, blind, want) => {
    expect(expectedFacing('cup', open, blind)).toBe(want);
    expect(expectedFacing('plunger-seal', open, blind)).toBe(want);
  });

  test.each(['o-ring', 'square-seal', 'end-seal', 'boot', 'washer'])('a %s has none', (kind) => {
    expect(expectedFacing(kind, 'none', 'working')).toBe('none');
  });
});

describe('the families', () => {
  const facing = (family: keyof typeof FAMILIES) => {
    const { chambers, slots } = FAMILIES[family];
    const pressure = (id: string): Chamber['pressure'] => chambers.find((c) => c.id === id)?.pressure ?? 'none';
    return Object.fromEntries(
      slots.flatMap((s) => (s.between ? [[s.id, expectedFacing(s.kind, pressure(s.between[0]), pressure(s.between[1]))]] : [])),
    );
  };
  // design, domain, "Facing: which way a cup goes"
  test('a single master: both lips toward the blind end', () => {
    expect(facing('master-single')).toEqual({ secondary: 'blind', primary: 'blind' });
  });
  test('a tandem: the floating piston’s pair stands back to back', () => {
    expect(facing('master-tandem')).toEqual({
      secondary: 'blind',
      'rear-primary': 'blind',
      'floating-rear': 'open',
      'front-primary': 'blind',
    });
  });
  test('a wheel cylinder: both face the middle', () => {
    expect(facing('wheel-double')).toEqual({ 'left-cup': 'blind', 'right-cup': 'open' });
  });
});

/** A stack of chambers with a cup between each two, all facing as they must. */
const stack = fc.array(fc.constantFrom(...PRESSURES), { minLength: 2, maxLength: 8 }).map((pressures): StackInput => {
  const chambers = pressures.map((pressure, i) => ({ id: `c${i}`, pressure }));
  const seals = chambers.slice(1).map((c, i) => {
    const want = expectedFacing('cup', pressures[i] as Chamber['pressure'], c.pressure);
    return { id: `s${i}`, kind: 'cup', between: [`c${i}`, c.id] as const, faces: want === 'open' ? ('open' as const) : ('blind' as const) };
  });
  return { chambers, seals, removed: [], fitted: [] };
});

property.prop([stack])('a right stack is never flagged', (input) => {
  const answer = stackCheck(input);
  expect([answer.ok, answer.seals.filter((s) => !s.ok)]).toEqual([true, []]);
});

property.prop([stack, fc.nat()])('one seal turned is always caught, and only that one', (input, pick) => {
  const index = pick % input.seals.length;
  const turned = input.seals.map((s, i) =>
    i === index ? { ...s, faces: s.faces === 'open' ? ('blind' as const) : ('open' as const) } : s,
  );
  const wrong = stackCheck({ ...input, seals: turned }).seals.filter((s) => !s.ok);
  const either = stackCheck(input).seals[index]?.expected === 'either';
  expect(wrong.map((s) => s.id)).toEqual(either ? [] : [`s${index}`]);
});

describe('what came out and what went in', () => {
  const base: StackInput = { chambers: [{ id: 'a', pressure: 'none' }], seals: [], removed: [], fitted: [] };

  test('a part without a fate that was not fitted is left over; fitted or with a fate it is not', () => {
    const answer = stackCheck({
      ...base,
      removed: [{ id: 'washer' }, { id: 'clip', fate: null }, { id: 'boot', fate: 'binned' }, { id: 'piston' }],
      fitted: [{ id: 'piston', slot: 'piston' }],
    });
    expect([answer.leftover, answer.ok]).toEqual([['washer', 'clip'], false]);
  });

  test.each(PART_KIND_NAMES.filter(neverReused))('a %s is never refitted', (kind) => {
    const answer = stackCheck({ ...base, removed: [{ id: 'x', kind, fate: 'refitted' }] });
    expect([answer.refused, answer.ok]).toEqual([['x'], false]);
  });

  test('a boot may be; a cup replaced is as it should be', () => {
    const removed = [
      { id: 'boot', kind: 'boot', fate: 'refitted' },
      { id: 'cup', kind: 'cup', fate: 'replaced' },
    ] as const;
    expect(stackCheck({ ...base, removed })).toMatchObject({ refused: [], leftover: [], ok: true });
  });

  test('a slot that nothing fills is missing', () => {
    const answer = stackCheck({ ...base, slots: ['boot', 'clip'], fitted: [{ id: 'n1', slot: 'boot' }] });
    expect([answer.missing, answer.ok]).toEqual([['clip'], false]);
  });
});

test('a seal of unknown facing is not well, and is told why', () => {
  const chambers = [
    { id: 'a', pressure: 'none' },
    { id: 'b', pressure: 'working' },
    { id: 'c', pressure: 'working' },
  ] as const;
  const seals = [
    { id: 's', kind: 'cup', between: ['a', 'b'], faces: null },
    { id: 't', kind: 'cup', between: ['b', 'c'] },
    { id: 'o', kind: 'o-ring', between: ['a', 'b'] },
  ] as const;
  expect(stackCheck({ chambers, seals, removed: [], fitted: [] }).seals.map((s) => [s.ok, s.given, s.reason])).toEqual([
    [false, null, 'Facing not seen; it must face blind, where the higher pressure is.'],
    [false, null, 'Facing not seen; note it.'],
    [true, null, 'No lip: it has no facing.'],
  ]);
});
