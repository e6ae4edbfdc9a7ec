import type { Metadata } from 'next';
import { gapSheetOf } from '@/core/set/gap-sheet';
import { theDb } from '@/db/engine/connection';
import { rulesInForce } from '@/db/rules/rules';
import { GapWorksheet } from '@/ui/set/gap-worksheet';
import { SumPage, type SumSearch } from '../_sum/sum-page';

export const metadata: Metadata = { title: 'Pushrod gap' };

export default ({ searchParams }: SumSearch) => (
  <SumPage title="Pushrod gap" searchParams={searchParams}>
    {async (query) => {
      const { windowMinMm, windowMaxMm, gapTargetMm } = (await rulesInForce(await theDb())).rules;
      return <GapWorksheet start={gapSheetOf(query)} rules={{ windowMinMm, windowMaxMm, gapTargetMm }} address="/sums/gap" />;
    }}
  </SumPage>
);
