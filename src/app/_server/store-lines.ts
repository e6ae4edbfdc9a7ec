import { isoDay } from '@/core/quantity/say-time';
import type { Line } from '@/csv/read-table';
import { fitmentLine, kitLines, priceLine, type StoreFile, sundryLine } from '@/csv/store-files';
import { pricesInForce } from '@/db/cost/prices';
import type { Reader } from '@/db/engine/connection';
import { storedFitments } from '@/db/identify/fitments';
import { wholeStore } from '@/db/store/catalogue';
import { everyCustomer } from '@/db/store/customers';

/** All that the store holds of one kind, as the lines of a file in the columns that an import takes. */
export const storeLines = async (db: Reader, what: StoreFile): Promise<readonly Line[]> => {
  if (what === 'fitments') return (await storedFitments(db)).map(fitmentLine);
  if (what === 'customers') return everyCustomer(db);
  if (what === 'prices') return (await pricesInForce(db)).prices.map(priceLine);
  const store = await wholeStore(db, Date.now());
  switch (what) {
    case 'kits':
      return store.filter((a) => a.type === 'kit').flatMap(kitLines);
    case 'sundries':
      return store.filter((a) => a.type === 'sundry').map(sundryLine);
    case 'stock':
      return store.flatMap((a) =>
        a.lots.map((l) => ({
          number: a.number,
          lot: l.code,
          qty: l.qty,
          expires: l.expiresAt === null ? '' : isoDay(l.expiresAt),
        })),
      );
  }
};
