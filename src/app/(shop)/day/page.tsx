import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { theDb } from '@/db/engine/connection';
import { draftsOf } from '@/db/plan/drafts';
import { sayNotDone } from '@/pool/pool';
import { Day } from '@/ui/day/day';
import { MadeAgain } from '@/ui/day/made-again';
import { isDayView } from '@/ui/day/views';
import { dayNow, planBranch } from '../../_server/day-now';
import { personOrSignIn } from '../../_server/who';

export const metadata: Metadata = { title: 'Day' };

export default async function DayPage({ searchParams }: { readonly searchParams: Promise<{ readonly view?: string }> }) {
  const [person, { view }] = await Promise.all([personOrSignIn(), searchParams]);
  const branch = await planBranch(person.branch ?? null);
  const [day, drafts] = await Promise.all([dayNow(branch), theDb().then(draftsOf)]);
  if (!day.ok)
    return (
      <p role="alert" className="p-4">
        {sayNotDone(day.error)}
      </p>
    );
  const { facts, request, schedule, leftOut, being } = day.value;
  return (
    <>
      {being !== undefined && <MadeAgain key={Date.now()} />}
      <Day
        facts={facts}
        request={request}
        schedule={schedule}
        leftOut={leftOut}
        view={isDayView(view) ? view : 'benches'}
        drafts={drafts}
        me={person}
        branch={branch?.name}
        mayKeep={may(person.role, 'see-shop')}
      />
    </>
  );
}
