import { expect, test } from 'vitest';
import { codeFrom, codeTyped, sayCode } from './one-time-code';
import { type KnownToAll, pinFault } from './pin';

const KNOWN: KnownToAll = { names: ['Ferrybank Hydraulics', 'Ada Lindqvist'], numbers: ['0555 784120', '31', '4188'] };

test.each(['1111', '0000', '1234', '4321', '9876', '2468', '7890', '0123', '1212', '123123', '2580', '4188', '0031', '784120', '3690'])(
  'nobody may come in by %s',
  (pin) => {
    expect(pinFault(pin, 'technician', KNOWN)).toBe('is too easily guessed: choose one that nobody would try');
  },
);

test.each(['4711', '2605', '9073', '31415926'])('a technician may by %s', (pin) =>
  expect(pinFault(pin, 'technician', KNOWN)).toBeUndefined(),
);

test.each(['123', '123456789', '47a1', '', '４７１１'])('“%s” is no PIN', (pin) =>
  expect(pinFault(pin, 'counter', KNOWN)).toBe('is 4 to 8 figures'),
);

test.each([
  'password',
  'Passwort1',
  'qwerty',
  'abcdef',
  'aaaaaa',
  'lindqvist',
  'Ada123',
  'adalindqvist',
  'ferrybank99',
  '654321',
  '741852',
])('an owner may not by %s', (pin) => expect(pinFault(pin, 'owner', KNOWN)).toBeDefined());

test.each(['180422', 'quiet-harbour', 'Zx81&kl', '551907'])('a lead may by %s', (pin) =>
  expect(pinFault(pin, 'lead', KNOWN)).toBeUndefined(),
);

test('a passcode has six letters or more, and an end', () => {
  expect(pinFault('zw7k2', 'lead', KNOWN)).toBe('is 6 or more letters or figures');
  expect(pinFault('zw7k2'.repeat(13), 'owner', KNOWN)).toBe('is 64 letters or fewer');
});

test('a code has ten signs that are not taken for one another, however it is typed', () => {
  const code = codeFrom(Uint16Array.from({ length: 10 }, (_, i) => i * 977));
  expect(code).toMatch(/^[A-HJKMNP-Z2-9]{10}$/);
  expect(sayCode(code)).toBe(`${code.slice(0, 5)}-${code.slice(5)}`);
  expect(codeTyped(` ${sayCode(code).toLowerCase()} `)).toBe(code);
});
