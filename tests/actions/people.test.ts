import { eq } from 'drizzle-orm';
import { beforeAll, beforeEach, describe, expect, test, vi } from 'vitest';
import { ownPath } from '@/app/_server/who';
import { theAuth } from '@/db/people/auth';
import { checkPin, everyone, type From, signIn, signOut, whoIs } from '@/db/people/people';
import { accounts, sessions, wrongPins } from '@/db/tables';
import { openShop, PINS, type Shop } from '../server/shop';

// Outside a request Next has no cookies to set; the session's own cookie is read from the answer instead.
vi.mock('next/headers', () => ({ cookies: async () => ({ set: () => undefined }), headers: async () => new Headers() }));

let shop: Shop;
/** Every test starts a day later, so that no lock of the one before is left. */
let now = Date.UTC(2026, 4, 4, 8);
beforeAll(async () => {
  shop = await openShop();
});
beforeEach(() => {
  now += 86_400_000;
});

const DOOR = { kind: 'address', address: '10.0.0.7' } as const;
const tries = async (id: string, pins: readonly string[], at = now, from: From = DOOR): Promise<readonly string[]> => {
  const outcomes: string[] = [];
  for (const pin of pins) {
    const result = await checkPin(shop.db, id, pin, at, from);
    outcomes.push(result.ok ? 'in' : result.error.code);
  }
  return outcomes;
};

describe('a PIN', () => {
  test('lets its person in and nobody else', async () => {
    expect(await checkPin(shop.db, 'tess', '1111', now, DOOR)).toEqual({
      ok: true,
      value: { id: 'tess', name: 'Tess', role: 'technician', bench: 'Bench 1', branch: null },
    });
    expect(await tries('tess', ['2222'])).toEqual(['wrong-pin']);
    expect(await tries('nobody', ['1111'])).toEqual(['wrong-pin']);
  });

  test('is not stored as it is', async () => {
    const rows = await shop.db.select({ password: accounts.password }).from(accounts);
    expect(rows.length).toBeGreaterThan(0);
    // Salt and key, both as hexadecimal: no place for a PIN, though four of its figures may stand in them by chance.
    for (const row of rows) expect(row.password).toMatch(/^[0-9a-f]{32}:[0-9a-f]{128}$/);
    expect(new Set(rows.map((r) => r.password)).size).toBe(rows.length);
  });

  test('wrong five times locks its person out, also for the right one; the lock passes by itself', async () => {
    expect(await tries('odo', ['1', '2', '3', '4', '5', '2222'])).toEqual([
      'wrong-pin',
      'wrong-pin',
      'wrong-pin',
      'wrong-pin',
      'locked',
      'locked',
    ]);
    expect(await tries('tess', ['1111'])).toEqual(['in']);
    expect(await tries('odo', ['2222'], now + 59_999)).toEqual(['locked']);
    expect(await tries('odo', ['2222'], now + 60_000)).toEqual(['in']);
    // Right once, they count anew.
    expect(await tries('odo', ['1', '2', '3', '4'], now + 120_000)).toEqual(Array.from({ length: 4 }, () => 'wrong-pin'));
  });

  test('tried by many at once gives no more tries than one after another', async () => {
    const results = await Promise.all(Array.from({ length: 12 }, (_, i) => checkPin(shop.db, 'oona', `no${i}`, now, DOOR)));
    const codes = results.map((r) => (r.ok ? 'in' : r.error.code));
    expect(codes.includes('locked')).toBe(true);
    const guesses = await shop.db.select().from(wrongPins).where(eq(wrongPins.personId, 'oona'));
    expect(guesses.length).toBe(5);
  });

  test('names that are nobody’s count for nobody, however many are tried', async () => {
    for (let i = 0; i < 60; i++) await tries(`nobody-${i}`, ['0']);
    expect(await tries('tess', ['1111'])).toEqual(['in']);
  });

  test('whoever goes on guessing shuts out the place that he guesses from, and no other; the lock passes by itself', async () => {
    const guesser: From = { kind: 'address', address: '10.9.9.9' };
    // One guess a person a round, and each right one in between: no person is ever locked there.
    for (let i = 0; i < 30; i++) {
      const id = ['tess', 'odo', 'lena', 'cas', 'oona'][i % 5] as string;
      await tries(id, [PINS[id] as string], now + i * 10, guesser);
      expect(await tries(id, ['0'], now + i * 10 + 1, guesser)).toEqual(['wrong-pin']);
    }
    expect(await tries('tess', ['1111'], now + 400, guesser)).toEqual(['locked']);
    expect(await tries('tess', ['1111'])).toEqual(['in']);
    expect(await tries('tess', ['1111'], now + 60_400, guesser)).toEqual(['in']);
  });

  test('a stranger who locks a person out locks the place that he stands at: at their bench and where they sign, they come in', async () => {
    const stranger: From = { kind: 'address', address: '10.9.9.1' };
    expect((await tries('lena', ['1', '2', '3', '4', '5'], now, stranger)).at(-1)).toBe('locked');
    expect(await tries('lena', [PINS.lena as string], now, stranger)).toEqual(['locked']);
    expect(await tries('lena', [PINS.lena as string])).toEqual(['in']);
    expect(await tries('lena', [PINS.lena as string], now, { kind: 'signed-in', personId: 'lena' })).toEqual(['in']);
    expect(await tries('lena', [PINS.lena as string], now, { kind: 'signed-in', personId: 'tess' })).toEqual(['in']);
    // Guessing at somebody's own bench ends too.
    const bench: From = { kind: 'signed-in', personId: 'lena' };
    expect((await tries('lena', ['0', '0', '0', '0', '0', PINS.lena as string], now, bench)).at(-1)).toBe('locked');
  });

  test('many places that guess together shut out places where the person never was, and no other', async () => {
    expect(await tries('cas', [PINS.cas as string])).toEqual(['in']);
    for (let i = 0; i < 60; i++) await tries('cas', ['0'], now, { kind: 'address', address: `10.8.0.${i}` });
    const fresh: From = { kind: 'address', address: '10.8.1.1' };
    expect(await tries('cas', [PINS.cas as string], now, fresh)).toEqual(['locked']);
    expect(await tries('cas', [PINS.cas as string])).toEqual(['in']);
    expect(await tries('cas', [PINS.cas as string], now + 3_600_001, fresh)).toEqual(['in']);
  });
});

describe('a session', () => {
  /** Signs in and gives the headers that a browser sends from then on. */
  const signedIn = async (id: string): Promise<Headers> => {
    const body = { username: id, password: PINS[id] as string };
    const { headers } = await (await theAuth()).api.signInUsername({ body, returnHeaders: true });
    const cookie = headers.getSetCookie().map((c) => c.split(';')[0]);
    return new Headers({ cookie: cookie.join('; ') });
  };

  test('is in the database and says who holds it', async () => {
    expect((await signIn(shop.db, 'lena', PINS.lena as string, new Headers(), now)).ok).toBe(true);
    const headers = await signedIn('tess');
    expect((await shop.db.select().from(sessions).where(eq(sessions.userId, 'tess'))).length).toBe(1);
    expect(await whoIs(shop.db, headers)).toMatchObject({ id: 'tess', role: 'technician' });
  });

  test('its cookie is for this site only and out of reach of scripts', async () => {
    const body = { username: 'odo', password: '2222' };
    const { headers } = await (await theAuth()).api.signInUsername({ body, returnHeaders: true });
    const [cookie] = headers.getSetCookie();
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Lax/i);
  });

  test('that was forged, signed out or revoked is nobody’s', async () => {
    const headers = await signedIn('lena');
    const forged = new Headers({ cookie: (headers.get('cookie') ?? '').replace(/\.[^;]*/, '.AAAAforged') });
    expect(await whoIs(shop.db, forged)).toBeUndefined();
    expect(await whoIs(shop.db, new Headers())).toBeUndefined();
    await signOut(headers);
    expect(await whoIs(shop.db, headers)).toBeUndefined();
    const other = await signedIn('cas');
    await shop.db.delete(sessions).where(eq(sessions.userId, 'cas'));
    expect(await whoIs(shop.db, other)).toBeUndefined();
  });

  test('is renewed while it is used, and ends when nobody comes', async () => {
    const headers = await signedIn('tess');
    const expiry = async (): Promise<number> => {
      const rows = await shop.db.select().from(sessions).where(eq(sessions.userId, 'tess'));
      return Math.max(...rows.map((r) => r.expiresAt.getTime()));
    };
    const minutesLeft = async (minutes: number): Promise<unknown> =>
      shop.db
        .update(sessions)
        .set({ expiresAt: new Date(Date.now() + minutes * 60_000) })
        .where(eq(sessions.userId, 'tess'));
    await minutesLeft(118);
    const before = await expiry();
    expect(await whoIs(shop.db, headers)).toMatchObject({ id: 'tess' });
    expect(await expiry()).toBe(before);
    await minutesLeft(60);
    expect(await whoIs(shop.db, headers)).toMatchObject({ id: 'tess' });
    expect((await expiry()) - Date.now()).toBeGreaterThan(119 * 60_000);
    await minutesLeft(-1);
    expect(await whoIs(shop.db, headers)).toBeUndefined();
  });

  test('nobody signs up by themselves', async () => {
    const body = { email: 'x@y.invalid', password: 'longenough', name: 'X', username: 'x', role: 'owner' };
    await expect((await theAuth()).api.signUpEmail({ body })).rejects.toThrow();
    expect((await everyone(shop.db)).length).toBe(5);
  });
});

test('people are listed by name, without anything secret', async () => {
  const list = await everyone(shop.db);
  expect(list.map((p) => p.name)).toEqual(['Cas', 'Lena', 'Odo', 'Oona', 'Tess']);
  expect(Object.keys(list[0] ?? {}).sort()).toEqual(['bench', 'branch', 'id', 'name', 'role']);
});

test.each<[string, string]>([
  ['/units?show=late', '/units?show=late'],
  ['//evil.example', '/'],
  ['https://evil.example/', '/'],
  ['/\\evil.example', '/'],
  ['/.//evil.example', '/evil.example'],
  ['/x/..//evil.example', '/evil.example'],
])('after signing in, %s leads to a page of ours', (asked, to) => expect(ownPath(asked)).toBe(to));
