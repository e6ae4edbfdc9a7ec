import type { Metadata } from 'next';
import { learned } from '@/core/book-in/likelihoods';
import { may } from '@/core/people/role';
import { sayFullDate } from '@/core/quantity/say-time';
import { causeModel, finishedUnits } from '@/db/book-in/findings';
import { theDb } from '@/db/engine/connection';
import { CauseTable } from '@/ui/rules/cause-table';
import { Go } from '@/ui/shell/go';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Causes' };

export default async function CausesPage() {
  const db = await theDb();
  const [model, finished, person] = [await causeModel(db), await finishedUnits(db), await personOrSignIn()];
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Causes, version {model.version}</h1>
      <p className="mb-3 max-w-4xl text-ink2">
        {model.at === null ? '' : `${sayFullDate(model.at)}. `}
        {model.note} How often each cause is met, and how often a customer with it names each complaint, in per cent. What stands here
        weighs as twenty units; {finished.units} finished units with a confirmed cause have moved it to the small figure under it.{' '}
        <Go className="font-bold text-act" href="/rules">
          Back to the rules
        </Go>
      </p>
      <CauseTable
        key={model.version}
        version={model.version}
        stated={model.likelihoods}
        moved={learned(model.likelihoods, finished)}
        open={may(person.role, 'rules')}
      />
    </div>
  );
}
