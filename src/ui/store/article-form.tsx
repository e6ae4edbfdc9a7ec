'use client';

import { useRouter } from 'next/navigation';
import { useFieldArray, useWatch } from 'react-hook-form';
import { uuidv7 } from 'uuidv7';
import { saveArticleAction } from '@/app/actions/store';
import { dimsOfKind } from '@/core/family/dims-of-kind';
import { PART_KIND_NAMES, PART_KINDS, type PartKind, partKind } from '@/core/family/part-kind';
import { dimWords } from '@/core/family/say-dims';
import type { Article } from '@/core/store/article';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { useUnits } from '../shell/units-context';

export type ArticleDraft = Omit<Article, 'id' | 'reorderAt'>;
const blank = (kind: PartKind): ArticleDraft['items'][number] => ({ kind, name: PART_KINDS[kind].label, qty: 1, dims: {} });
const { Text, Amount, Select, Length } = fieldsOf<ArticleDraft>();
const KINDS = PART_KIND_NAMES.map((k) => ({ value: k, text: PART_KINDS[k].label }));

/** A kit or sundry as the store is to know it: what it costs, how long it takes, what is in its bag with the dimensions that decide a match. */
export function ArticleForm({
  start,
  known,
}: {
  readonly start: ArticleDraft;
  /** It is in the store already: its number stays. */
  readonly known: boolean;
}) {
  const router = useRouter();
  const sundry = start.type === 'sundry';
  const saving = useAskForm(
    saveArticleAction,
    start,
    ({ items, ...article }) => ({
      id: uuidv7(),
      as: known ? ('known' as const) : ('new' as const),
      article: { ...article, ...sent(article, items) },
    }),
    () => router.push(`/kits/${encodeURIComponent(saving.form.getValues('number').trim())}`),
  );
  const { control, setValue } = saving.form;
  const { fields, append, remove } = useFieldArray({ control, name: 'items' });
  return (
    <ActionFormFrame of={saving} submit={known ? 'Save the change' : 'Put it in the store'} className="grid max-w-4xl gap-4">
      <div className="flex flex-wrap gap-3">
        <Text name="number" label="Number" className="w-32" maxLength={60} disabled={known} />
        <Text name="name" label="Name" className="min-w-56 flex-1" maxLength={120} />
        <Amount name="price" label="Price" className="w-24" above={-1} />
        <Amount name="leadDays" label="Days to get; empty: not to be had" className="w-40" above={-1} />
      </div>
      <div className="flex flex-wrap gap-3">
        <Text name="supersededBy" label="Superseded by" className="w-32" maxLength={60} />
        <Text name="note" label="Note" className="min-w-56 flex-1" maxLength={500} />
      </div>
      <section aria-label="In the bag" className="grid gap-2">
        <h2 className="head">{sundry ? 'WHAT IT IS' : 'IN THE BAG'}</h2>
        {fields.map((field, at) => (
          <div key={field.id} className="flex flex-wrap items-end gap-2 border-b border-hair pb-2">
            <Select
              name={`items.${at}.kind`}
              label={`Kind of part ${at + 1}`}
              hideLabel
              className="w-40"
              options={KINDS}
              then={(kind) => setValue(`items.${at}`, blank(kind as PartKind))}
            />
            {!sundry && (
              <>
                <Text name={`items.${at}.name`} label={`Name of part ${at + 1}`} hideLabel className="w-40" maxLength={80} />
                <Amount name={`items.${at}.qty`} label={`Pieces of part ${at + 1}`} className="w-18" />
              </>
            )}
            <DimFields at={at} control={control} />
            {!sundry && fields.length > 1 && (
              <button type="button" className="btn-quiet" onClick={() => remove(at)}>
                Take it out
              </button>
            )}
          </div>
        ))}
        {!sundry && (
          <button type="button" className="btn-quiet w-fit" onClick={() => append(blank('boot'))}>
            Another part
          </button>
        )}
      </section>
    </ActionFormFrame>
  );
}

/** A form's empty fields are nothing known; a sundry holds itself. */
const sent = (article: Omit<ArticleDraft, 'items'>, items: ArticleDraft['items']) => ({
  supersededBy: article.supersededBy === '' ? null : article.supersededBy,
  items: (article.type === 'sundry' ? items.slice(0, 1).map((i) => ({ ...i, name: article.name, qty: 1 })) : items).map((i) => ({
    ...i,
    kind: partKind(i.kind),
    dims: Object.fromEntries(Object.entries(i.dims).filter(([, v]) => v !== null && v !== '')),
  })),
});

/** The dimensions that tell parts of a kind apart. */
function DimFields({
  at,
  control,
}: {
  readonly at: number;
  readonly control: ReturnType<typeof useAskForm<ArticleDraft, never, never>>['form']['control'];
}) {
  const units = useUnits();
  const { kind, name } = useWatch({ control, name: `items.${at}` });
  return dimsOfKind(kind as PartKind).map((d) =>
    d.endsWith('Mm') ? (
      <Length key={d} name={`items.${at}.dims.${d}`} label={`${dimWords(d)}, ${units.length}`} className="w-28" fine={d === 'boreMm'} />
    ) : (
      <Text key={d} name={`items.${at}.dims.${d}`} label={`${d} of the ${name}`} className="w-28" maxLength={40} />
    ),
  );
}
