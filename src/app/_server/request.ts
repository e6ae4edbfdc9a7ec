import { headers } from 'next/headers';
import { setting } from '@/config';
import type { Problem } from '@/core/schema/problems';
import { shopDb } from '@/db/engine/connection';
import { tokenOpens } from '@/db/shop/tokens';
import { currentPerson } from './who';

/** A refusal in the problem+json form. */
export const problem = (status: number, title: string, errors: readonly Problem[] = []): Response =>
  Response.json({ type: 'about:blank', title, status, errors }, { status, headers: { 'content-type': 'application/problem+json' } });

/** A write by a browser comes from a page of our own; another site's is refused. */
export const fromOurPage = (sent: Pick<Headers, 'get'>): boolean => {
  const origin = sent.get('origin');
  return origin !== null && URL.canParse(origin) && new URL(origin).host === new URL(shopOrigin(sent)).host;
};

/** The shop's own address for paper and codes: as it is set, else as this request came by it. */
export const shopOrigin = (sent: Pick<Headers, 'get'>): string => {
  const set = setting('EDDRIN_ORIGIN');
  if (set !== undefined) return new URL(set).origin;
  return `${sent.get('x-forwarded-proto') ?? 'http'}://${sent.get('x-forwarded-host') ?? sent.get('host') ?? 'localhost'}`;
};

/** The token that a request carries, if it does. */
export const bearerOf = (sent: Pick<Headers, 'get'>): string | undefined => /^Bearer (.+)$/i.exec(sent.get('authorization') ?? '')?.[1];

/** May this request compute? A session does, and so does a token for it. */
export async function mayCompute(): Promise<boolean> {
  const given = bearerOf(await headers());
  if (given !== undefined) return tokenOpens(await shopDb(), given, 'compute', Date.now());
  return (await currentPerson()) !== undefined;
}
