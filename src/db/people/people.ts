import { getSessionCookie } from 'better-auth/cookies';
import { constantTimeEqual, hashPassword, makeSignature, verifyPassword } from 'better-auth/crypto';
import { and, asc, eq, gt, isNull, lt, sql } from 'drizzle-orm';
import { hereLockedUntil, IN_A_ROW_MS, PLACE_WINDOW_MS, personLockedUntil, placeLockedUntil } from '@/core/people/lock-out';
import { type KnownToAll, pinFault } from '@/core/people/pin';
import { type Person, ROLES } from '@/core/people/role';
import { sayUntil } from '@/core/quantity/say-time';
import { fail, ok, type Result } from '@/core/result';
import type { Db, Reader, Tx } from '../engine/connection';
import { prepared } from '../engine/prepared';
import { theShop } from '../shop/settings';
import { tellShop } from '../shop/shop-events';
import { accounts, people, sessions, signedInFrom, units, verifications, wrongPins } from '../tables';
import { authSecret, IDLE_S, RENEW_S, theAuth } from './auth';
import { codeFits, dropCode } from './entry-code';
import { insertPerson } from './staff';

export type NewPerson = Person & { readonly pin: string };
export type PinError = { readonly code: 'wrong-pin' } | { readonly code: 'locked'; readonly until: number };
export const sayPinError = (e: PinError, now: number): string =>
  e.code === 'locked' ? `Too many wrong PINs. Locked ${sayUntil(e.until, now)}.` : 'That is not the PIN.';

/** Adds a person with a PIN that they have chosen. For the demo and for the first owner of a shop; all others choose theirs by a code (`addMember`). */
export async function addPerson(db: Db, { pin, ...person }: NewPerson, at: number): Promise<void> {
  const password = await hashPassword(pin);
  await db.transaction((tx) => insertPerson(tx, person, at, password));
}

const PERSON = { id: people.id, name: people.name, role: people.role, bench: people.bench, branch: people.branch };

const everyoneQuery = prepared((db: Reader) => db.select(PERSON).from(people).orderBy(asc(people.name)).prepare());

/** Everybody who works here or did: names on records. */
export const everyone = (db: Reader): Promise<readonly Person[]> => everyoneQuery(db).execute();

const staffQuery = prepared((db: Reader) =>
  db.select(PERSON).from(people).where(isNull(people.leftAt)).orderBy(asc(people.name)).prepare(),
);

/** Everybody who works here now: who signs in, and whom something is given to. */
export const staff = (db: Reader): Promise<readonly Person[]> => staffQuery(db).execute();

/** Where a PIN is tried: at the door, or by somebody who is in. */
export type From = { readonly kind: 'address'; readonly address: string } | { readonly kind: 'signed-in'; readonly personId: string };

const placeOf = (from: From): string => (from.kind === 'address' ? from.address : `signed in: ${from.personId}`);

/**
 * Is this the person's PIN? Every path that asks for one comes through here, so that the lock-out cannot be gone round. Wrong ones count for
 * the person at the place that they come from, never for the shop: names that are nobody's count for nobody, and a stranger shuts out himself.
 * Many places that guess together shut out places where the person was never in, and no other.
 * @param from an address, or who is signed in there
 * @returns the same answer for a person who does not exist and for a wrong PIN
 */
export const checkPin = (db: Db, personId: string, pin: string, now: number, from: From): Promise<Result<Person, PinError>> =>
  tryEntry(db, personId, now, from, async (person) => {
    const [account] = await db.select({ password: accounts.password }).from(accounts).where(eq(accounts.userId, person.id));
    const hash = account?.password ?? null;
    return hash !== null && (await verifyPassword({ hash, password: pin }));
  });

/** One try to come in, counted against the person and the place. @param fits is what was given theirs? */
async function tryEntry(
  db: Db,
  personId: string,
  now: number,
  from: From,
  fits: (person: Person) => Promise<boolean>,
): Promise<Result<Person, PinError>> {
  const place = placeOf(from);
  // The try is counted before it is checked, one after another: many at once do not get more tries.
  const tried = await db.transaction(async (tx) => countTry(tx, personId, place, now));
  if (!tried.ok) return tried;
  const { person, id, wrongHere } = tried.value;
  if (!(await fits(person))) {
    const until = hereLockedUntil([...wrongHere, now], now);
    return fail(until === undefined ? { code: 'wrong-pin' } : { code: 'locked', until });
  }
  await db.transaction(async (tx) => {
    await tx.delete(wrongPins).where(eq(wrongPins.id, id));
    await tx
      .insert(signedInFrom)
      .values({ personId, place, at: now })
      .onConflictDoUpdate({ target: [signedInFrom.personId, signedInFrom.place], set: { at: now } });
  });
  return ok(person);
}

type Try = {
  readonly person: Person;
  /** Its row among the wrong ones, until it turns out to be right. */
  readonly id: number;
  /** When wrong ones came for the person from there, in a row, oldest first. */
  readonly wrongHere: readonly number[];
};

/** Writes a try down as a wrong one, where one may be made. A name that is nobody's counts for nobody. */
const countTry = async (tx: Tx, personId: string, place: string, now: number): Promise<Result<Try, PinError>> => {
  const [[person], atPlace, ofPerson, [known]] = await Promise.all([
    tx
      .select(PERSON)
      .from(people)
      .where(and(eq(people.id, personId), isNull(people.leftAt))),
    tx
      .select({ at: wrongPins.at })
      .from(wrongPins)
      .where(and(eq(wrongPins.place, place), gt(wrongPins.at, now - PLACE_WINDOW_MS)))
      .orderBy(asc(wrongPins.at)),
    tx
      .select({ at: wrongPins.at, place: wrongPins.place })
      .from(wrongPins)
      .where(and(eq(wrongPins.personId, personId), gt(wrongPins.at, now - IN_A_ROW_MS)))
      .orderBy(asc(wrongPins.at)),
    tx
      .select({ at: signedInFrom.at })
      .from(signedInFrom)
      .where(and(eq(signedInFrom.personId, personId), eq(signedInFrom.place, place))),
  ]);
  const wrongHere = ofPerson.filter((w) => w.place === place && w.at >= (known?.at ?? 0)).map((w) => w.at);
  const everywhere = known === undefined ? ofPerson.map((w) => w.at) : [];
  const until =
    placeLockedUntil(
      atPlace.map((w) => w.at),
      now,
    ) ??
    hereLockedUntil(wrongHere, now) ??
    personLockedUntil(everywhere, now);
  if (until !== undefined) return fail({ code: 'locked', until });
  if (person === undefined) return fail({ code: 'wrong-pin' });
  const [row] = await tx.insert(wrongPins).values({ personId, place, at: now }).returning({ id: wrongPins.id });
  if (row === undefined) throw new Error('a try was not written down');
  return ok({ person, id: row.id, wrongHere });
};

/** Signs a person in at this bench: checks the PIN and sets the session's cookie. */
export async function signIn(db: Db, personId: string, pin: string, headers: Headers, now: number): Promise<Result<Person, PinError>> {
  const checked = await checkPin(db, personId, pin, now, atTheDoor(headers));
  if (checked.ok) await startSession(personId, pin, headers);
  return checked;
}

const atTheDoor = (headers: Headers): From => ({ kind: 'address', address: headers.get('x-address') ?? 'unknown' });
const startSession = async (username: string, password: string, headers: Headers): Promise<void> => {
  await (await theAuth()).api.signInUsername({ body: { username, password }, headers });
};

/** Why a PIN was not set: the code is not theirs or was used, or the PIN will not do. */
export type ChooseError = PinError | { readonly code: 'weak'; readonly why: string };

/** Lets a person choose a PIN by their code, which is used up by it, and signs them in. Wrong codes count as wrong PINs do. */
export async function choosePin(
  db: Db,
  { personId, code, pin }: { readonly personId: string; readonly code: string; readonly pin: string },
  headers: Headers,
  now: number,
): Promise<Result<Person, ChooseError>> {
  const entered = await tryEntry(db, personId, now, atTheDoor(headers), (person) => codeFits(db, person.id, code, now));
  if (!entered.ok) return entered;
  const why = pinFault(pin, entered.value.role, await knownToAll(db));
  if (why !== undefined) return fail({ code: 'weak', why });
  const password = await hashPassword(pin);
  const used = await db.transaction(async (tx) => {
    if (!(await codeFits(tx, personId, code, now))) return false;
    await dropCode(tx, personId);
    await tx
      .update(accounts)
      .set({ password, updatedAt: new Date(now) })
      .where(eq(accounts.userId, personId));
    await tellShop(tx, { at: now, personId, kind: 'pin-set', about: personId, lines: [] });
    return true;
  });
  if (!used) return fail({ code: 'wrong-pin' });
  await startSession(personId, pin, headers);
  return entered;
}

/** Whom the names and numbers are known to that nobody should take for a PIN: anybody at the counter. */
export const knownToAll = async (db: Reader): Promise<KnownToAll> => {
  const { settings } = await theShop(db);
  const tags = await db.select({ tagNo: units.tagNo }).from(units).where(isNull(units.exit));
  return {
    names: [settings.name, ...(await everyone(db)).map((p) => p.name)],
    numbers: [settings.telephone, ...tags.map((t) => String(t.tagNo))],
  };
};

export const signOut = async (headers: Headers): Promise<void> => {
  await (await theAuth()).api.signOut({ headers });
};

const sessionQuery = prepared((db: Reader) =>
  db
    .select(PERSON)
    .from(sessions)
    .innerJoin(people, eq(sessions.userId, people.id))
    .where(and(eq(sessions.token, sql.placeholder('token')), gt(sessions.expiresAt, sql.placeholder('until')), isNull(people.leftAt)))
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
  const { id, name, bench, branch } = session.user;
  const role = ROLES.find((r) => r === session.user.role);
  return role === undefined ? undefined : { id, name, role, bench: bench ?? null, branch: branch ?? null };
}

/** Has this person's session, as these headers carry it, not ended? Asking does not renew it: a page that is left open signs nobody in for longer. */
export const isStillIn = async (db: Db, headers: Headers, personId: string, now: number): Promise<boolean> => {
  const token = await tokenOf(headers);
  if (token === undefined) return false;
  const [person] = await sessionQuery(db).execute({ token, until: new Date(now) });
  return person?.id === personId;
};

/** The token of the session that these headers carry, where it is one of ours. */
export const tokenOf = async (headers: Headers): Promise<string | undefined> => {
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

/** For how long an owner is told of wrong PINs, ms. */
const WRONG_PINS_KEPT_MS = 30 * 24 * 3_600_000;
/** For how long a place is known where somebody signed in, ms. */
const PLACES_KEPT_MS = 180 * 24 * 3_600_000;

/** Takes away sessions, tokens and wrong PINs that are past. @returns how many sessions */
export const sweepSessions = async (db: Db, now: number): Promise<number> => {
  const gone = await db
    .delete(sessions)
    .where(lt(sessions.expiresAt, new Date(now)))
    .returning({ id: sessions.id });
  await db.delete(verifications).where(lt(verifications.expiresAt, new Date(now)));
  await db.delete(wrongPins).where(lt(wrongPins.at, now - WRONG_PINS_KEPT_MS));
  await db.delete(signedInFrom).where(lt(signedInFrom.at, now - PLACES_KEPT_MS));
  return gone.length;
};
