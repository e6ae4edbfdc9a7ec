import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { theDb } from '@/db/engine/connection';
import { staff } from '@/db/people/people';
import { isOpened } from '@/db/shop/open-shop';
import { NotOpen } from '@/ui/shell/not-open';
import { SignIn } from '@/ui/shell/sign-in';
import { currentPerson, ownPath } from '../_server/who';
import { choosePinAction, signInAction } from '../actions/people';
import { demoPins } from './demo-pins';

export const metadata: Metadata = { title: 'Sign in' };

/** Never made while building: that would open a shop where there is none yet, and leave an empty one behind. */
export const dynamic = 'force-dynamic';

export default async function SignInPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ readonly to?: string | readonly string[] }>;
}) {
  const to = ownPath(String((await searchParams).to ?? '/'));
  if ((await currentPerson()) !== undefined) redirect(to);
  const db = await theDb();
  if (!(await isOpened(db))) return <NotOpen />;
  return <SignIn people={await staff(db)} pins={demoPins()} to={to} signIn={signInAction} choosePin={choosePinAction} />;
}
