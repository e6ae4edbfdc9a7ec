import { describe, expect, test } from 'vitest';
import { isMet, kindsMet, monthsOn, type SignedSkill, skillAt, type Try } from './skill';
import { NO_ASKS, type StationAsks } from './skill-schemas';

const NOW = Date.UTC(2026, 10, 30);
const DAY_MS = 86_400_000;
const ASKS: StationAsks = { ...NO_ASKS, kinds: { vernier: 2, dial: 1 }, inARow: 3, withinMonths: 6 };
const tried = (kind: string, level: number, daysAgo: number, how: 'right' | 'wrong' | 'hinted' = 'right'): Try => ({
  kind,
  level,
  at: NOW - daysAgo * DAY_MS,
  right: how !== 'wrong',
  hints: how === 'hinted' ? 1 : 0,
});
const have = (tries: readonly Try[]) => Object.fromEntries(kindsMet(ASKS, tries, NOW).map((k) => [k.kind, k.have]));

describe('what a station asks', () => {
  test('is met by right answers in a row at its level or above, whatever order they come in', () => {
    expect(have([])).toEqual({ vernier: 0, dial: 0 });
    expect(have([tried('vernier', 2, 1), tried('vernier', 3, 3), tried('vernier', 1, 2), tried('dial', 1, 1)])).toEqual({
      vernier: 2,
      dial: 1,
    });
    const all = [1, 2, 3, 4].flatMap((d) => [tried('vernier', 2, d), tried('dial', 2, d)]);
    expect(have(all)).toEqual({ vernier: 3, dial: 3 });
    expect(isMet(kindsMet(ASKS, all, NOW))).toBe(true);
    expect(isMet(kindsMet(NO_ASKS, [], NOW))).toBe(true);
  });

  test('begins anew at a wrong one or at one with a hint, and forgets what is too long ago', () => {
    const row = [2, 3, 4].map((d) => tried('vernier', 2, d));
    expect(have([...row, tried('vernier', 2, 1, 'wrong')]).vernier).toBe(0);
    expect(have([...row, tried('vernier', 2, 1, 'hinted')]).vernier).toBe(0);
    expect(have([...row, tried('vernier', 2, 5, 'wrong')]).vernier).toBe(3);
    expect(have([tried('vernier', 2, 100), tried('vernier', 2, 150), tried('vernier', 2, 190)]).vernier).toBe(2);
  });
});

test('a skill holds until it ends by itself or is ended, for its person and station only', () => {
  const skill: SignedSkill = {
    id: 's',
    personId: 'p',
    station: 'gauge',
    at: NOW,
    by: 'Lead',
    words: 'watched',
    practised: true,
    until: monthsOn(NOW, 12),
    endedAt: null,
  };
  const at = (s: SignedSkill, now: number, personId = 'p', station: SignedSkill['station'] = 'gauge') =>
    skillAt([s], personId, station, now);
  // Twelve mean months are a year but for hours.
  expect(Math.abs(monthsOn(NOW, 12) - NOW - 365.25 * DAY_MS)).toBeLessThan(DAY_MS);
  expect(at(skill, NOW + 364 * DAY_MS)).toBe(skill);
  expect(at(skill, NOW + 367 * DAY_MS)).toBeUndefined();
  expect(at({ ...skill, until: null }, NOW + 9999 * DAY_MS)?.id).toBe('s');
  expect(at({ ...skill, endedAt: NOW }, NOW)).toBeUndefined();
  expect(at(skill, NOW, 'q')).toBeUndefined();
  expect(at(skill, NOW, 'p', 'judge')).toBeUndefined();
});
