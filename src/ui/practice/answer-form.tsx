'use client';

import { type FormEvent, type ReactNode, useState } from 'react';
import type { Answer, Form } from '@/core/practice/exercise';
import { NumberField } from '../field/quantity-field';
import { SelectField } from '../field/select-field';

type Props<F extends Form> = { readonly form: F; readonly busy: boolean; readonly onAnswer: (answer: Answer) => void };
type Of<K extends Form['kind']> = Props<Extract<Form, { readonly kind: K }>>;

/** How an exercise is answered: by keyboard, by touch, and without colour. */
export function AnswerForm({ form, ...rest }: Props<Form>) {
  switch (form.kind) {
    case 'choose':
      return <Choose form={form} {...rest} />;
    case 'number':
      return <Figure form={form} {...rest} />;
    case 'order':
      return <Order form={form} {...rest} />;
    case 'match':
      return <Match form={form} {...rest} />;
    case 'pick':
      return <Pick form={form} {...rest} />;
  }
}

/** A form with its one button. */
const Sent = ({
  ready,
  busy,
  onSend,
  children,
}: {
  readonly ready: boolean;
  readonly busy: boolean;
  readonly onSend: () => void;
  readonly children: ReactNode;
}) => (
  <form
    className="grid gap-3"
    onSubmit={(e: FormEvent) => {
      e.preventDefault();
      if (ready && !busy) onSend();
    }}
  >
    {children}
    <button type="submit" className="btn w-fit" disabled={!ready || busy}>
      That is it
    </button>
  </form>
);

function Choose({ form, busy, onAnswer }: Of<'choose'>) {
  return (
    <div className="grid max-w-2xl gap-2">
      {form.options.map((o, i) => (
        <button key={o} type="button" className="btn-quiet justify-start py-2 text-left" disabled={busy} onClick={() => onAnswer(i)}>
          {o}
        </button>
      ))}
    </div>
  );
}

function Figure({ form, busy, onAnswer }: Of<'number'>) {
  const [value, setValue] = useState<number | null>(null);
  return (
    <Sent ready={value !== null} busy={busy} onSend={() => onAnswer(value as number)}>
      <NumberField label={`Your figure, ${form.unit}`} above={-1e6} autoFocus value={value} onSay={setValue} />
    </Sent>
  );
}

function Order({ form, busy, onAnswer }: Of<'order'>) {
  const [order, setOrder] = useState<readonly number[]>([]);
  const toggle = (i: number): void => setOrder((o) => (o.includes(i) ? o.filter((x) => x !== i) : [...o, i]));
  return (
    <Sent ready={order.length === form.items.length} busy={busy} onSend={() => onAnswer(order)}>
      <p className="text-ink2">Press them one after the other; pressed again, one is taken out.</p>
      <div className="flex max-w-2xl flex-wrap gap-2">
        {form.items.map((item, i) => {
          const at = order.indexOf(i);
          return (
            <button
              key={item}
              type="button"
              aria-pressed={at >= 0}
              className={`btn-quiet ${at >= 0 ? 'bg-tint2' : ''}`}
              onClick={() => toggle(i)}
            >
              {at >= 0 && <b className="border border-act px-1.5">{at + 1}</b>} {item}
            </button>
          );
        })}
      </div>
    </Sent>
  );
}

function Match({ form, busy, onAnswer }: Of<'match'>) {
  const [chosen, setChosen] = useState<readonly (number | null)[]>(form.items.map(() => null));
  return (
    <Sent ready={chosen.every((c) => c !== null)} busy={busy} onSend={() => onAnswer(chosen.map((c) => c ?? 0))}>
      <div className="flex max-w-3xl flex-wrap gap-3">
        {form.items.map((item, i) => (
          <SelectField
            key={item}
            label={item}
            className="w-60"
            value={chosen[i]}
            none="…"
            options={form.options.map((text, value) => ({ value, text }))}
            onSay={(value) => setChosen((all) => all.map((c, n) => (n === i ? value : c)))}
          />
        ))}
      </div>
    </Sent>
  );
}

function Pick({ form, busy, onAnswer }: Of<'pick'>) {
  const [picked, setPicked] = useState<readonly number[]>([]);
  return (
    <Sent ready busy={busy} onSend={() => onAnswer([...picked].sort((a, b) => a - b))}>
      {form.items.map((item, i) => (
        <label key={item} className="flex min-h-[44px] w-fit items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={picked.includes(i)}
            onChange={(e) => setPicked((all) => (e.target.checked ? [...all, i] : all.filter((x) => x !== i)))}
          />
          {item}
        </label>
      ))}
    </Sent>
  );
}
