import type { Metadata } from 'next';
import { systemOfQuery } from '@/core/bleed/system-of-query';
import { learned } from '@/core/book-in/likelihoods';
import { causeModel, finishedUnits } from '@/db/book-in/findings';
import { theDb } from '@/db/engine/connection';
import { rulesInForce } from '@/db/rules/rules';
import { BleedLive } from '@/ui/bleed/bleed-live';
import { personOrSignIn } from '../../../../_server/who';
import type { SumSearch } from '../../_sum/sum-page';

export const metadata: Metadata = { title: 'Bleed, live' };

/** The plan as a guide at the machine; once loaded it needs no line. */
export default async function BleedLivePage({ searchParams }: SumSearch) {
  const db = await theDb();
  const [{ rules }, model, finished, query, person] = await Promise.all([
    rulesInForce(db),
    causeModel(db),
    finishedUnits(db),
    searchParams,
    personOrSignIn(),
  ]);
  return (
    <div className="px-4 py-4">
      <h1 className="mb-3 text-xl font-bold">Bleed, live</h1>
      <BleedLive
        system={systemOfQuery(query)}
        rules={rules}
        odds={{ model: learned(model.likelihoods, finished), finished }}
        personId={person.id}
      />
    </div>
  );
}
