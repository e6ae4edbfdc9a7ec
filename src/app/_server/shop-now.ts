import { cache } from 'react';
import { shopDb } from '@/db/engine/connection';
import { theShop } from '@/db/shop/settings';

/** The shop's settings; asked once a request. */
export const shopNow = cache(async () => theShop(await shopDb()));
