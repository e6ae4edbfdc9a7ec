import type { Metadata } from 'next';
import { samplesOf } from '@/core/sums/pedal-sheets';
import { theDb } from '@/db/engine/connection';
import { rulesInForce } from '@/db/rules/rules';
import { Vacuum } from '@/ui/sums/vacuum';
import { SumPage, type SumSearch } from '../_sum/sum-page';

export const metadata: Metadata = { title: 'Vacuum hold' };

export default ({ searchParams }: SumSearch) => (
  <SumPage title="Vacuum hold of a booster" searchParams={searchParams}>
    {async (query) => {
      const { vacuumDropKPa } = (await rulesInForce(await theDb())).rules;
      return <Vacuum start={samplesOf(query)} rules={{ vacuumDropKPa }} />;
    }}
  </SumPage>
);
