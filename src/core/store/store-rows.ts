import type { Price } from '../cost/price';
import type { Fitment } from '../identify/fitment';
import type { Article } from './article';

/** A row of a file, with the line that it stands in. */
export type Lined<T> = { readonly line: number; readonly row: T };
export type StockRow = { readonly number: string; readonly lot: string; readonly qty: number; readonly expiresAt: number | null };
export type CustomerRow = { readonly name: string; readonly phone: string; readonly mail: string; readonly address: string };
/** What a file does not speak of stays as it is in the store: `lacks` names the columns that it has not. */
export type StoreRows = { readonly lacks: readonly string[] } & StoreRowsOf;
export type StoreRowsOf =
  | { readonly what: 'kits' | 'sundries'; readonly rows: readonly Lined<Omit<Article, 'id'>>[] }
  | { readonly what: 'fitments'; readonly rows: readonly Lined<Fitment>[] }
  | { readonly what: 'stock'; readonly rows: readonly Lined<StockRow>[] }
  | { readonly what: 'customers'; readonly rows: readonly Lined<CustomerRow>[] }
  | { readonly what: 'prices'; readonly rows: readonly Lined<Price>[] };
