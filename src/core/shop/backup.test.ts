import { expect, test } from 'vitest';
import { backupWarning, isNightDue } from './backup';

const local = (day: number, hour: number, minute = 0) => new Date(2026, 4, day, hour, minute).getTime();

test.each([
  ['not before its hour', local(4, 2, 1), local(5, 1, 59), false],
  ['at its hour', local(4, 2, 1), local(5, 2), true],
  ['once a night', local(5, 2, 1), local(5, 23), false],
  ['later, where the program was off at its hour', local(3, 2, 1), local(5, 9), true],
  ['for the night before, where the program starts just before its hour', local(3, 2, 1), local(5, 1), true],
])('the night’s backup is due: %s', (_, last, now, due) => expect(isNightDue(2, last, now)).toBe(due));

test('an old backup is told in days, and one that never was as such', () => {
  expect(backupWarning({ kind: 'made', at: local(1, 2) }, 3, local(4, 1))).toBeUndefined();
  expect(backupWarning({ kind: 'made', at: local(1, 2) }, 3, local(4, 5))).toBe('No good backup for 3 d 3 h');
  expect(backupWarning({ kind: 'never', at: local(1, 2) }, 3, local(6, 5))).toBe('No backup was ever made');
});
