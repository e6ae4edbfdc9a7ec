import { and, desc, eq, gt } from 'drizzle-orm';
import type { OpenSession } from '@/core/people/member';
import type { Db, Reader } from '../engine/connection';
import { tellShop } from '../shop/shop-events';
import { people, sessions } from '../tables';
import { theAuth } from './auth';

/** A person's sessions that have not ended, the one last used first. @param token of the session that asks */
export const openSessions = async (
  db: Reader,
  personId: string,
  token: string | undefined,
  now: number,
): Promise<readonly OpenSession[]> => {
  const rows = await db
    .select()
    .from(sessions)
    .where(and(eq(sessions.userId, personId), gt(sessions.expiresAt, new Date(now))))
    .orderBy(desc(sessions.updatedAt));
  return rows.map((s) => ({
    id: s.id,
    device: deviceOf(s.userAgent ?? ''),
    since: s.createdAt.getTime(),
    seenAt: s.updatedAt.getTime(),
    here: s.token === token ? 'here' : 'elsewhere',
  }));
};

/** Ends one of a person's own sessions. */
export const endSession = async (db: Db, personId: string, sessionId: string): Promise<void> => {
  const [row] = await db
    .select({ token: sessions.token })
    .from(sessions)
    .where(and(eq(sessions.id, sessionId), eq(sessions.userId, personId)));
  if (row !== undefined) await (await (await theAuth()).$context).internalAdapter.deleteSession(row.token);
};

/** Ends all of a person's sessions. */
export const endSessions = async (db: Db, by: { readonly personId: string; readonly at: number }, personId: string): Promise<void> => {
  await (await (await theAuth()).$context).internalAdapter.deleteUserSessions(personId);
  const [person] = await db.select({ name: people.name }).from(people).where(eq(people.id, personId));
  if (person !== undefined) await tellShop(db, { ...by, kind: 'sessions-ended', about: personId, lines: [person.name] });
};

/** What somebody sits at, by what its browser says of itself. */
const deviceOf = (agent: string): string => {
  const system = [
    ['iPad', /iPad/],
    ['iPhone', /iPhone/],
    ['Android', /Android/],
    ['Windows', /Windows/],
    ['Mac', /Macintosh/],
    ['Linux', /Linux|X11/],
  ] as const;
  const browser = [
    ['Firefox', /Firefox\//],
    ['Edge', /Edg\//],
    ['Chrome', /Chrom(e|ium)\//],
    ['Safari', /Safari\//],
  ] as const;
  const first = (among: readonly (readonly [string, RegExp])[]): string | undefined => among.find(([, like]) => like.test(agent))?.[0];
  return [first(browser), first(system)].filter((x) => x !== undefined).join(' on ') || 'a browser';
};
