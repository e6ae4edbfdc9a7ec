import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { theDb } from '@/db/engine/connection';
import { everyone } from '@/db/people/people';
import { SignIn } from '@/ui/shell/sign-in';
import { currentPerson } from '../_server/who';
import { signInAction } from '../actions/people';
import { demoPins } from './demo-pins';

export const metadata: Metadata = { title: 'Sign in' };

/** Never made while building: that would open a shop where there is none yet, and leave an empty one behind. */
export const dynamic = 'force-dynamic';

export default async function SignInPage() {
  if ((await currentPerson()) !== undefined) redirect('/');
  return <SignIn people={await everyone(await theDb())} pins={demoPins()} signIn={signInAction} />;
}
