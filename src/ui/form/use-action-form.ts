'use client';

import { useState } from 'react';
import { type DefaultValues, type FieldValues, type Path, type UseFormReturn, useForm } from 'react-hook-form';
import type { Result } from '@/core/result';
import { type SaveError, saySaveError } from '@/core/unit/save-error';
import { type Ask, NO_LINE, sendOnce } from '../save/use-ask';
import { useSave } from '../save/use-save';
import type { Payload, SaveAction } from '../unit/unit-actions';

/** A form, what sends it, and how that stands. */
export type ActionForm<F extends FieldValues> = {
  readonly form: UseFormReturn<F>;
  readonly submit: () => Promise<void>;
  readonly busy: boolean;
  /** What stood in the way and is no field's fault. */
  readonly told: readonly string[];
};

/**
 * A form whose values go to a schema of the server, which says what is wrong: each fault stands at the field that it is about. Nothing is judged twice.
 * @param send sends the values; undefined where no answer came
 */
function useActionForm<F extends FieldValues, T>(
  start: F,
  send: (values: F) => Promise<Result<T, SaveError> | undefined>,
  done?: (value: T) => void,
) {
  const form = useForm<F>({ defaultValues: start as DefaultValues<F> });
  const submit = form.handleSubmit(async (values) => {
    const result = await send(values);
    if (result?.ok) return done?.(result.value);
    if (result?.error.code !== 'invalid') return;
    for (const [i, p] of result.error.problems.entries())
      form.setError(fieldName(p.path) as Path<F>, { message: p.message }, { shouldFocus: i === 0 });
  });
  return { form, submit: () => submit() };
}

/** A form names `items[0].name` as `items.0.name`; what is about the whole is the form's own. */
const fieldName = (path: string): string => (path === '' ? 'root' : path.replace(/\[(\d+)\]/g, '.$1'));

/** A form that changes the unit of the page. @param toSend what goes to the schema; `kind` as of `useSave` */
export function useUnitForm<F extends FieldValues, I>(
  action: SaveAction<I>,
  start: F,
  toSend: (values: F) => Payload<I>,
  { kind = 'rests', done }: { readonly kind?: 'rests' | 'adds'; readonly done?: (form: UseFormReturn<F>) => void } = {},
) {
  const { save, saving, decide } = useSave(action, kind);
  const { form, submit } = useActionForm(
    start,
    (values) => save(toSend(values)),
    () => done?.(form),
  );
  return { form, submit, busy: saving.kind === 'saving', told: [], saving, decide };
}

/** A form about anything else. @param done gets what the server answered, and what was sent */
export function useAskForm<F extends FieldValues, I, T>(
  action: Ask<I, T>,
  start: F,
  toSend: (values: F) => I,
  done?: (answer: T) => void,
): ActionForm<F> {
  const [told, setTold] = useState<readonly string[]>([]);
  const { form, submit } = useActionForm(
    start,
    async (values) => {
      const result = await sendOnce(action, toSend(values));
      const atFields = result?.ok === false && result.error.code === 'invalid';
      setTold(result === undefined ? [NO_LINE] : result.ok || atFields ? [] : saySaveError(result.error));
      return result;
    },
    done,
  );
  return { form, submit, busy: form.formState.isSubmitting, told };
}
