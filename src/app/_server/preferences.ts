import { cookies } from 'next/headers';
import { IMPERIAL, METRIC, type Units } from '@/core/quantity/units';
import { unitsOfShop } from '@/core/shop/settings';
import type { Station } from '@/core/station';
import { shopNow } from './shop-now';

/** The person's units at this bench: the shop's until they switch with `u`. */
export const unitsOf = async (): Promise<Units> => {
  const chosen = (await cookies()).get('units')?.value;
  return chosen === undefined ? unitsOfShop((await shopNow()).settings) : chosen === 'imperial' ? IMPERIAL : METRIC;
};

/**
 * Stations whose own work shows all of the unit that it needs: there its head takes one line, unless the person opens it. At Strip, Hone,
 * Close up and Prove the drawing is part of the work: where a part lies, where the stones stop, whose turn it is, where to look.
 */
const WORK_FILLS: readonly Station[] = ['clean', 'gauge', 'judge', 'sleeve', 'kit', 'set'];

/** How much of a unit's head is shown: as the person left it at this bench, else as suits the station. */
export const headAt = async (station: Station): Promise<'open' | 'folded'> => {
  const chosen = (await cookies()).get('head')?.value;
  return chosen === 'open' || chosen === 'folded' ? chosen : WORK_FILLS.includes(station) ? 'folded' : 'open';
};
