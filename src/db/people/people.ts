import { getSessionCookie } from 'better-auth/cookies';
import { constantTimeEqual, hashPassword, makeSignature, verifyPassword } from 'better-auth/crypto';
import { and, asc, eq, gt, lt, sql } from 'drizzle-orm';
import { addressLockedUntil, afterWrongPin, isLocked } from '@/core/people/lock-out';
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

/** Where a PIN is tried: at the door, or by somebody who is in. */
export type From = { readonly kind: 'address'; readonly address: string } | { readonly kind: 'signed-in'; readonly personId: string };

/** When wrong PINs of people there are were tried, by the address that they came from, the last hundred of each; the newest addresses. */
const wrongPins = new Map<string, readonly number[]>();
const MOST_ADDRESSES = 5000;
const countWrong = (address: string, now: number): void => {
  const before = wrongPins.get(address) ?? [];
  wrongPins.delete(address);
  wrongPins.set(address, [...before.slice(-99), now]);
  const oldest = wrongPins.keys().next().value;
  if (wrongPins.size > MOST_ADDRESSES && oldest !== undefined) wrongPins.delete(oldest);
};

/**
 * Is this the person's PIN? Every path that asks for one comes through here, so that the lock-out cannot be gone round. Wrong ones count for
 * the person and for where they come from, never for the shop: names that are nobody's count for nobody, and a stranger shuts out himself.
 * @param from an address, or who is signed in there: their own PIN is asked whatever strangers tried on their name
 * @returns the same answer for a person who does not exist and for a wrong PIN
 */
export async function checkPin(db: Db, personId: string, pin: string, now: number, from: From): Promise<Result<Person, PinError>> {
  const place = from.kind === 'address' ? from.address : `signed in: ${from.personId}`;
  const until = addressLockedUntil(wrongPins.get(place) ?? [], now);
  if (until !== undefined) return fail({ code: 'locked', until });
  const own = from.kind === 'signed-in' && from.personId === personId;
  const { checked, counts } = await checkPersonPin(db, personId, pin, now, own);
  if (counts) countWrong(place, now);
  return checked;
}

/** `own`: no lock is heeded or made. `counts`: a PIN of a person there is was tried, and was wrong. */
async function checkPersonPin(
  db: Db,
  personId: string,
  pin: string,
  now: number,
  own: boolean,
): Promise<{ readonly checked: Result<Person, PinError>; readonly counts: boolean }> {
  // The try is counted before the PIN is checked, one after another: many at once do not get more tries.
  const tried = await db.transaction(async (tx) => {
    const [row] = await tx.select().from(people).innerJoin(accounts, eq(accounts.userId, people.id)).where(eq(people.id, personId));
    if (row === undefined || (!own && isLocked(row.people, now))) return { row, counted: undefined };
    if (own) return { row, counted: row.people };
    const counted = afterWrongPin(row.people, now);
    await tx.update(people).set(counted).where(eq(people.id, personId));
    return { row, counted };
  });
  if (tried.row === undefined) return { checked: fail({ code: 'wrong-pin' }), counts: false };
  const { people: person, accounts: account } = tried.row;
  if (tried.counted === undefined) return { checked: fail({ code: 'locked', until: person.lockedUntil ?? now }), counts: false };
  if (account.password === null || !(await verifyPassword({ hash: account.password, password: pin }))) {
    const until = own ? null : tried.counted.lockedUntil;
    return { checked: fail(until === null ? { code: 'wrong-pin' } : { code: 'locked', until }), counts: true };
  }
  if (!own) await db.update(people).set({ failedPins: 0, lockedUntil: null }).where(eq(people.id, personId));
  return { checked: ok({ id: person.id, name: person.name, role: person.role, bench: person.bench }), counts: false };
}

/** Signs a person in at this bench: checks the PIN and sets the session's cookie. */
export async function signIn(db: Db, personId: string, pin: string, headers: Headers, now: number): Promise<Result<Person, PinError>> {
  const checked = await checkPin(db, personId, pin, now, { kind: 'address', address: headers.get('x-address') ?? 'unknown' });
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
  const token = await tokenOf(headers);
  if (token !== undefined) {
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

/** Has this person's session, as these headers carry it, not ended? Asking does not renew it: a page that is left open signs nobody in for longer. */
export const isStillIn = async (db: Db, headers: Headers, personId: string, now: number): Promise<boolean> => {
  const token = await tokenOf(headers);
  if (token === undefined) return false;
  const [person] = await sessionQuery(db).execute({ token, until: new Date(now) });
  return person?.id === personId;
};

/** The token of the session that these headers carry, where it is one of ours. */
const tokenOf = async (headers: Headers): Promise<string | undefined> => {
  const cookie = decoded(getSessionCookie(headers) ?? '');
  const token = cookie.slice(0, cookie.indexOf('.'));
  return token !== '' && constantTimeEqual(cookie, `${token}.${await makeSignature(token, authSecret())}`) ? token : undefined;
};

/** What a cookie says; nothing where it is written wrongly. */
const decoded = (text: string): string => {
  try {
    return decodeURIComponent(text);
  } catch {
    return '';
  }
};

/** Takes away sessions and tokens that are past. @returns how many */
export const sweepSessions = async (db: Db, now: number): Promise<number> => {
  const gone = await db
    .delete(sessions)
    .where(lt(sessions.expiresAt, new Date(now)))
    .returning({ id: sessions.id });
  await db.delete(verifications).where(lt(verifications.expiresAt, new Date(now)));
  return gone.length;
};
