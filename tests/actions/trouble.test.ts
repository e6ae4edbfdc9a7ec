import { beforeAll, describe, expect, test, vi } from 'vitest';
import { z } from 'zod';
import { act } from '@/app/_server/act';
import type { Person } from '@/core/people/role';
import { ok } from '@/core/result';
import { saySaveError } from '@/core/unit/save-error';
import { signIn, sweepSessions, whoIs } from '@/db/people/people';
import { receive } from '@/db/store/stock';
import { sessions } from '@/db/tables';
import { openShop, PEOPLE, PINS, type Shop } from '../server/shop';

let sent = new Headers();
vi.mock('next/headers', () => ({ headers: async () => sent, cookies: async () => ({ set: () => undefined }) }));
vi.mock('next/cache', () => ({ revalidatePath: () => undefined }));
const asked = vi.hoisted(() => ({ person: undefined as unknown }));
vi.mock('@/app/_server/who', () => ({ currentPerson: async () => asked.person }));

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
  process.env.EDDRIN_LOG = 'silent';
  asked.person = PEOPLE.tech satisfies Person;
});

describe('what an action throws', () => {
  const throwing = (error: unknown) =>
    act('see', z.object({}), async () => {
      throw error;
    })({});
  const coded = (code: string) => Object.assign(new Error('the driver says so'), { code });

  test('as a fault of the program is told by the number that the log has, without its words', async () => {
    sent = new Headers({ 'x-request-id': 'request-7' });
    const result = await throwing(new TypeError('cannot read x of undefined'));
    expect(result).toEqual({ ok: false, error: { code: 'bug', id: 'request-7' } });
    const said = result.ok ? [] : saySaveError(result.error);
    expect(said).toEqual([expect.stringContaining('request-7')]);
    expect(said.join()).not.toContain('undefined');
  });

  test.each([
    ['SQLITE_FULL', /disk is full/],
    ['SQLITE_BUSY', /locked by another program/],
    ['SQLITE_CORRUPT', /damaged/],
    ['SQLITE_READONLY', /cannot be written/],
    ['ENOSPC', /disk is full/],
  ])('by the storage (%s) is told as that, also deep inside', async (code, words) => {
    for (const error of [coded(code), new Error('query failed', { cause: coded(code) })]) {
      const result = await throwing(error);
      expect(result.ok ? '' : result.error.code).toBe('storage');
      expect(result.ok ? '' : saySaveError(result.error).join()).toMatch(words);
    }
  });

  test('because a row refers to what is not there, or takes a number that is taken, is told as that', async () => {
    const said = async (extendedCode: string) => {
      const result = await throwing(new Error('query failed', { cause: Object.assign(coded('SQLITE_CONSTRAINT'), { extendedCode }) }));
      return result.ok ? [] : [result.error.code, ...saySaveError(result.error)];
    };
    expect(await said('SQLITE_CONSTRAINT_FOREIGNKEY')).toEqual(['refused', expect.stringMatching(/^There is no such thing/)]);
    expect(await said('SQLITE_CONSTRAINT_PRIMARYKEY')).toEqual([
      'refused',
      expect.stringMatching(/^That number belongs to another change/),
    ]);
    expect((await said('SQLITE_CONSTRAINT_NOTNULL'))[0]).toBe('bug');
    // As the database itself says it.
    const order = { id: 'o-none', articleId: 'none', lot: 'A', qty: 1, expiresAt: null, orderId: null };
    const received = await act('see', z.object({}), (_, { db, person, now }) => receive(db, { id: 'r', person, at: now }, order))({});
    expect(received.ok ? '' : saySaveError(received.error)).toEqual([expect.stringMatching(/^There is no such thing/)]);
  });

  test('nothing: it is done', async () => {
    expect(await act('see', z.object({}), async () => ok(7))({})).toEqual({ ok: true, value: 7 });
  });
});

test('sessions that are past are swept, those that hold stay', async () => {
  const now = Date.now();
  await signIn(shop.db, 'tess', PINS.tess as string, new Headers(), now);
  const [held] = await shop.db.select().from(sessions);
  expect(held).toBeDefined();
  expect(await sweepSessions(shop.db, now)).toBe(0);
  expect(await sweepSessions(shop.db, (held?.expiresAt.getTime() ?? 0) + 1)).toBe(1);
  expect(await shop.db.select().from(sessions)).toEqual([]);
  expect(await whoIs(shop.db, new Headers())).toBeUndefined();
});
