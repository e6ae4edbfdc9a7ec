'use server';

import { z } from 'zod';
import { fail, ok } from '@/core/result';
import { Version } from '@/core/schema/when';
import { ShopSettings } from '@/core/shop/settings';
import { type SettingsError, saveSettings } from '@/db/shop/settings';
import { act } from '../_server/act';

const SaveShop = z.object({ after: Version, settings: ShopSettings });

/** Saves what an owner set of the shop, as a new version. */
export const saveShopAction = act('shop', SaveShop, async ({ after, settings }, { db, person, now }) => {
  const saved = await saveSettings(db, { personId: person.id, at: now }, after, settings);
  return saved.ok ? ok(saved.value) : fail({ code: 'refused', reasons: [sayWhy(saved.error)] });
});

const sayWhy = (e: SettingsError): string => {
  switch (e.code) {
    case 'changed-meanwhile':
      return 'Somebody changed the shop meanwhile: load the page again and enter yours on top of it.';
    case 'still-used':
      return `${e.branch} stays: ${e.units} units, ${e.people} people and ${e.gauges} gauges are there or on their way. Send them elsewhere first.`;
  }
};
