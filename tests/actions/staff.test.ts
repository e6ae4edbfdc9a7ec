import { eq } from 'drizzle-orm';
import { beforeAll, describe, expect, test, vi } from 'vitest';
import { openShopAction } from '@/app/actions/open';
import type { ShopSettings } from '@/core/shop/settings';
import { STANDARD_SHOP } from '@/core/shop/settings';
import { migrateDb, theDb } from '@/db/engine/connection';
import { theAuth } from '@/db/people/auth';
import { checkPin, choosePin, knownToAll, signIn, staff, whoIs } from '@/db/people/people';
import { endSession, openSessions } from '@/db/people/sessions';
import { addMember, changeMember, giveCode, members, noteLeft, takeBack } from '@/db/people/staff';
import { wrongPinsSince } from '@/db/people/wrong-pins';
import { makeOpeningKey, openTheShop } from '@/db/shop/open-shop';
import { saveSettings, theShop } from '@/db/shop/settings';
import { shopHistory } from '@/db/shop/shop-events';
import { makeToken, tokenOpens, tokensOf, withdrawToken } from '@/db/shop/tokens';
import { entryCodes, people, sessions } from '@/db/tables';
import { spawnNode } from '../children';
import { openShop, ownFolder, PEOPLE, PINS, type Shop } from '../server/shop';

vi.mock('next/headers', () => ({ cookies: async () => ({ set: () => undefined }), headers: async () => new Headers() }));
vi.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const DAY = 86_400_000;
const DOOR = { kind: 'address', address: '10.0.0.9' } as const;
const headers = new Headers({ 'x-address': '10.0.0.9' });

let shop: Shop;
/** Each test a day later: no lock of the one before is left. */
let now = Date.now();
const by = () => ({ personId: PEOPLE.owner.id, at: now });
beforeAll(async () => {
  shop = await openShop();
});

/** Signs somebody in at a device of their own. @returns its headers */
const sessionOf = async (username: string, password: string): Promise<Headers> => {
  const answer = await (await theAuth()).api.signInUsername({
    body: { username, password },
    headers: new Headers({ 'user-agent': 'Mozilla/5.0 (iPad) Safari/1' }),
    returnHeaders: true,
  });
  return new Headers({
    cookie: answer.headers
      .getSetCookie()
      .map((c) => c.split(';')[0])
      .join('; '),
  });
};
const added = async (name: string, role: 'technician' | 'lead' | 'counter' | 'owner' = 'technician') => {
  const result = await addMember(shop.db, by(), { name, role, bench: '', branch: '' });
  if (!result.ok) throw new Error(result.error.code);
  return result.value;
};

/** What whoever looks after the machine runs. */
const codeFromTheMachine = (name: string): Promise<string> =>
  new Promise((done) => {
    const child = spawnNode(['--import', 'tsx', 'scripts/give-code.ts', name]);
    let said = '';
    child.stdout.on('data', (d) => {
      said += d;
    });
    child.on('close', () => done(said));
  });

describe('somebody new', () => {
  test('comes in by the code alone, once; until then by nothing', async () => {
    const { id, code } = await added('Bo Stennis');
    expect(id).toBe('bo-stennis');
    expect((await checkPin(shop.db, id, '', now, DOOR)).ok).toBe(false);
    expect((await members(shop.db, now)).find((m) => m.id === id)?.entry).toMatchObject({ kind: 'code' });
    expect(await choosePin(shop.db, { personId: id, code: `${code.slice(0, -1)}X`, pin: '8305' }, headers, now)).toMatchObject({
      error: { code: 'wrong-pin' },
    });
    const chosen = await choosePin(
      shop.db,
      { personId: id, code: ` ${code.slice(0, 5)}-${code.slice(5).toLowerCase()}`, pin: '8305' },
      headers,
      now,
    );
    expect(chosen).toMatchObject({ ok: true, value: { id, role: 'technician' } });
    expect((await checkPin(shop.db, id, '8305', now, DOOR)).ok).toBe(true);
    expect(await choosePin(shop.db, { personId: id, code, pin: '9046' }, headers, now)).toMatchObject({ error: { code: 'wrong-pin' } });
    expect((await checkPin(shop.db, id, '8305', now, DOOR)).ok).toBe(true);
  });

  test('gets an id of their own, whatever they are called; two of one name are told apart', async () => {
    now += DAY;
    expect((await added('Åse Ørn-Dahl')).id).toMatch(/^ase-/);
    expect((await added('李')).id).toBe('person');
    expect((await added('王')).id).toBe('person-2');
    expect(await addMember(shop.db, by(), { name: 'bo stennis', role: 'lead', bench: '', branch: '' })).toEqual({
      ok: false,
      error: { code: 'name-taken' },
    });
  });

  test('has a week for it; the code is kept hashed', async () => {
    now += DAY;
    const { id, code } = await added('Cora Vail');
    const [row] = await shop.db.select().from(entryCodes).where(eq(entryCodes.personId, id));
    expect(JSON.stringify(row)).not.toContain(code);
    expect(await choosePin(shop.db, { personId: id, code, pin: '8305' }, headers, now + 8 * DAY)).toMatchObject({
      error: { code: 'wrong-pin' },
    });
    expect((await choosePin(shop.db, { personId: id, code, pin: '8306' }, headers, now)).ok).toBe(true);
  });

  test('who tries codes is locked out as by wrong PINs, and the owner is told', async () => {
    now += DAY;
    const { id, code } = await added('Dag Orrin');
    const codes: (string | undefined)[] = [];
    for (let i = 0; i < 6; i++) {
      const tried = await choosePin(shop.db, { personId: id, code: 'AAAAAAAAAA', pin: '8307' }, headers, now + i);
      codes.push(tried.ok ? undefined : tried.error.code);
    }
    expect(codes).toEqual(['wrong-pin', 'wrong-pin', 'wrong-pin', 'wrong-pin', 'locked', 'locked']);
    expect(await choosePin(shop.db, { personId: id, code, pin: '8307' }, headers, now + 10)).toMatchObject({ error: { code: 'locked' } });
    expect((await wrongPinsSince(shop.db, now)).shown).toEqual([{ name: 'Dag Orrin', place: '10.0.0.9', tries: 5, lastAt: now + 4 }]);
    expect((await choosePin(shop.db, { personId: id, code, pin: '8307' }, headers, now + 2 * 3_600_000)).ok).toBe(true);
  });

  test('may not take the number of a unit that hangs in the shop, nor a colleague’s name', async () => {
    now += DAY;
    for (let i = 0; i < 3; i++) await shop.book();
    const { id, code } = await added('Eyvind Sund', 'lead');
    const known = await knownToAll(shop.db);
    expect(known.names).toContain('Lena');
    expect(known.numbers).toContain('3');
    expect(await choosePin(shop.db, { personId: id, code, pin: 'stennis1' }, headers, now)).toMatchObject({ error: { code: 'weak' } });
    expect(await choosePin(shop.db, { personId: id, code, pin: '8305' }, headers, now)).toMatchObject({
      error: { code: 'weak', why: 'is 6 or more letters or figures' },
    });
  });
});

describe('somebody who is here', () => {
  test('with another role is signed out everywhere; one that asks for more asks for a passcode too', async () => {
    now += DAY;
    const session = await sessionOf('odo', PINS.odo as string);
    expect((await whoIs(shop.db, session))?.role).toBe('technician');
    const changed = await changeMember(shop.db, by(), { id: 'odo', name: 'Odo', role: 'lead', bench: 'Bench 2', branch: '', work: null });
    expect(changed.ok && changed.value.code).toMatch(/^[A-Z2-9]{10}$/);
    expect(await whoIs(shop.db, session)).toBeUndefined();
    expect((await checkPin(shop.db, 'odo', PINS.odo as string, now, DOOR)).ok).toBe(false);
  });

  test('whose bench alone changes stays signed in', async () => {
    const session = await sessionOf('tess', PINS.tess as string);
    expect(
      await changeMember(shop.db, by(), { id: 'tess', name: 'Tess', role: 'technician', bench: 'Bench 9', branch: 'south', work: null }),
    ).toEqual({
      ok: true,
      value: { code: null },
    });
    expect(await whoIs(shop.db, session)).toMatchObject({ bench: 'Bench 9', branch: 'south' });
  });

  test('sees where they are signed in, and ends one of their own and nobody else’s', async () => {
    const [one, two] = [await sessionOf('tess', PINS.tess as string), await sessionOf('cas', PINS.cas as string)];
    const [mine] = await openSessions(shop.db, 'tess', undefined, Date.now());
    expect(mine).toMatchObject({ device: 'Safari on iPad', here: 'elsewhere' });
    const [theirs] = await openSessions(shop.db, 'cas', undefined, Date.now());
    await endSession(shop.db, 'tess', theirs?.id as string);
    expect((await whoIs(shop.db, two))?.id).toBe('cas');
    for (const s of await openSessions(shop.db, 'tess', undefined, Date.now())) await endSession(shop.db, 'tess', s.id);
    expect(await whoIs(shop.db, one)).toBeUndefined();
  });

  test('who has left is out at once and can be taken back, with a new code', async () => {
    now += DAY;
    const session = await sessionOf('cas', PINS.cas as string);
    expect(await noteLeft(shop.db, by(), 'cas')).toEqual({ ok: true, value: null });
    expect(await whoIs(shop.db, session)).toBeUndefined();
    expect(await shop.db.select().from(sessions).where(eq(sessions.userId, 'cas'))).toEqual([]);
    expect((await signIn(shop.db, 'cas', PINS.cas as string, headers, now)).ok).toBe(false);
    expect((await staff(shop.db)).map((p) => p.id)).not.toContain('cas');
    expect((await shop.db.select().from(people).where(eq(people.id, 'cas')))[0]?.name).toBe('Cas');
    expect(await giveCode(shop.db, by(), 'cas')).toEqual({ ok: false, error: { code: 'no-such-person' } });
    const back = await takeBack(shop.db, by(), 'cas');
    expect(back.ok).toBe(true);
    // Somebody who is here is not taken back: that would take their PIN.
    expect(await takeBack(shop.db, by(), 'tess')).toEqual({ ok: false, error: { code: 'no-such-person' } });
  });

  test('one owner at least remains', async () => {
    now += DAY;
    expect(await noteLeft(shop.db, by(), 'oona')).toEqual({ ok: false, error: { code: 'last-owner' } });
    const asLead = { id: 'oona', name: 'Oona', role: 'lead', bench: '', branch: '', work: null } as const;
    expect(await changeMember(shop.db, by(), asLead)).toEqual({ ok: false, error: { code: 'last-owner' } });
    await added('Second Owner', 'owner');
    expect((await noteLeft(shop.db, by(), 'second-owner')).ok).toBe(true);
    expect(await noteLeft(shop.db, by(), 'oona')).toEqual({ ok: false, error: { code: 'last-owner' } });
  });
});

test('a token opens what it is for, until it is withdrawn, and its use is seen', async () => {
  const token = await makeToken(shop.db, by(), { name: 'bench scale', scope: 'device' });
  expect(await Promise.all((['compute', 'device', 'read'] as const).map((s) => tokenOpens(shop.db, token, s, now)))).toEqual([
    false,
    true,
    false,
  ]);
  const [row] = await tokensOf(shop.db);
  expect(row).toMatchObject({ name: 'bench scale', by: 'Oona', lastUsedAt: now, withdrawnAt: null });
  expect(JSON.stringify(row)).not.toContain(token);
  await withdrawToken(shop.db, by(), row?.id as string);
  expect(await tokenOpens(shop.db, token, 'device', now)).toBe(false);
});

test('settings are saved as a version each; who was not quick enough is told, and the history says what changed', async () => {
  const set = (settings: ShopSettings, after: number) => saveSettings(shop.db, by(), after, settings);
  const named = { ...STANDARD_SHOP, name: 'Ferrybank Hydraulics' };
  expect(await set(named, 0)).toEqual({ ok: true, value: { version: 1 } });
  expect(await set({ ...named, telephone: '1' }, 0)).toEqual({ ok: false, error: { code: 'changed-meanwhile' } });
  expect(await set({ ...named, nextTag: 700 }, 1)).toEqual({ ok: true, value: { version: 2 } });
  const booked = await shop.book();
  expect((await shop.record(booked)).unit.tagNo).toBe(700);
  const { events, more } = await shopHistory(shop.db, undefined);
  expect(events[0]).toMatchObject({ by: 'Oona', kind: 'settings-changed', lines: ['Next tag: 700, was 1'] });
  expect(more).toBe('all');
});

test('the only owner, who has forgotten the passcode, comes in by a code from the machine itself', async () => {
  const said = await codeFromTheMachine('Oona');
  const code = /[A-Z2-9]{5}-[A-Z2-9]{5}/.exec(said)?.[0] ?? '';
  expect((await checkPin(shop.db, 'oona', PINS.oona as string, now, DOOR)).ok).toBe(false);
  expect((await choosePin(shop.db, { personId: 'oona', code, pin: 'harbour-9' }, headers, Date.now())).ok).toBe(true);
  expect(await codeFromTheMachine('Nobody at all')).toBe('');
}, 60_000);

describe('a shop that is not open', () => {
  const settings = { ...STANDARD_SHOP, name: 'Ferrybank Hydraulics' };
  const owner = { name: 'Ada Lindqvist', passcode: 'quiet-harbour' };

  test('is opened once by its key, however many try at once; then the key opens nothing', async () => {
    const folder = ownFolder();
    process.env.DATABASE_URL = `file:${folder}/new.db`;
    const db = await theDb();
    await migrateDb(db);
    const key = makeOpeningKey(now);
    expect(await openTheShop(db, now, `${key.slice(0, -1)}.`, settings, owner)).toEqual({ ok: false, error: 'not the key' });
    expect(await openTheShop(db, now + 3_700_000, key, settings, owner)).toEqual({ ok: false, error: 'key too old' });
    expect(await staff(db)).toEqual([]);
    const tried = await Promise.all(
      ['Ada Lindqvist', 'Bo Stennis', 'Cora Vail'].map((name) => openTheShop(db, now, key, settings, { ...owner, name })),
    );
    expect(tried.filter((t) => t.ok).length).toBe(1);
    expect((await staff(db)).length).toBe(1);
    expect((await theShop(db)).version).toBe(1);
    expect(await openTheShop(db, now, key, settings, owner)).toEqual({ ok: false, error: 'not the key' });
  });

  test('tells who has no key nothing of what they sent', async () => {
    makeOpeningKey(Date.now());
    const said = await openShopAction({ key: 'mine', settings: { ...settings, name: '' }, owner: { ...owner, again: '' } });
    expect(said).toMatchObject({ ok: false, error: { code: 'refused' } });
  });
});
