import type { Metadata } from 'next';
import { systemOfQuery } from '@/core/bleed/system-of-query';
import { sayFitment } from '@/core/identify/fitment';
import { countSystems, keptSystem, keptSystems } from '@/db/bleed/systems';
import { theDb } from '@/db/engine/connection';
import { storedFitment } from '@/db/identify/fitments';
import { rulesInForce } from '@/db/rules/rules';
import { Bleed } from '@/ui/bleed/bleed';
import { SumPage, type SumSearch } from '../_sum/sum-page';

export const metadata: Metadata = { title: 'Bleed' };

const MOST = 40;

export default ({ searchParams }: SumSearch) => (
  <SumPage title="Bleed" searchParams={searchParams}>
    {async (query) => {
      const db = await theDb();
      const [{ rules }, kept, all, opened] = await Promise.all([
        rulesInForce(db),
        keptSystems(db, MOST),
        countSystems(db),
        query.kept === undefined ? undefined : keptSystem(db, query.kept),
      ]);
      const fitmentId = opened?.fitmentId ?? query.fitment;
      const fitment = fitmentId === undefined ? undefined : await storedFitment(db, fitmentId);
      return (
        <Bleed
          key={query.kept ?? query.shape ?? ''}
          start={{
            system: opened?.system ?? systemOfQuery(query),
            id: opened?.id ?? null,
            fitment: fitment === undefined ? null : { id: fitment.id, name: sayFitment(fitment) },
          }}
          rules={rules}
          kept={{ shown: kept.map((k) => ({ id: k.id, name: k.system.name, fitment: k.fitment })), all }}
        />
      );
    }}
  </SumPage>
);
