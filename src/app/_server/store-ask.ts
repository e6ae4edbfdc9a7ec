import { sortIn } from '@/core/schema/sort';
import { FITMENT_SORTS, SHOW_NAMES, STORE_SORTS } from '@/core/store/store-line';
import type { FitmentAsk, StoreAsk } from '@/db/store/find-store';

/** Pages past which no store goes. */
const LAST_PAGE = 10_000;

type Asked = { readonly q?: string; readonly show?: string; readonly sort?: string; readonly page?: string };

/** What of the store an address asks for; what it says wrongly is as if it were not said. */
export const storeAsk = (asked: Asked): StoreAsk => ({
  q: asked.q ?? '',
  show: SHOW_NAMES.find((s) => s === asked.show) ?? 'all',
  sort: sortIn(asked.sort, STORE_SORTS),
  page: pageIn(asked.page),
});
export const fitmentAsk = (asked: Asked): FitmentAsk => ({
  q: asked.q ?? '',
  sort: sortIn(asked.sort, FITMENT_SORTS),
  page: pageIn(asked.page),
});

const pageIn = (text: string | undefined): number => Math.min(LAST_PAGE, /^\d{1,6}$/.test(text ?? '') ? Number(text) : 0);
