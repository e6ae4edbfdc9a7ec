import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../family/families';
import { neverReused, PART_KIND_NAMES, PART_KINDS, type PartKind } from '../family/part-kind';
import { CONDITIONS } from './condition';
import { emptyTray, stripFaults, usualFate } from './tray';
import { type TrayPart, TrayPartSchema } from './tray-schema';

const family = FAMILIES['master-tandem'];
const part = (kind: PartKind, more: Partial<TrayPart> = {}): TrayPart => ({
  ...(emptyTray(family, (s) => s.id)[0] as TrayPart),
  kind,
  name: kind,
  found: 'present',
  condition: 'good',
  fate: 'refitted',
  ...more,
});

describe('an empty tray', () => {
  test.each(Object.values(FAMILIES).map((f) => [f.name, f] as const))(
    '%s: one row a slot, in order, nothing said yet, and sound',
    (_, f) => {
      const tray = emptyTray(f, (s) => `id-${s.id}`);
      expect(tray.map((p) => p.slotId)).toEqual(f.slots.map((s) => s.id));
      for (const p of tray) expect(TrayPartSchema.parse(p)).toEqual(p);
      expect(new Set(tray.map((p) => p.id)).size).toBe(tray.length);
      expect(stripFaults(tray).map((fault) => fault.code)).toEqual(tray.map(() => 'not-looked'));
    },
  );
});

describe('what is still open after stripping', () => {
  test.each<[string, Partial<TrayPart>, readonly string[]]>([
    ['all said', {}, []],
    ['absent is enough', { found: 'absent', condition: null, fate: null }, []],
    ['no condition', { condition: null }, ['no-condition']],
    ['no fate', { fate: null }, ['no-fate']],
    ['neither', { condition: null, fate: null }, ['no-condition', 'no-fate']],
  ])('%s', (_, news, codes) => expect(stripFaults([part('circlip', news)]).map((f) => f.code)).toEqual(codes));

  test('rubber that is to go back is told, whatever its condition', () => {
    expect(stripFaults([part('cup'), part('o-ring'), part('boot')])).toEqual([
      { code: 'rubber-reused', part: 'cup' },
      { code: 'rubber-reused', part: 'o-ring' },
    ]);
  });
});

describe('the usual fate', () => {
  test('never-reused kinds are replaced in every condition; no policy lets them back', () => {
    for (const kind of PART_KIND_NAMES.filter(neverReused)) {
      expect(PART_KINDS[kind].policy).toBe('never');
      for (const condition of CONDITIONS) expect([kind, usualFate(kind, condition)]).toEqual([kind, 'replaced']);
    }
  });

  test.each<[PartKind, (typeof CONDITIONS)[number], string]>([
    ['boot', 'good', 'replaced'],
    ['sealing-washer', 'good', 'replaced'],
    ['piston', 'good', 'refitted'],
    ['piston', 'scored', 'replaced'],
    ['spring', 'corroded', 'replaced'],
    ['circlip', 'bent', 'replaced'],
    ['reservoir-cap', 'good', 'refitted'],
  ])('a %s that is %s: %s', (kind, condition, fate) => expect(usualFate(kind, condition)).toBe(fate));

  test('every kind that is inspected says what to look at', () => {
    for (const kind of PART_KIND_NAMES)
      if (PART_KINDS[kind].policy === 'inspect') expect([kind, PART_KINDS[kind].look]).not.toEqual([kind, '']);
  });
});
