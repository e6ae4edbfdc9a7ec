'use client';

import { createContext, type ReactNode, useContext, useEffect, useRef, useState } from 'react';
import { type FieldErrors, type FieldValues, FormProvider, useFormState } from 'react-hook-form';
import { sayProblem } from '@/core/schema/say-problem';
import { SaveNote } from '../save/save-note';
import { Told } from '../save/told';
import type { Decide, Saving } from '../save/use-save';
import type { ActionForm } from './use-action-form';

/** Fields that stand on the form: what is wrong with them is said there, all else below the form. */
const Shown = createContext<{ readonly add: (name: string) => () => void } | undefined>(undefined);
export const useShown = (name: string): void => {
  const shown = useContext(Shown);
  useEffect(() => shown?.add(name), [shown, name]);
};

/** A form that a schema judges, its way to send it, and what stood in the way. */
export function ActionFormFrame<F extends FieldValues>({
  of,
  submit,
  may = true,
  quiet = false,
  className = 'grid gap-3',
  children,
  beside,
  bar,
}: {
  readonly of: ActionForm<F> & { readonly saving?: Saving; readonly decide?: Decide };
  /** What its button says; null: it is only read. */
  readonly submit: string | null;
  readonly may?: boolean;
  readonly quiet?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
  /** Other buttons. */
  readonly beside?: ReactNode;
  /** Of a long form: what stands before its buttons, all in a bar that stays in sight. */
  readonly bar?: ReactNode;
}) {
  const names = useRef(new Set<string>());
  const [shown] = useState(() => ({
    add: (name: string) => {
      names.current.add(name);
      return () => void names.current.delete(name);
    },
  }));
  return (
    <FormProvider {...of.form}>
      <Shown value={shown}>
        <form
          noValidate
          className={className}
          onSubmit={(e) => {
            e.preventDefault();
            void of.submit();
          }}
        >
          {children}
          {submit !== null && (
            <div className={bar === undefined ? 'grid gap-3' : 'sticky bottom-0 mt-3 grid gap-2 border-t border-line bg-ground py-2'}>
              {bar}
              <div className="flex flex-wrap items-end gap-2">
                <button type="submit" className={`${quiet ? 'btn-quiet' : 'btn'} w-fit`} disabled={!may || of.busy}>
                  {submit}
                </button>
                {beside}
              </div>
              <Elsewhere names={names.current} told={of.told} />
            </div>
          )}
          {of.saving !== undefined && of.decide !== undefined && <SaveNote saving={atFields(of.saving)} onDecide={of.decide} />}
        </form>
      </Shown>
    </FormProvider>
  );
}

/** Faults are said at their fields. */
const atFields = (saving: Saving): Saving => (saving.kind === 'failed' && saving.error.code === 'invalid' ? { kind: 'idle' } : saving);

/** What is wrong with nothing that stands on the form. */
function Elsewhere({ names, told }: { readonly names: ReadonlySet<string>; readonly told: readonly string[] }) {
  const { errors } = useFormState();
  const lines = [
    ...told,
    ...messagesIn(errors).flatMap(([name, message]) =>
      names.has(name) ? [] : [sayProblem({ path: name === 'root' ? '' : name, message })],
    ),
  ];
  return <Told lines={lines} />;
}

const messagesIn = (errors: FieldErrors, before = ''): readonly (readonly [string, string])[] =>
  Object.entries(errors).flatMap(([key, value]) => {
    if (value === undefined || value === null || typeof value !== 'object') return [];
    const name = before === '' ? key : `${before}.${key}`;
    return typeof value.message === 'string' ? [[name, value.message] as const] : messagesIn(value as FieldErrors, name);
  });
