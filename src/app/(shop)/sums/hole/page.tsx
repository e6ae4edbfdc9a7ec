import type { Metadata } from 'next';
import { numbersIn } from '@/core/schema/sheet';
import { HOLE_FIELDS } from '@/core/sums/pedal-sheets';
import { theDb } from '@/db/engine/connection';
import { rulesInForce } from '@/db/rules/rules';
import { Hole } from '@/ui/sums/hole';
import { SumPage, type SumSearch } from '../_sum/sum-page';

export const metadata: Metadata = { title: 'Clevis hole and pin' };

export default ({ searchParams }: SumSearch) => (
  <SumPage title="Clevis hole and pin" searchParams={searchParams}>
    {async (query) => {
      const { holeWearMm, holeOvalMm } = (await rulesInForce(await theDb())).rules;
      return <Hole start={numbersIn(query, HOLE_FIELDS)} rules={{ holeWearMm, holeOvalMm }} />;
    }}
  </SumPage>
);
