import { expect, test } from 'vitest';
import type { Offered, Quote } from './quote';
import { sayDecided } from './say-quote';

const NOW = Date.UTC(2026, 4, 5, 9);
const DAY_MS = 86_400_000;
const offered = (id: string, kind: Offered['kind'], words: string): Offered => ({
  id,
  kind,
  words,
  readyAt: NOW,
  charges: { lines: [], net: 10_000, taxes: [], rounding: 0, total: 12_000 },
});
const OPTIONS = [
  offered('a', 'sleeve', 'sleeve'),
  offered('b', 'exchange', 'exchange unit X-1'),
  offered('c', 'give-back', 'give back as it is'),
];
const quote = (answer: Quote['answer'], more: Partial<Quote> = {}): Quote => ({
  id: 'q',
  at: NOW - DAY_MS,
  personId: 'ida',
  validUntil: NOW + DAY_MS,
  words: '',
  options: OPTIONS,
  key: '',
  questions: [],
  answer,
  ...more,
});
const picks = (option: string): Quote['answer'] => ({ said: 'picks', option, at: NOW, by: 'ida' });

test.each<[string, readonly Quote[], string | undefined, RegExp]>([
  ['no quote', [], undefined, /^$/],
  ['one that is out', [quote(null)], 'open', /^A quote is with the customer since 4 May 9:00: they have not answered\.$/],
  ['one that ended unanswered', [quote(null, { validUntil: NOW - 1 })], 'open', /ended today 8:59 without an answer/],
  ['the unit is to be sleeved', [quote(picks('a'))], 'on', /^The customer chose, today 9:00: sleeve, 120\.00\.$/],
  ['another in its place', [quote(picks('b'))], 'stop', /exchange unit X-1.*not repaired/],
  ['given back', [quote(picks('c'))], 'stop', /give back as it is.*not repaired/],
  ['a no', [quote({ said: 'no', at: NOW, by: 'ida' })], 'stop', /said no to all/],
  ['an old yes does not count once another is out', [quote(picks('a')), quote(null)], 'open', /not answered/],
  ['an answer stands after the day it had to be given by', [quote(picks('b'), { validUntil: NOW - 1 })], 'stop', /not repaired/],
])('%s', (_, quotes, kind, text) => {
  const said = sayDecided(quotes, NOW);
  expect(said?.kind).toBe(kind);
  expect(said?.text ?? '').toMatch(text);
});
