import { expect, test } from 'vitest';
import { mergedFrom, sayChanged, sayReach } from './customer';

const QUARRY = { name: 'Pendle Quarry', phone: '0133', mail: 'stores@pendle.example', address: '' };

test('how a message reaches them: by mail, by telephone, or when they come', () => {
  expect(sayReach(QUARRY)).toBe('It goes to stores@pendle.example.');
  expect(sayReach({ ...QUARRY, mail: '' })).toMatch(/read out from the outbox, to 0133\.$/);
  expect(sayReach({ phone: '', mail: '' })).toMatch(/^Neither mail nor telephone is known/);
});

test('what was changed is said field by field, and nothing where nothing was', () => {
  expect(sayChanged(QUARRY, { ...QUARRY, phone: '', address: 'Gate 2' })).toBe('telephone: 0133 → nothing; address: nothing → Gate 2');
  expect(sayChanged(QUARRY, QUARRY)).toBe('');
});

test('one of two keeps its own, and takes what it lacks', () => {
  const other = { name: 'Pendel Quarry', phone: '0999', mail: '', address: 'Gate 2' };
  expect(mergedFrom(QUARRY, other)).toEqual({ ...QUARRY, address: 'Gate 2' });
});
