'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useSyncExternalStore } from 'react';
import { openShopAction } from '@/app/actions/open';
import { pinAsked } from '@/core/people/pin';
import type { ShopSettings } from '@/core/shop/settings';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { Part, SettingsFields } from './settings-fields';

type Opening = {
  readonly key: string;
  readonly settings: ShopSettings;
  readonly owner: { readonly name: string; readonly passcode: string; readonly again: string };
};
const { Text } = fieldsOf<Opening>();

/** The key stands behind the # of the address that was printed: no server's log and no proxy ever sees it. */
const keyInAddress = (): string => window.location.hash.slice(1);
const never = (): (() => void) => () => undefined;

/** Opens the shop: everything that it needs to be told before the first unit, on one page. */
export function OpenForm({ start, times }: { readonly start: ShopSettings; readonly times: readonly string[] }) {
  const router = useRouter();
  const key = useSyncExternalStore(never, keyInAddress, () => undefined);
  const saving = useAskForm(
    openShopAction,
    { key: '', settings: start, owner: { name: '', passcode: '', again: '' } } as Opening,
    (values) => ({ ...values, key: keyInAddress() }),
    () => router.replace('/shop/begin'),
  );
  const { form } = saving;
  // The browser knows where the shop is; a server may stand elsewhere.
  useEffect(() => form.resetField('settings.timeZone', { defaultValue: Intl.DateTimeFormat().resolvedOptions().timeZone }), [form]);
  if (key === '')
    return (
      <p role="alert" className="border border-line bg-sheet p-3">
        This page opens with the whole address that was printed where the program was started: it ends in # and a key. Copy all of it.
      </p>
    );
  return (
    <ActionFormFrame of={saving} submit={saving.busy ? 'Opening the shop' : 'Open the shop'} className="grid gap-4">
      <SettingsFields times={times} opening />
      <Part title="You, the owner" note="You add all others afterwards. Nobody can read your passcode again, not even you.">
        <div className="flex flex-wrap gap-3">
          <Text name="owner.name" label="Your name" className="w-64" maxLength={60} />
          <Text name="owner.passcode" label={`Passcode: ${pinAsked('owner')}`} className="w-72" maxLength={64} type="password" />
          <Text name="owner.again" label="The same again" className="w-56" maxLength={64} type="password" />
        </div>
      </Part>
      <p className="text-[13px] text-ink2">
        Rules, schools of judgement, families and proof programmes stand as delivered; see them under Rules before the first unit is
        released. Everything here can be changed afterwards under Shop.
      </p>
    </ActionFormFrame>
  );
}
