import { beforeAll, expect, test, vi } from 'vitest';
import { pinAction } from '@/app/actions/day';
import type { Person } from '@/core/people/role';
import { saySaveError } from '@/core/unit/save-error';
import { openPins } from '@/db/plan/pins';
import { openShop, PEOPLE, type Shop } from '../server/shop';

vi.mock('next/headers', () => ({ headers: async () => new Headers(), cookies: async () => ({ set: () => undefined }) }));
vi.mock('next/cache', () => ({ revalidatePath: () => undefined }));
vi.mock('@/app/_server/who', () => ({ currentPerson: async () => PEOPLE.lead satisfies Person }));

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const pinTo = async (unitId: string, personId: string): Promise<readonly string[]> => {
  const result = await pinAction({ kind: 'person', unitId, personId, why: 'knows the machine' });
  return result.ok ? [] : saySaveError(result.error);
};

test('a unit is pinned to somebody who does some of its work, and to nobody else', async () => {
  const unitId = await shop.at('prove');
  expect(await pinTo(unitId, PEOPLE.counter.id)).toEqual([
    expect.stringMatching(/^.+ does nothing of what [A-Z]{2}-\d{4} has ahead of it: choose somebody else\.$/),
  ]);
  expect(await pinTo(unitId, 'nobody')).toEqual([expect.stringContaining('does not work here')]);
  expect(await openPins(shop.db)).toEqual([]);
  expect(await pinTo(unitId, PEOPLE.tech.id)).toEqual([]);
  expect(await openPins(shop.db)).toMatchObject([{ unitId, kind: 'person', personId: PEOPLE.tech.id }]);
});
