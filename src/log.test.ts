import { DrizzleQueryError } from 'drizzle-orm/errors';
import { expect, test } from 'vitest';
import { sayError } from './log';

test('an error is logged with its place and its cause, and without the values of the statement', () => {
  const cause = Object.assign(new Error('disk I/O error'), { code: 'SQLITE_IOERR' });
  const said = JSON.stringify(sayError(new DrizzleQueryError('update accounts set password = ?', ['scrypt:1234\nsecret-hash'], cause)));
  expect(said).toContain('update accounts set password = ?');
  expect(said).toContain('SQLITE_IOERR');
  expect(said).toMatch(/ at .*log\.test\.ts/);
  expect(said).not.toMatch(/scrypt|secret-hash|params/);
  expect(sayError('a word')).toBe('string');
});
