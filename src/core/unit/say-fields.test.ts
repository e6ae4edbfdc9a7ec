import { expect, test } from 'vitest';
import { sayChanged, sayFields } from './say-fields';

test('fields are said in words, without ids; what is new of something as if it stood by itself', () => {
  expect(sayFields({ unitId: 'u', partId: 'p', news: { note: 'oil on it' } })).toEqual(['note oil on it']);
  expect(sayFields({ news: undefined, note: '' })).toEqual(['note nothing']);
});

test('a change says what it was and what it is', () => {
  expect(sayChanged({ note: 'a', unitId: 'u' }, { note: 'b', unitId: 'u' })).toEqual(['note: a → b']);
});
