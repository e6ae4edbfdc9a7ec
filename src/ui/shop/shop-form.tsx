'use client';

import { saveShopAction } from '@/app/actions/shop';
import type { ShopSettings } from '@/core/shop/settings';
import { ActionFormFrame } from '../form/action-form';
import { useAskForm } from '../form/use-action-form';
import { SettingsFields } from './settings-fields';

/** The shop as it is set, for its owner to change. */
export function ShopForm({
  version,
  settings,
  times,
  open,
}: {
  readonly version: number;
  readonly settings: ShopSettings;
  readonly times: readonly string[];
  readonly open: boolean;
}) {
  const saving = useAskForm(
    saveShopAction,
    { settings },
    (values) => ({ after: version, ...values }),
    // Letters of tags and the clock are others for every part of every page: it is loaded whole.
    (answer) => window.location.assign(`/shop?saved=${answer.version}`),
  );
  return (
    <ActionFormFrame of={saving} submit={open ? 'Save the shop' : null} className="grid gap-4" bar={<p className="sr-only">Owner</p>}>
      <fieldset disabled={!open} className="contents">
        <SettingsFields times={times} />
      </fieldset>
    </ActionFormFrame>
  );
}
