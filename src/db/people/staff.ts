import { and, asc, count, eq, gt, isNotNull, isNull, max, ne, sql } from 'drizzle-orm';
import { IN_A_ROW_MS } from '@/core/people/lock-out';
import type { Member } from '@/core/people/member';
import { PIN_WORDS } from '@/core/people/pin';
import { type Person, type Role, THE_CUSTOMER } from '@/core/people/role';
import { type Work, WorkSchema } from '@/core/people/work';
import { fail, ok, type Result } from '@/core/result';
import { stored } from '@/core/schema/stored';
import type { Db, Reader, Tx } from '../engine/connection';
import { tellShop } from '../shop/shop-events';
import { accounts, entryCodes, people, sessions, wrongPins } from '../tables';
import { newCode } from './entry-code';

/** Everybody who works here or did, those who are here first. */
export async function members(db: Reader, now: number): Promise<readonly Member[]> {
  const rows = await db
    .select({ person: people, password: accounts.password, codeUntil: entryCodes.expiresAt, seen: max(sessions.updatedAt) })
    .from(people)
    .leftJoin(accounts, eq(accounts.userId, people.id))
    .leftJoin(entryCodes, eq(entryCodes.personId, people.id))
    .leftJoin(sessions, eq(sessions.userId, people.id))
    .where(ne(people.id, THE_CUSTOMER.id))
    .groupBy(people.id)
    .orderBy(sql`${people.leftAt} is not null`, asc(people.name));
  return rows.map(({ person, password, codeUntil, seen }) => ({
    id: person.id,
    name: person.name,
    role: person.role,
    bench: person.bench,
    branch: person.branch,
    leftAt: person.leftAt,
    work: person.work === null ? null : stored(WorkSchema).parse(person.work),
    entry:
      codeUntil !== null && codeUntil > now ? { kind: 'code', until: codeUntil } : password !== null ? { kind: 'pin' } : { kind: 'none' },
    lastSeenAt: seen === null ? null : seen.getTime(),
  }));
}

type By = { readonly personId: string; readonly at: number };
export type StaffError = { readonly code: 'no-such-person' } | { readonly code: 'last-owner' } | { readonly code: 'name-taken' };

export const sayStaffError = (e: StaffError): string => {
  switch (e.code) {
    case 'no-such-person':
      return 'There is no such person, or not any more. Load the page anew.';
    case 'last-owner':
      return 'A shop has an owner: make somebody else one first.';
    case 'name-taken':
      return 'Somebody of that name works here: add what tells them apart.';
  }
};

/** Adds a person, who chooses a PIN with the code. @returns their id and the code, which nobody is told again */
export const addMember = async (
  db: Db,
  by: By,
  p: { readonly name: string; readonly role: Role; readonly bench: string; readonly branch: string },
): Promise<Result<{ readonly id: string; readonly code: string }, StaffError>> =>
  db.transaction(async (tx) => {
    if (await nameTaken(tx, p.name, '')) return fail({ code: 'name-taken' });
    const id = await freeId(tx, p.name);
    await insertPerson(tx, { id, name: p.name, role: p.role, bench: orNull(p.bench), branch: orNull(p.branch) }, by.at);
    const code = await newCode(tx, id, by.at);
    await tellShop(tx, { ...by, kind: 'person-added', about: id, lines: [`${p.name}, ${p.role}${p.bench === '' ? '' : `, ${p.bench}`}`] });
    return ok({ id, code });
  });

/** Changes a person. A role that asks for a passcode in place of a PIN asks them to choose one: then there is a code. */
export const changeMember = async (
  db: Db,
  by: By,
  p: Changing & { readonly id: string; readonly work: Work | null },
): Promise<Result<{ readonly code: string | null }, StaffError>> =>
  db.transaction(async (tx) => {
    const [was] = await tx.select().from(people).where(eq(people.id, p.id));
    if (was === undefined) return fail({ code: 'no-such-person' });
    if (await nameTaken(tx, p.name, p.id)) return fail({ code: 'name-taken' });
    if (was.role === 'owner' && p.role !== 'owner' && (await isLastOwner(tx, p.id))) return fail({ code: 'last-owner' });
    const lines = memberChanged({ ...was, bench: was.bench ?? '', branch: was.branch ?? '' }, p);
    if (lines.length === 0) return ok({ code: null });
    const { id, name, role, work } = p;
    await tx
      .update(people)
      .set({ name, displayUsername: name, role, bench: orNull(p.bench), branch: orNull(p.branch), work, updatedAt: new Date(by.at) })
      .where(eq(people.id, id));
    await tellShop(tx, { ...by, kind: 'person-changed', about: id, lines });
    // What a role may do is another thing from now on, at every bench where they are signed in.
    if (was.role !== role) await tx.delete(sessions).where(eq(sessions.userId, id));
    const asksMore = PIN_WORDS[was.role] === 'PIN' && PIN_WORDS[role] === 'passcode';
    return ok({ code: asksMore ? await resetEntry(tx, id, by.at) : null });
  });

/** Takes a person's PIN away and gives a code for a new one; whoever is signed in by the old one is signed in no more. */
export const giveCode = async (db: Db, by: By, id: string): Promise<Result<{ readonly code: string }, StaffError>> =>
  db.transaction(async (tx) => {
    const [person] = await tx
      .select({ name: people.name })
      .from(people)
      .where(and(eq(people.id, id), isNull(people.leftAt)));
    if (person === undefined) return fail({ code: 'no-such-person' });
    const code = await resetEntry(tx, id, by.at);
    await tellShop(tx, { ...by, kind: 'code-given', about: id, lines: [person.name] });
    return ok({ code });
  });

/** Notes that somebody has left: the name stays on every record, sessions end, nobody signs in by it. */
export const noteLeft = async (db: Db, by: By, id: string): Promise<Result<null, StaffError>> =>
  db.transaction(async (tx) => {
    const [person] = await tx
      .select({ name: people.name, role: people.role })
      .from(people)
      .where(and(eq(people.id, id), isNull(people.leftAt)));
    if (person === undefined) return fail({ code: 'no-such-person' });
    if (person.role === 'owner' && (await isLastOwner(tx, id))) return fail({ code: 'last-owner' });
    await tx.update(people).set({ leftAt: by.at }).where(eq(people.id, id));
    await tx.update(accounts).set({ password: null }).where(eq(accounts.userId, id));
    await tx.delete(entryCodes).where(eq(entryCodes.personId, id));
    await tx.delete(sessions).where(eq(sessions.userId, id));
    await tellShop(tx, { ...by, kind: 'left', about: id, lines: [person.name] });
    return ok(null);
  });

/** Takes back somebody who had left; they choose a new PIN. */
export const takeBack = async (db: Db, by: By, id: string): Promise<Result<{ readonly code: string }, StaffError>> =>
  db.transaction(async (tx) => {
    const [person] = await tx
      .update(people)
      .set({ leftAt: null })
      .where(and(eq(people.id, id), ne(people.id, THE_CUSTOMER.id), isNotNull(people.leftAt)))
      .returning({ name: people.name });
    if (person === undefined) return fail({ code: 'no-such-person' });
    const code = await resetEntry(tx, id, by.at);
    await tellShop(tx, { ...by, kind: 'came-back', about: id, lines: [person.name] });
    return ok({ code });
  });

/** A person's row and its place for a PIN. */
export const insertPerson = async (tx: Pick<Tx, 'insert'>, p: Person, at: number, password: string | null = null): Promise<void> => {
  const now = new Date(at);
  await tx.insert(people).values({
    ...p,
    email: `${p.id}@people.invalid`,
    emailVerified: true,
    username: p.id,
    displayUsername: p.name,
    createdAt: now,
    updatedAt: now,
  });
  await tx
    .insert(accounts)
    .values({ id: `${p.id}-pin`, accountId: p.id, providerId: 'credential', userId: p.id, password, createdAt: now, updatedAt: now });
};

const resetEntry = async (tx: Tx, id: string, at: number): Promise<string> => {
  await tx.update(accounts).set({ password: null }).where(eq(accounts.userId, id));
  // A code is for somebody who stands at a door that is shut: it opens there.
  await tx.delete(wrongPins).where(and(eq(wrongPins.personId, id), gt(wrongPins.at, at - IN_A_ROW_MS)));
  await tx.delete(sessions).where(eq(sessions.userId, id));
  return newCode(tx, id, at);
};

const orNull = (text: string): string | null => (text === '' ? null : text);

const isLastOwner = async (tx: Tx, id: string): Promise<boolean> => {
  const [others] = await tx
    .select({ n: count() })
    .from(people)
    .where(and(eq(people.role, 'owner'), isNull(people.leftAt), ne(people.id, id)));
  return others?.n === 0;
};

const nameTaken = async (tx: Tx, name: string, except: string): Promise<boolean> => {
  const same = await tx
    .select({ id: people.id })
    .from(people)
    .where(and(sql`lower(${people.name}) = lower(${name})`, ne(people.id, except)));
  return same.length > 0;
};

/** A short form of a name that no other person has: `pell-wickert`. */
export const freeId = async (tx: Tx, name: string): Promise<string> => {
  const plain =
    name
      .normalize('NFKD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 40) || 'person';
  const taken = new Set((await tx.select({ id: people.id }).from(people)).map((p) => p.id));
  for (let n = 1; ; n++) {
    const id = n === 1 ? plain : `${plain}-${n}`;
    if (!taken.has(id)) return id;
  }
};

type Changing = {
  readonly name: string;
  readonly role: Role;
  readonly bench: string;
  readonly branch: string;
  readonly work: unknown;
};
const memberChanged = (was: Changing, now: Changing): readonly string[] => [
  ...(was.name === now.name ? [] : [`${now.name}, was ${was.name}`]),
  ...(was.role === now.role ? [] : [`${now.name}: ${now.role}, was ${was.role}`]),
  ...(was.bench === now.bench ? [] : [`${now.name}: ${now.bench || 'no bench'}, was ${was.bench || 'no bench'}`]),
  ...(was.branch === now.branch ? [] : [`${now.name}: at another branch`]),
  ...(JSON.stringify(was.work ?? null) === JSON.stringify(now.work ?? null) ? [] : [`${now.name}: other hours, days off or skills`]),
];
