import type { Metadata } from 'next';
import { gapSheetOf } from '@/core/set/gap-sheet';
import { theDb } from '@/db/connection';
import { rulesInForce } from '@/db/rules';
import { GapWorksheet } from '@/ui/set/gap-worksheet';
import { unitsOf } from '../../../_server/preferences';

export const metadata: Metadata = { title: 'Pushrod gap' };

type Search = { readonly searchParams: Promise<Readonly<Record<string, string | undefined>>> };

export default async function GapPage({ searchParams }: Search) {
  const { windowMinMm, windowMaxMm, gapTargetMm } = (await rulesInForce(await theDb())).rules;
  return (
    <div className="max-w-4xl px-4 py-4">
      <h1 className="mb-3 text-xl font-bold">Pushrod gap</h1>
      <GapWorksheet
        start={gapSheetOf(await searchParams)}
        rules={{ windowMinMm, windowMaxMm, gapTargetMm }}
        units={await unitsOf()}
        address="/sums/gap"
      />
    </div>
  );
}
