'use client';

import { makeQuoteAction } from '@/app/actions/quote';
import { capital } from '@/core/capital';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';

type Values = { readonly options: readonly string[]; readonly words: string; readonly validUntil: number | null };
const { Moment, Several, Text } = fieldsOf<Values>();

/** Makes a quote of some of a unit's options, in the shop's words. @param replaces whether one stands that it takes the place of */
export function MakeQuote({
  offers,
  start,
  replaces,
}: {
  readonly offers: readonly { readonly id: string; readonly words: string; readonly total: number; readonly said: string }[];
  readonly start: Values;
  readonly replaces: boolean;
}) {
  const making = useUnitForm(makeQuoteAction, start, ({ options, words, validUntil }) => ({
    options: offers.filter((o) => options.includes(o.id)).map(({ id, total }) => ({ id, total })),
    words,
    validUntil,
  }));
  return (
    <ActionFormFrame of={making} submit={replaces ? 'Send a new quote in its place' : 'Send the quote'} className="grid gap-3">
      <Several
        name="options"
        label="What is offered"
        options={offers.map((o) => o.id)}
        say={Object.fromEntries(offers.map((o) => [o.id, `${capital(o.words)}, ${o.said}`]))}
      />
      <Text name="words" label="Words to the customer" rows={4} maxLength={2000} />
      <Moment name="validUntil" label="It holds until" hour={18} />
    </ActionFormFrame>
  );
}
