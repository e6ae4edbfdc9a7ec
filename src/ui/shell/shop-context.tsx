'use client';

import { createContext, type ReactNode, useContext } from 'react';
import { oddPromise } from '@/core/book-in/promise';
import type { Branch } from '@/core/shop/branch';
import type { OpenHours } from '@/core/shop/open-hours';

/** What pages know of the shop: when it is open, and its branches where it has several. */
type ShopHere = { readonly hours: OpenHours; readonly branches: readonly Branch[] };
const ShopContext = createContext<ShopHere | undefined>(undefined);

export const ShopProvider = ({ shop, children }: { readonly shop: ShopHere; readonly children: ReactNode }) => (
  <ShopContext value={shop}>{children}</ShopContext>
);

/** What to ask oneself about a promise, by the shop's hours. */
export const useOddPromise = (): ReturnType<typeof oddPromise> => {
  const shop = useContext(ShopContext);
  if (shop === undefined) throw new Error('useOddPromise: outside of the pages of the shop');
  return oddPromise(shop.hours);
};

/** The shop's branches; none in a shop of one place. */
export const useBranches = (): readonly Branch[] => useContext(ShopContext)?.branches ?? [];
