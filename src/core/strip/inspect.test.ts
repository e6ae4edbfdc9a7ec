import { describe, expect, test } from 'vitest';
import { PART_KIND_NAMES, PART_KINDS, type PartKind } from '../family/part-kind';
import { STANDARD_RULES } from '../rules/rule-set';
import { CHECKS, inspectPart } from './inspect';
import type { Checks } from './tray-schema';

const inspect = (kind: PartKind, checks: Checks, rules = STANDARD_RULES) => inspectPart({ kind, checks }, rules);
const SPRING = { freeMm: 40, newMm: 41, rust: 'none', bend: 'springs back' };
const HOLE = { holeMaxMm: 8.1, holeMinMm: 8.05, pinMm: 7.95 };

describe('verdicts by rule, with the number', () => {
  test.each<[string, PartKind, Checks, 'good' | 'replace' | 'open', RegExp]>([
    ['a spring that kept its length', 'spring', SPRING, 'good', /40 mm free against 41 mm new: 2.4 % lost, at most 4 %/],
    ['just at the limit', 'spring', { ...SPRING, freeMm: 48, newMm: 50 }, 'good', /4 % lost/],
    ['just past it', 'spring', { ...SPRING, freeMm: 47.9, newMm: 50 }, 'replace', /4.2 % lost, at most 4 %/],
    ['longer than new is no loss', 'spring', { ...SPRING, freeMm: 51, newMm: 50 }, 'good', /0 % lost/],
    ['rust that pits the coils', 'spring', { ...SPRING, rust: 'pitted' }, 'replace', /rust at the coils: pitted/],
    ['one that stays bent', 'spring', { ...SPRING, bend: 'stays bent' }, 'replace', /bend test: stays bent/],
    ['nobody bent it yet', 'spring', { freeMm: 40, newMm: 41, rust: 'light' }, 'open', /Not yet looked at: bend test/],
    ['a scored land', 'piston', { land: 'scored' }, 'replace', /lands: scored/],
    ['a clean piston', 'piston', { land: 'clean', skirt: 'clean' }, 'good', /^$/],
    ['a bent rod', 'pushrod', { bendMm: 0.42, tip: 'round', thread: 'whole' }, 'replace', /Bent 0.42 mm, at most 0.3 mm/],
    ['a straight one', 'pushrod', { bendMm: 0.1, tip: 'round', thread: 'whole' }, 'good', /Bent 0.1 mm/],
    [
      'a clip that lost its spring',
      'circlip',
      { acrossMm: 24.2, grooveMm: 24, edges: 'sharp' },
      'replace',
      /0.8 % wider than its groove, at least 3 %/,
    ],
    ['one with spring', 'circlip', { acrossMm: 25, grooveMm: 24, edges: 'sharp' }, 'good', /4.2 % wider/],
    ['a check valve that leaks', 'check-valve', { seat: 'clean', holds: 'leaks', passes: 'passes' }, 'replace', /against its way: leaks/],
    ['a grooved bleed cone', 'bleed-screw', { thread: 'whole', seat: 'grooved', drilling: 'open' }, 'replace', /cone: grooved/],
    ['a hole within its limits', 'clevis', HOLE, 'good', /oval by 0.05 mm.*\n.*plays 0.15 mm/],
    ['an oval hole', 'clevis', { ...HOLE, holeMinMm: 7.9 }, 'replace', /Hole oval by 0.2 mm, at most 0.15 mm/],
    ['a thin pin in it', 'lever', { ...HOLE, pinMm: 7.8 }, 'replace', /Pin plays 0.3 mm in it, at most 0.25 mm/],
    ['a worn pin', 'pin', { pinMm: 7.8, pinNewMm: 8 }, 'replace', /Worn by 0.2 mm/],
    ['a cracked reservoir', 'reservoir', { ports: 'open', body: 'cracked' }, 'replace', /body: cracked/],
    ['blocked reservoir ports can be cleared', 'reservoir', { ports: 'blocked', body: 'whole' }, 'good', /^$/],
  ])('%s', (_, kind, checks, verdict, says) => {
    const answer = inspect(kind, checks);
    expect(answer?.verdict).toBe(verdict);
    expect(answer?.reasons.join('\n')).toMatch(says);
  });

  test('the shop’s own rule decides', () => {
    const loose = { ...STANDARD_RULES, springLossPct: 10 };
    expect(inspect('spring', { ...SPRING, freeMm: 46, newMm: 50 })?.verdict).toBe('replace');
    expect(inspect('spring', { ...SPRING, freeMm: 46, newMm: 50 }, loose)?.verdict).toBe('good');
  });

  test('one thing that condemns it is enough, whatever has not been looked at', () => {
    expect(inspect('bleed-screw', { thread: 'pulled' })).toEqual({ verdict: 'replace', reasons: ['thread: pulled.'] });
  });
});

test('nothing is asked of what is never used again, and what is asked can be answered', () => {
  for (const kind of PART_KIND_NAMES) {
    if (PART_KINDS[kind].policy === 'never') expect([kind, CHECKS[kind]]).toEqual([kind, undefined]);
    for (const check of CHECKS[kind] ?? []) if ('words' in check) for (const bad of check.bad) expect(check.words).toContain(bad);
  }
  expect(inspect('boot', {})).toBeUndefined();
});
