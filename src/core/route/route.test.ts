import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../family/families';
import { isFastener } from '../family/part-kind';
import { FINISH_NAMES } from '../finish/finish';
import { DOINGS, may, ROLES } from '../people/role';
import { putIn } from '../strip/part-news';
import { emptyTray, usualFate } from '../strip/tray';
import type { TrayPart } from '../strip/tray-schema';
import type { RouteFacts } from './facts';
import { routeOf, stationNow } from './route';
import { sayWhyNot, whyNotDone } from './why-not';

const family = FAMILIES['master-tandem'];
const tray = emptyTray(family, (s) => s.id).map((p) => ({
  ...p,
  found: 'present' as const,
  condition: 'worn' as const,
  fate: usualFate(p.kind, 'worn'),
  dims: (p.kind === 'piston' ? { diaMm: 22.18 } : {}) as TrayPart['dims'],
}));
const facts = (more: Partial<RouteFacts>): RouteFacts => ({
  family,
  done: ['book-in'],
  tray,
  treatments: [
    { method: 'alcohol', at: 1 },
    { method: 'looked-again', at: 2 },
  ],
  uncleared: [],
  ungauged: ['the bore'],
  unjudged: [],
  verdicts: [],
  approval: null,
  sleeved: null,
  uncovered: null,
  contacts: [],
  curing: [],
  waits: [],
  halves: null,
  stroked: 'by-itself',
  gap: 'ok',
  tried: { missing: [], bad: [] },
  unopened: [],
  proof: [{ name: 'hold, 80 bar', stands: 'open' }],
  signedBy: [],
  ...more,
});
const proof = (stands: RouteFacts['proof'][number]['stands']): RouteFacts['proof'] => [{ name: 'hold, 80 bar', stands }];
const before = ['book-in', 'strip', 'clean', 'gauge', 'judge'] as const;

describe('where a unit is', () => {
  test.each<[string, Partial<RouteFacts>, string | undefined]>([
    ['booked in', {}, 'strip'],
    ['judged for honing', { done: before, verdicts: [{ outcome: 'hone', toDo: [] }] }, 'hone'],
    ['judged for a sleeve', { done: before, verdicts: [{ outcome: 'sleeve', toDo: [] }] }, 'sleeve'],
    ['judged good', { done: before, verdicts: [{ outcome: 'reuse', toDo: [] }] }, 'kit'],
    ['cut: gauged again', { done: ['book-in', 'strip', 'clean', 'hone'], unjudged: ['the bore'] }, 'gauge'],
    ['closed up', { done: [...before, 'kit', 'close-up'], verdicts: [{ outcome: 'reuse', toDo: [] }] }, 'set'],
    [
      'a wheel cylinder has no gap',
      { family: FAMILIES['wheel-double'], done: [...before, 'kit', 'close-up'], verdicts: [{ outcome: 'reuse', toDo: [] }] },
      'prove',
    ],
    [
      'all done',
      { done: [...before, 'kit', 'close-up', 'set', 'prove', 'release'], verdicts: [{ outcome: 'reuse', toDo: [] }] },
      undefined,
    ],
  ])('%s', (_, more, station) => expect(stationNow(routeOf(facts(more)))).toBe(station));
});

describe('why not', () => {
  const why = (station: Parameters<typeof whyNotDone>[0], more: Partial<RouteFacts>) => whyNotDone(station, facts(more)).map((w) => w.code);
  const closed = tray.map((p) => ({
    ...p,
    goesIn: putIn(
      {
        piece: p.fate === 'refitted' ? ('same' as const) : ('new' as const),
        faces: p.kind !== 'cup' ? null : p.slotId === 'floating-rear' ? ('open' as const) : ('blind' as const),
      },
      1,
      isFastener(p.kind) ? { how: 'torque' as const, nm: 9, hand: 'right' as const, source: 'manual' } : null,
    ),
  }));

  test('strip: every part recorded, with a fate, no rubber kept', () => {
    expect(why('strip', { tray: emptyTray(family, (s) => s.id) })).toEqual(['not-looked']);
    expect(why('strip', { tray: tray.map((p) => ({ ...p, fate: 'refitted' as const })) })).toEqual(['rubber-reused']);
    const unmeasured = tray.map((p) => (p.slotId === 'floating-piston' ? { ...p, dims: {} } : p));
    expect(whyNotDone('strip', facts({ tray: unmeasured }))).toEqual([{ code: 'no-diameter', parts: ['floating piston'] }]);
    expect(why('strip', {})).toEqual([]);
  });

  test('what is spoilt stays out, also where it has got in, but for a lead’s word', () => {
    const own = (condition: TrayPart['condition'], allowed: TrayPart['allowed'] = null) =>
      closed.map((p) =>
        p.slotId === 'circlip'
          ? { ...p, condition, allowed, fate: 'refitted' as const, goesIn: putIn({ piece: 'same' as const, faces: null }, 1) }
          : p,
      );
    for (const condition of ['broken', 'cracked', 'split', 'swollen'] as const) {
      expect([condition, why('close-up', { tray: own(condition) })]).toEqual([condition, ['spoilt']]);
      expect([condition, why('release', { tray: own(condition), signedBy: ['a', 'b'] })]).toEqual([condition, ['spoilt']]);
    }
    expect(why('close-up', { tray: own('worn') })).toEqual([]);
    expect(why('close-up', { tray: own('broken', { name: 'Lena', reason: 'display only' }) })).toEqual([]);
  });

  test('release: nothing still waited for, nothing uncured, whatever holds it', () => {
    const signed = { tray: closed, signedBy: ['a', 'b'] };
    expect(why('release', signed)).toEqual([]);
    expect(whyNotDone('release', facts({ ...signed, waits: ['a night on paper'] })).map(sayWhyNot)).toEqual([
      'Still waited for: a night on paper. End each at the unit, or have it ended by whom it rings.',
    ]);
    for (const finish of FINISH_NAMES) expect([finish, why('release', { ...signed, curing: [finish] })]).toEqual([finish, ['curing']]);
  });

  test('close up: nothing left out, nothing old, nothing turned', () => {
    expect(why('close-up', { tray: closed })).toEqual([]);
    expect(why('close-up', { tray: closed.map((p, i) => (i === 3 ? { ...p, goesIn: null } : p)) })).toEqual(['not-in']);
    const turned = closed.map((p) =>
      p.slotId === 'rear-primary' ? { ...p, goesIn: putIn({ piece: 'new' as const, faces: 'open' as const }, 1) } : p,
    );
    expect(why('close-up', { tray: turned })).toEqual(['wrong-side']);
    const oldCup = closed.map((p) =>
      p.slotId === 'secondary' ? { ...p, goesIn: putIn({ piece: 'same' as const, faces: 'blind' as const }, 1) } : p,
    );
    expect(why('close-up', { tray: oldCup })).toEqual(['not-new']);
  });

  test('close up: every screw tight, a reason for what is usually replaced, stroked by hand, nothing that ruins rubber, nothing curing', () => {
    expect(why('close-up', { tray: closed.map((p) => ({ ...p, goesIn: { ...p.goesIn, fastened: null } })) })).toEqual(['not-tightened']);
    const oldBoot = (note: string) =>
      closed.map((p) =>
        p.kind === 'boot' ? { ...p, fate: 'refitted' as const, note, goesIn: putIn({ piece: 'same' as const, faces: null }, 1) } : p,
      );
    expect([why('close-up', { tray: oldBoot('') }), why('close-up', { tray: oldBoot('grips, no split') })]).toEqual([['no-reason'], []]);
    expect(why('close-up', { tray: closed, stroked: null })).toEqual(['not-stroked']);
    expect(why('close-up', { tray: closed, stroked: 'sticks' })).toEqual(['sticks']);
    const contacts = [
      { code: 'fluid-unknown' },
      { code: 'was-unknown', fluid: 'dot-4' },
      { code: 'used', methods: ['soak-penetrant'], rinsed: false },
    ] as const;
    expect(why('close-up', { tray: closed, contacts })).toEqual(['touch']);
    expect(why('close-up', { tray: closed, curing: ['paint-air', 'thread-locker'] })).toEqual(['curing']);
    expect(why('prove', { proof: proof('pass'), curing: ['thread-locker'] })).toEqual(['curing']);
  });

  test('set: a gap, and a right one; a booster: everything tried, nothing gone wrong', () => {
    const gaps = (['binding', 'too-tight', 'too-loose', 'measure-again', 'ok', null] as const).map((gap) => why('set', { gap }));
    expect(gaps).toEqual([['gap'], ['gap'], ['gap'], ['gap'], [], ['no-gap']]);
    const booster = { family: FAMILIES.booster, tray: [] };
    expect(why('prove', { ...booster, tried: { missing: ['the check valve'], bad: ['It leaks.'] } })).toEqual(['untried', 'tried-bad']);
    expect(why('prove', booster)).toEqual([]);
    expect(why('close-up', { ...booster, stroked: null })).toEqual([]);
  });

  test('what the customer was asked about waits for a yes; a sleeve is always asked about', () => {
    const sleeve = { outcome: 'sleeve', toDo: [] } as const;
    const sayings = (station: 'hone' | 'sleeve' | 'kit', more: Partial<RouteFacts>) => whyNotDone(station, facts(more)).map(sayWhyNot);
    expect(sayings('sleeve', { verdicts: [sleeve], approval: 'to-ask' })).toEqual([
      'It changes price or promise: ask the customer first, at Judge or by a quote.',
      'It has not been sent out to be sleeved.',
    ]);
    expect(sayings('hone', { approval: 'waiting' })).toEqual(['The customer has been asked, and has not said yes yet.']);
    expect(sayings('kit', { approval: 'no', uncovered: [] })).toEqual([
      'The customer said no to this: judge it another way, or hand it back unrepaired.',
    ]);
    expect(why('sleeve', { verdicts: [sleeve], approval: 'yes', sleeved: 'out' })).toEqual(['not-back']);
    expect(why('sleeve', { verdicts: [sleeve], approval: 'yes', sleeved: 'back' })).toEqual([]);
    expect([why('hone', { approval: 'yes' }), why('hone', {})]).toEqual([[], []]);
  });

  test('the later stations', () => {
    expect(why('judge', { verdicts: [{ outcome: 'scrap', toDo: [] }] })).toEqual(['scrap']);
    expect(why('judge', { verdicts: [{ outcome: 'undecided', toDo: ['Clean mark m1.'] }] })).toEqual(['open-questions']);
    expect(why('kit', { uncovered: ['boot'] })).toEqual(['uncovered']);
    expect(why('prove', { proof: proof('fail') })).toEqual(['proof-failed']);
    expect(why('prove', { proof: [...proof('hold-longer'), ...proof('open')] })).toEqual(['not-proved', 'proof-undecided']);
    expect(why('release', { signedBy: ['a'] })).toEqual(['signatures']);
    expect(why('release', { signedBy: ['a', 'b'] })).toEqual([]);
  });

  test('every condition is a sentence', () => {
    const all = [
      facts({ tray: emptyTray(family, (s) => s.id) }),
      facts({ tray: closed.map((p) => ({ ...p, goesIn: null })) }),
      facts({ uncovered: ['boot'], proof: proof('hold-longer'), signedBy: ['a'] }),
    ];
    const texts = all.flatMap((f) =>
      (['strip', 'gauge', 'judge', 'kit', 'close-up', 'prove', 'release'] as const).flatMap((s) => whyNotDone(s, f).map(sayWhyNot)),
    );
    expect(texts.length).toBeGreaterThan(8);
    for (const text of texts) expect(text).toMatch(/^[A-Z0-9].*\.$/);
  });
});

test('who may do what', () => {
  expect(Object.fromEntries(ROLES.map((role) => [role, DOINGS.filter((d) => may(role, d))]))).toEqual({
    technician: ['see', 'book-in', 'bench', 'kit', 'files', 'plan', 'machine', 'sign-first'],
    lead: [
      'see',
      'offer',
      'bill',
      'book-in',
      'correct',
      'bench',
      'kit',
      'files',
      'override',
      'reopen',
      'exit',
      'plan',
      'rules',
      'teach',
      'machine',
      'prices',
      'sign-first',
      'sign-second',
      'see-shop',
    ],
    counter: ['see', 'offer', 'bill', 'book-in', 'correct', 'kit', 'files', 'plan', 'machine'],
    owner: [
      'see',
      'offer',
      'bill',
      'book-in',
      'correct',
      'files',
      'override',
      'reopen',
      'exit',
      'plan',
      'rules',
      'teach',
      'machine',
      'prices',
      'sign-second',
      'see-shop',
      'shop',
    ],
  });
});
