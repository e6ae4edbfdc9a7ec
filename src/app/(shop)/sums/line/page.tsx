import type { Metadata } from 'next';
import { lineSheetOf } from '@/core/line/line-of-query';
import { theDb } from '@/db/engine/connection';
import { rulesInForce } from '@/db/rules/rules';
import { Line } from '@/ui/line/line';
import { SumPage, type SumSearch } from '../_sum/sum-page';

export const metadata: Metadata = { title: 'Line' };

export default ({ searchParams }: SumSearch) => (
  <SumPage title="Line" searchParams={searchParams} width="max-w-[1480px]">
    {async (query) => {
      const { bendRadiusMm, flareTakesMm, leastStraightMm, nutRoomMm } = (await rulesInForce(await theDb())).rules;
      return <Line start={lineSheetOf(query)} rules={{ bendRadiusMm, flareTakesMm, leastStraightMm, nutRoomMm }} />;
    }}
  </SumPage>
);
