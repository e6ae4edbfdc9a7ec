import type { KitItem } from './need';

/** A kit as the store keeps it. Price in the shop's money; stock in pieces on hand. */
export type StoredKit = {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly price: number;
  readonly leadDays: number | null;
  readonly note: string;
  readonly stock: number;
  readonly items: readonly (KitItem & { readonly name: string })[];
};
