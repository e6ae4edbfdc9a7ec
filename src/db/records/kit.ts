import { MeasuredSchema } from '@/core/identify/identify-schema';
import type { Identity } from '@/core/identify/identity';
import { BagItems, Findings, Kept } from '@/core/kit/bag-schema';
import type { SetAside } from '@/core/kit/set-aside';
import { stored } from '@/core/schema/stored';
import type { bags, identities } from '../tables';

const [Items, Found, Taken, Measured] = [stored(BagItems), stored(Findings), stored(Kept), stored(MeasuredSchema)];

export const toSetAside = ({ unitId: _, ...bag }: typeof bags.$inferSelect): SetAside => ({
  ...bag,
  items: Items.parse(bag.items),
  findings: Found.parse(bag.findings),
  kept: Taken.parse(bag.kept),
  spoilt: Taken.parse(bag.spoilt),
});
export const toIdentity = ({ unitId: _, ...i }: typeof identities.$inferSelect): Identity => ({
  ...i,
  measured: Measured.parse(i.measured),
});
