import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { theDb } from '@/db/engine/connection';
import { theShop } from '@/db/shop/settings';
import { TemplatesForm } from '@/ui/shop/templates-form';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Messages' };

/** The shop's words to customers. */
export default async function MessagesPage() {
  const person = await personOrSignIn();
  const { version, settings } = await theShop(await theDb());
  return (
    <>
      <h1 className="mb-1 text-xl font-bold">Words to customers</h1>
      <p className="mb-3 max-w-3xl text-ink2">
        What a message begins with; whoever sends it may word it otherwise. What stands between braces is put in for each customer.
      </p>
      <TemplatesForm key={version} version={version} settings={settings} open={may(person.role, 'shop')} />
    </>
  );
}
