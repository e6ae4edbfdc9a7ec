import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { theDb } from '@/db/engine/connection';
import { casesNow } from '@/db/practice/cases';
import { ShopCases } from '@/ui/practice/shop-cases';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Cases' };

/** Units that left, as exercises: the record’s answer, and what a lead has to say of it. */
export default async function CasesPage() {
  const [person, db] = await Promise.all([personOrSignIn(), theDb()]);
  const { cases, all } = await casesNow(db, person.id);
  const teaches = may(person.role, 'teach');
  return (
    <>
      <h1 className="mb-1 text-xl font-bold">The shop’s own cases</h1>
      <p className="mb-3 text-ink2">
        Units that left the shop, without names. The right answer is the record’s.
        {teaches && ' A unit that has left is made a case from the foot of its pages.'}
        {all > cases.length && ` The newest ${cases.length} of ${all} are shown.`}
      </p>
      {cases.length === 0 ? (
        <p className="border border-line bg-sheet p-3">None was made yet.</p>
      ) : (
        <ShopCases cases={cases} teaches={teaches} />
      )}
    </>
  );
}
