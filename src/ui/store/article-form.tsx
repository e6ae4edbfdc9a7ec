'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { Dims } from '@/core/family/dims';
import { dimsOfKind } from '@/core/family/dims-of-kind';
import { PART_KIND_NAMES, PART_KINDS, type PartKind, partKind } from '@/core/family/part-kind';
import { dimWords } from '@/core/family/say-dims';
import type { Units } from '@/core/quantity/units';
import type { Article } from '@/core/store/article';
import type { SaveArticle } from '@/core/store/store-doors';
import { LengthField } from '../field/quantity-field';
import { type Ask, useAsk } from '../save/use-ask';

export type ArticleDraft = Omit<Article, 'id' | 'reorderAt'>;
type Item = ArticleDraft['items'][number];
const blank = (kind: PartKind): Item => ({ kind, name: PART_KINDS[kind].label, qty: 1, dims: {} });

/** A kit or sundry as the store is to know it: what it costs, how long it takes, what is in its bag with the dimensions that decide a match. */
export function ArticleForm({
  start,
  known,
  units,
  save,
}: {
  readonly start: ArticleDraft;
  /** It is in the store already: its number stays. */
  readonly known: boolean;
  readonly units: Units;
  readonly save: Ask<SaveArticle>;
}) {
  const [draft, setDraft] = useState(start);
  const [price, setPrice] = useState(String(start.price));
  const [lead, setLead] = useState(start.leadDays === null ? '' : String(start.leadDays));
  const { ask, asking, told } = useAsk();
  const router = useRouter();
  const set = (news: Partial<ArticleDraft>): void => setDraft((d) => ({ ...d, ...news }));
  const setItem = (at: number, news: Partial<Item>): void => set({ items: draft.items.map((i, k) => (k === at ? { ...i, ...news } : i)) });
  const cost = Number(price.replace(',', '.'));
  const ready = draft.number.trim() !== '' && draft.name.trim().length >= 2 && price !== '' && Number.isFinite(cost) && /^\d*$/.test(lead);
  const sundry = draft.type === 'sundry';
  return (
    <form
      className="grid max-w-4xl gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        // A sundry holds itself.
        const items = sundry ? draft.items.slice(0, 1).map((i) => ({ ...i, name: draft.name, qty: 1 })) : draft.items;
        const article = {
          ...draft,
          price: cost,
          leadDays: lead === '' ? null : Number(lead),
          items: items.map((i) => ({ ...i, kind: partKind(i.kind) })),
        };
        void ask(save, { id: uuidv7(), as: known ? 'known' : 'new', article }).then(
          (done) => done !== undefined && router.push(`/kits/${encodeURIComponent(draft.number.trim())}`),
        );
      }}
    >
      <div className="flex flex-wrap gap-3">
        <label className="label mb-0">
          Number
          <input
            className="field w-32 text-ink"
            value={draft.number}
            maxLength={60}
            disabled={known}
            onChange={(e) => set({ number: e.target.value })}
          />
        </label>
        <label className="label mb-0 min-w-56 flex-1">
          Name
          <input className="field text-ink" value={draft.name} maxLength={120} onChange={(e) => set({ name: e.target.value })} />
        </label>
        <label className="label mb-0">
          Price
          <input className="field w-24 text-ink" inputMode="decimal" value={price} onChange={(e) => setPrice(e.target.value)} />
        </label>
        <label className="label mb-0">
          Days to get; empty: not to be had
          <input className="field w-24 text-ink" inputMode="numeric" value={lead} onChange={(e) => setLead(e.target.value)} />
        </label>
      </div>
      <div className="flex flex-wrap gap-3">
        <label className="label mb-0">
          Superseded by
          <input
            className="field w-32 text-ink"
            value={draft.supersededBy ?? ''}
            maxLength={60}
            onChange={(e) => set({ supersededBy: e.target.value === '' ? null : e.target.value })}
          />
        </label>
        <label className="label mb-0 min-w-56 flex-1">
          Note
          <input className="field text-ink" value={draft.note} maxLength={500} onChange={(e) => set({ note: e.target.value })} />
        </label>
      </div>
      <section aria-label="In the bag" className="grid gap-2">
        <h2 className="head">{sundry ? 'WHAT IT IS' : 'IN THE BAG'}</h2>
        {draft.items.map((item, at) => (
          <div key={at} className="flex flex-wrap items-end gap-2 border-b border-hair pb-2">
            <select
              className="field w-40"
              aria-label={`Kind of part ${at + 1}`}
              value={item.kind}
              onChange={(e) => setItem(at, blank(e.target.value as PartKind))}
            >
              {PART_KIND_NAMES.map((k) => (
                <option key={k} value={k}>
                  {PART_KINDS[k].label}
                </option>
              ))}
            </select>
            {!sundry && (
              <>
                <input
                  className="field w-40"
                  aria-label={`Name of part ${at + 1}`}
                  value={item.name}
                  maxLength={80}
                  onChange={(e) => setItem(at, { name: e.target.value })}
                />
                <input
                  type="number"
                  className="field w-18"
                  aria-label={`Pieces of part ${at + 1}`}
                  min={1}
                  max={1000}
                  value={item.qty}
                  onChange={(e) => setItem(at, { qty: Math.max(1, Math.round(Number(e.target.value))) })}
                />
              </>
            )}
            <DimFields
              name={item.name}
              kind={item.kind as PartKind}
              dims={item.dims}
              units={units}
              onSay={(dims) => setItem(at, { dims })}
            />
            {!sundry && draft.items.length > 1 && (
              <button type="button" className="btn-quiet" onClick={() => set({ items: draft.items.filter((_, k) => k !== at) })}>
                Take it out
              </button>
            )}
          </div>
        ))}
        {!sundry && (
          <button type="button" className="btn-quiet w-fit" onClick={() => set({ items: [...draft.items, blank('boot')] })}>
            Another part
          </button>
        )}
      </section>
      {told.map((t) => (
        <p key={t} role="alert" className="border-l-4 border-red pl-3">
          {t}
        </p>
      ))}
      <button type="submit" className="btn w-fit" disabled={!ready || asking}>
        {known ? 'Save the change' : 'Put it in the store'}
      </button>
    </form>
  );
}

function DimFields({
  name,
  kind,
  dims,
  units,
  onSay,
}: {
  readonly name: string;
  readonly kind: PartKind;
  readonly dims: Dims;
  readonly units: Units;
  readonly onSay: (dims: Dims) => void;
}) {
  const say = (dim: string, value: number | string | null): void =>
    onSay(Object.fromEntries(Object.entries({ ...dims, [dim]: value }).filter(([, v]) => v !== null)));
  return dimsOfKind(kind).map((d) => {
    const value = dims[d];
    return d.endsWith('Mm') ? (
      <LengthField
        key={d}
        label={`${dimWords(d)}, ${units.length}`}
        className="w-28"
        fine={d === 'boreMm'}
        value={typeof value === 'number' ? value : null}
        units={units}
        onSay={(mm) => say(d, mm)}
      />
    ) : (
      <label key={d} className="label mb-0">
        {d}
        <input
          className="field w-28 text-ink"
          aria-label={`${d} of the ${name}`}
          value={typeof value === 'string' ? value : ''}
          maxLength={40}
          onChange={(e) => say(d, e.target.value === '' ? null : e.target.value)}
        />
      </label>
    );
  });
}
