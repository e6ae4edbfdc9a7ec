import type { Metadata } from 'next';
import { numbersIn } from '@/core/schema/sheet';
import { CLUTCH_FIELDS } from '@/core/sums/clutch-sheet';
import { Clutch } from '@/ui/sums/clutch';
import { SumPage, type SumSearch } from '../_sum/sum-page';

export const metadata: Metadata = { title: 'Clutch release' };

export default ({ searchParams }: SumSearch) => (
  <SumPage title="Clutch release" searchParams={searchParams}>
    {(query) => <Clutch start={numbersIn(query, CLUTCH_FIELDS)} />}
  </SumPage>
);
