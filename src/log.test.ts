import { DrizzleQueryError } from 'drizzle-orm/errors';
import { expect, test } from 'vitest';
import { sayError, sayPath } from './log';

test('an error is logged with its place and its cause, and without the values of the statement', () => {
  const cause = Object.assign(new Error('disk I/O error'), { code: 'SQLITE_IOERR' });
  const said = JSON.stringify(sayError(new DrizzleQueryError('update accounts set password = ?', ['scrypt:1234\nsecret-hash'], cause)));
  expect(said).toContain('update accounts set password = ?');
  expect(said).toContain('SQLITE_IOERR');
  expect(said).toMatch(/ at .*log\.test\.ts/);
  expect(said).not.toMatch(/scrypt|secret-hash|params/);
  expect(sayError('a word')).toBe('string');
});

test('addresses are logged without the key that is all that opens them', () => {
  expect(sayPath('/quote/gtKFfSrz21F11Z9p-vHbuw/quote.pdf')).toBe('/quote/…/quote.pdf');
  expect(sayPath('/api/v1/calendar/abc.ics?x=1')).toBe('/api/v1/calendar/…?x=1');
  expect(sayPath('/units/SQ-0001/judge')).toBe('/units/SQ-0001/judge');
  expect(sayPath(undefined)).toBeUndefined();
});
