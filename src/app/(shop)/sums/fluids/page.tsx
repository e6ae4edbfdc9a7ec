import type { Metadata } from 'next';
import { fluidSheetOf } from '@/core/sums/fluid-sheet';
import { Fluids } from '@/ui/sums/fluids';
import { SumPage, type SumSearch } from '../_sum/sum-page';

export const metadata: Metadata = { title: 'What touches what' };

export default ({ searchParams }: SumSearch) => (
  <SumPage title="What touches what" searchParams={searchParams}>
    {(query) => <Fluids start={fluidSheetOf(query)} />}
  </SumPage>
);
