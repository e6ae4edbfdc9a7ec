import type { Metadata } from 'next';
import { systemOfQuery } from '@/core/bleed/system-of-query';
import { sayFitment } from '@/core/identify/fitment';
import { countBleeds, lastBleeds } from '@/db/bleed/bleeds';
import { countSystems, keptSystem, keptSystems, systemOfFitment } from '@/db/bleed/systems';
import { theDb } from '@/db/engine/connection';
import { storedFitment } from '@/db/identify/fitments';
import { rulesInForce } from '@/db/rules/rules';
import { Bleed } from '@/ui/bleed/bleed';
import { LastBleeds } from '@/ui/bleed/last-bleeds';
import { unitsOf } from '../../../_server/preferences';
import { SumPage, type SumSearch } from '../_sum/sum-page';

export const metadata: Metadata = { title: 'Bleed' };

const MOST = { systems: 40, bleeds: 10 };

export default ({ searchParams }: SumSearch) => (
  <SumPage title="Bleed" searchParams={searchParams} width="max-w-[1480px]">
    {async (query) => {
      const db = await theDb();
      const [{ rules }, kept, all, bled, allBled, opened] = await Promise.all([
        rulesInForce(db),
        keptSystems(db, MOST.systems),
        countSystems(db),
        lastBleeds(db, MOST.bleeds),
        countBleeds(db),
        query.kept !== undefined
          ? keptSystem(db, query.kept)
          : query.fitment === undefined
            ? undefined
            : systemOfFitment(db, query.fitment),
      ]);
      const fitmentId = opened?.fitmentId ?? query.fitment;
      const fitment = fitmentId === undefined ? undefined : await storedFitment(db, fitmentId);
      return (
        <>
          <Bleed
            key={opened?.id ?? query.shape ?? ''}
            start={{
              system: opened?.system ?? systemOfQuery(query),
              id: opened?.id ?? null,
              fitment: fitment === undefined ? null : { id: fitment.id, name: sayFitment(fitment) },
            }}
            rules={rules}
            kept={{ shown: kept.map((k) => ({ id: k.id, name: k.system.name, fitment: k.fitment })), all }}
          />
          <LastBleeds shown={bled} all={allBled} units={await unitsOf()} />
        </>
      );
    }}
  </SumPage>
);
