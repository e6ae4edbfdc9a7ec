import { setting } from '@/config';
import type { Branch } from '@/core/shop/branch';
import { shopNow } from './shop-now';

/** The branch whose rig hangs on this process; undefined in a shop of one place. */
export const rigBranch = async (): Promise<Branch | undefined> => {
  const { branches } = (await shopNow()).settings;
  const name = setting('EDDRIN_BRANCH')?.toLowerCase();
  return branches.find((b) => b.name.toLowerCase() === name) ?? branches[0];
};
