import { z } from 'zod';
import { text } from '../schema/text';
import { ShopSettings } from '../shop/settings';
import { LONGEST_PASSCODE, pinFault } from './pin';

/** What opens a shop: how it is set, and its first owner. */
export const OpenShop = z
  .object({
    key: z.string().max(200),
    settings: ShopSettings,
    owner: z.object({
      name: text().trim().min(2, 'what are you called?').max(60),
      passcode: z.string().max(LONGEST_PASSCODE + 1),
      again: z.string().max(LONGEST_PASSCODE + 1),
    }),
  })
  .superRefine(({ settings, owner }, context) => {
    const why = pinFault(owner.passcode, 'owner', {
      names: [settings.name, owner.name],
      numbers: [settings.telephone, String(settings.nextTag)],
    });
    if (why !== undefined) context.addIssue({ code: 'custom', path: ['owner', 'passcode'], message: why });
    if (owner.passcode !== owner.again) context.addIssue({ code: 'custom', path: ['owner', 'again'], message: 'is not the same as above' });
  });
