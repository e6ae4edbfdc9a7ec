import type { Role } from './role';

/** What opens the bench to a person: figures on a tablet, or a longer passcode for those who may change more. */
export const PIN_WORDS: { readonly [R in Role]: 'PIN' | 'passcode' } = {
  technician: 'PIN',
  counter: 'PIN',
  lead: 'passcode',
  owner: 'passcode',
};
const FEWEST_FIGURES = 4;
const MOST_FIGURES = 8;
const SHORTEST_PASSCODE = 6;
export const LONGEST_PASSCODE = 64;

/** What such a PIN or passcode is like, for whoever makes one up. */
export const pinAsked = (role: Role): string =>
  PIN_WORDS[role] === 'PIN' ? `${FEWEST_FIGURES} to ${MOST_FIGURES} figures` : `${SHORTEST_PASSCODE} or more letters or figures`;

/** What anybody who stands at the counter may know: names, the telephone, numbers of tags. */
export type KnownToAll = { readonly names: readonly string[]; readonly numbers: readonly string[] };

/** Words that are tried first wherever somebody is asked for one. */
const COMMON = [
  'password',
  'passwort',
  'passcode',
  'secret',
  'letmein',
  'welcome',
  'qwerty',
  'qwertz',
  'azerty',
  'asdfgh',
  'abc123',
  'brake',
  'brakes',
  'clutch',
  'cylinder',
  'admin',
];
/** Ways of a finger over a pad of figures. */
const ON_THE_PAD = ['2580', '0852', '1470', '3690', '1590', '3570', '7410', '9630', '147258', '159753', '147258369', '741852', '963852'];

/** Why a PIN or passcode will not do; undefined where it will. */
export const pinFault = (pin: string, role: Role, known: KnownToAll): string | undefined => {
  const figures = /^\d*$/.test(pin);
  if (PIN_WORDS[role] === 'PIN') {
    if (!figures || pin.length < FEWEST_FIGURES || pin.length > MOST_FIGURES) return `is ${pinAsked(role)}`;
  } else if (pin.length < SHORTEST_PASSCODE) return `is ${pinAsked(role)}`;
  else if (pin.length > LONGEST_PASSCODE) return `is ${LONGEST_PASSCODE} letters or fewer`;
  return isTrivial(pin.toLowerCase(), known) ? 'is too easily guessed: choose one that nobody would try' : undefined;
};

const isTrivial = (pin: string, known: KnownToAll): boolean =>
  new Set(pin).size < 2 ||
  repeats(pin) ||
  runs(pin) ||
  ON_THE_PAD.includes(pin) ||
  COMMON.includes(pin) ||
  COMMON.includes(pin.replace(/\d+$/, '')) ||
  known.names.some((name) => wordsOf(name).some((word) => word.length > 2 && pin.replace(/\d+$/, '') === word)) ||
  known.names.some((name) => pin === wordsOf(name).join('')) ||
  known.numbers.some((number) => isOf(pin, number));

const wordsOf = (name: string): readonly string[] =>
  name
    .toLowerCase()
    .split(/[^\p{L}\d]+/u)
    .filter((w) => w !== '');

/** 1212, 123123, aabaab: one piece over and over. */
const repeats = (pin: string): boolean => {
  for (let n = 1; n <= pin.length / 2; n++) if (pin.length % n === 0 && pin.slice(0, n).repeat(pin.length / n) === pin) return true;
  return false;
};

/** 1234, 9876, 2468, 7890, abcdef: each as far from the next, nine followed by nought. */
const runs = (pin: string): boolean => {
  const codes = [...pin].map((c) => c.charCodeAt(0));
  const figures = /^\d+$/.test(pin);
  const steps = codes.slice(1).map((c, i) => (figures ? (c - (codes[i] as number) + 10) % 10 : c - (codes[i] as number)));
  return steps.every((s) => s === steps[0]);
};

/** A number that hangs on a unit or stands on the sign: with noughts before it or without, or the end of a long one. */
const isOf = (pin: string, number: string): boolean => {
  const digits = number.replace(/\D/g, '');
  if (digits === '' || !/^\d+$/.test(pin)) return false;
  return digits.length > MOST_FIGURES ? digits.endsWith(pin) : pin.replace(/^0+/, '') === digits.replace(/^0+/, '');
};
