import { getSessionCookie } from 'better-auth/cookies';
import { constantTimeEqual, hashPassword, makeSignature, verifyPassword } from 'better-auth/crypto';
import { and, asc, eq, gt, lt, sql } from 'drizzle-orm';
import { afterWrongPin, isLocked, shopLockedUntil } from '@/core/people/lock-out';
import { type Person, ROLES } from '@/core/people/role';
import { fail, ok, type Result } from '@/core/result';
import type { Db, Reader } from '../engine/connection';
import { prepared } from '../engine/prepared';
import { accounts, people, sessions, verifications } from '../tables';
import { authSecret, IDLE_S, RENEW_S, theAuth } from './auth';

export type NewPerson = Person & { readonly pin: string };
export type PinError = { readonly code: 'wrong-pin' } | { readonly code: 'locked'; readonly until: number };

/** Adds a person with a hashed PIN. Called by the seed and, later, by the owner's page; never by a public route. */
export async function addPerson(db: Db, p: NewPerson, at: number): Promise<void> {
  const now = new Date(at);
  const password = await hashPassword(p.pin);
  await db.transaction(async (tx) => {
    await tx.insert(people).values({
      id: p.id,
      name: p.name,
      email: `${p.id}@people.invalid`,
      emailVerified: true,
      username: p.id,
      displayUsername: p.name,
      role: p.role,
      bench: p.bench,
      createdAt: now,
      updatedAt: now,
    });
    await tx
      .insert(accounts)
      .values({ id: `${p.id}-pin`, accountId: p.id, providerId: 'credential', userId: p.id, password, createdAt: now, updatedAt: now });
  });
}

const PERSON = { id: people.id, name: people.name, role: people.role, bench: people.bench };

const everyoneQuery = prepared((db: Reader) => db.select(PERSON).from(people).orderBy(asc(people.name)).prepare());

export const everyone = (db: Reader): Promise<readonly Person[]> => everyoneQuery(db).execute();

/** When wrong PINs were tried at this server, oldest first; the last hundred. */
let wrongPins: readonly number[] = [];

/**
 * Is this the person's PIN? Every path that asks for one comes through here, so that the lock-out cannot be gone round.
 * @returns the same answer for a person who does not exist and for a wrong PIN
 */
export async function checkPin(db: Db, personId: string, pin: string, now: number): Promise<Result<Person, PinError>> {
  const shopUntil = shopLockedUntil(wrongPins, now);
  if (shopUntil !== undefined) return fail({ code: 'locked', until: shopUntil });
  const checked = await checkPersonPin(db, personId, pin, now);
  if (!checked.ok) wrongPins = [...wrongPins.slice(-99), now];
  return checked;
}

async function checkPersonPin(db: Db, personId: string, pin: string, now: number): Promise<Result<Person, PinError>> {
  // The try is counted before the PIN is checked, one after another: many at once do not get more tries.
  const tried = await db.transaction(async (tx) => {
    const [row] = await tx.select().from(people).innerJoin(accounts, eq(accounts.userId, people.id)).where(eq(people.id, personId));
    if (row === undefined || isLocked(row.people, now)) return { row, counted: undefined };
    const counted = afterWrongPin(row.people, now);
    await tx.update(people).set(counted).where(eq(people.id, personId));
    return { row, counted };
  });
  if (tried.row === undefined) return fail({ code: 'wrong-pin' });
  const { people: person, accounts: account } = tried.row;
  if (tried.counted === undefined) return fail({ code: 'locked', until: person.lockedUntil ?? now });
  if (account.password === null || !(await verifyPassword({ hash: account.password, password: pin }))) {
    const until = tried.counted.lockedUntil;
    return fail(until === null ? { code: 'wrong-pin' } : { code: 'locked', until });
  }
  await db.update(people).set({ failedPins: 0, lockedUntil: null }).where(eq(people.id, personId));
  return ok({ id: person.id, name: person.name, role: person.role, bench: person.bench });
}

/** Signs a person in at this bench: checks the PIN and sets the session's cookie. */
export async function signIn(db: Db, personId: string, pin: string, headers: Headers, now: number): Promise<Result<Person, PinError>> {
  const checked = await checkPin(db, personId, pin, now);
  if (checked.ok) await (await theAuth()).api.signInUsername({ body: { username: personId, password: pin }, headers });
  return checked;
}

export const signOut = async (headers: Headers): Promise<void> => {
  await (await theAuth()).api.signOut({ headers });
};

const sessionQuery = prepared((db: Reader) =>
  db
    .select(PERSON)
    .from(sessions)
    .innerJoin(people, eq(sessions.userId, people.id))
    .where(and(eq(sessions.token, sql.placeholder('token')), gt(sessions.expiresAt, sql.placeholder('until'))))
    .prepare(),
);

/**
 * Who holds the session that these headers carry; undefined for nobody.
 * A session that needs no renewing is found by one statement here, a tenth of what the library takes; all else is asked of the library.
 */
export async function whoIs(db: Db, headers: Headers): Promise<Person | undefined> {
  const cookie = decodeURIComponent(getSessionCookie(headers) ?? '');
  const token = cookie.slice(0, cookie.indexOf('.'));
  if (token !== '' && constantTimeEqual(cookie, `${token}.${await makeSignature(token, authSecret())}`)) {
    const until = new Date(Date.now() + (IDLE_S - RENEW_S) * 1000);
    const [person] = await sessionQuery(db).execute({ token, until });
    if (person !== undefined) return person;
  }
  const session = await (await theAuth()).api.getSession({ headers });
  if (session === null) return undefined;
  const { id, name, bench } = session.user;
  const role = ROLES.find((r) => r === session.user.role);
  return role === undefined ? undefined : { id, name, role, bench: bench ?? null };
}

/** Takes away sessions and tokens that are past. @returns how many */
export const sweepSessions = async (db: Db, now: number): Promise<number> => {
  const gone = await db
    .delete(sessions)
    .where(lt(sessions.expiresAt, new Date(now)))
    .returning({ id: sessions.id });
  await db.delete(verifications).where(lt(verifications.expiresAt, new Date(now)));
  return gone.length;
};
