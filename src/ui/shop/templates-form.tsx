'use client';

import { useRouter } from 'next/navigation';
import { saveShopAction } from '@/app/actions/shop';
import { fill, PLACES, TEMPLATE_NAMES, TEMPLATES } from '@/core/message/template';
import type { ShopSettings } from '@/core/shop/settings';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';

type Values = { readonly settings: ShopSettings };
const { Text } = fieldsOf<Values>();

/** Each of the shop's texts with how it reads to a customer. */
export function TemplatesForm({
  version,
  settings,
  open,
}: {
  readonly version: number;
  readonly settings: ShopSettings;
  readonly open: boolean;
}) {
  const router = useRouter();
  const saving = useAskForm(
    saveShopAction,
    { settings } as Values,
    (values) => ({ after: version, ...values }),
    () => router.refresh(),
  );
  const now = saving.form.watch('settings.templates');
  const example = settings.name === '' ? PLACES : { ...PLACES, shop: settings.name };
  return (
    <ActionFormFrame of={saving} submit={open ? 'Save the words' : null} className="grid gap-5">
      <fieldset disabled={!open} className="contents">
        {TEMPLATE_NAMES.map((name) => (
          <section key={name} className="grid items-start gap-x-6 gap-y-2 lg:grid-cols-2" aria-label={TEMPLATES[name].label}>
            <div>
              <Text name={`settings.templates.${name}`} label={TEMPLATES[name].label} rows={5} maxLength={2000} />
              <p className="text-[13px] text-ink2">May have: {TEMPLATES[name].places.map((p) => `{${p}}`).join(' ')}</p>
            </div>
            <div>
              <p className="label">How it reads</p>
              <p className="border border-hair bg-sheet px-3 py-2 whitespace-pre-line">{fill(now[name], example)}</p>
            </div>
          </section>
        ))}
      </fieldset>
    </ActionFormFrame>
  );
}
