import type { Metadata } from 'next';
import { hydraulicsSheetOf } from '@/core/sums/hydraulics-sheet';
import { Hydraulics } from '@/ui/sums/hydraulics';
import { SumPage, type SumSearch } from '../_sum/sum-page';

export const metadata: Metadata = { title: 'What another bore does' };

export default ({ searchParams }: SumSearch) => (
  <SumPage title="What another bore does" searchParams={searchParams}>
    {(query) => <Hydraulics start={hydraulicsSheetOf(query)} />}
  </SumPage>
);
