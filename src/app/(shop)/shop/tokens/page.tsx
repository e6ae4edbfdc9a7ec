import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { theDb } from '@/db/engine/connection';
import { tokensOf } from '@/db/shop/tokens';
import { TokenList } from '@/ui/shop/token-list';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Tokens' };

export default async function TokensPage() {
  const person = await personOrSignIn();
  return (
    <>
      <h1 className="mb-1 text-xl font-bold">Tokens</h1>
      <p className="mb-3 text-ink2">
        What scripts and instruments come in by, each for one thing. A gauge’s own token is made under Rules, gauges.
      </p>
      <TokenList tokens={await tokensOf(await theDb())} now={Date.now()} open={may(person.role, 'shop')} />
    </>
  );
}
