'use client';

import { type ComponentProps, type ComponentType, type ReactNode, useState } from 'react';
import { type FieldPath, type FieldValues, useController, useFormContext } from 'react-hook-form';
import { capital } from '@/core/capital';
import { plain } from '@/core/quantity/figure';
import { Choices } from '../field/choices';
import { DayField } from '../field/day-field';
import { MomentField } from '../field/moment-field';
import { CountField, LengthField, NumberField, PressureField, TemperatureField } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';
import { useShown } from './action-form';

/** What is wrong with a field, under it. */
function Fault({ name }: { readonly name: string }) {
  const { getFieldState, formState } = useFormContext();
  const { error } = getFieldState(name, formState);
  useShown(name);
  return error === undefined ? null : (
    <p role="alert" className="text-[12px] text-red">
      {sentence(error.message ?? '')}
    </p>
  );
}
const sentence = (text: string): string => `${capital(text)}${/[.?!]$/.test(text) ? '' : '.'}`;

/** What the form gives to every field. */
type Given = 'value' | 'onSay' | 'inputRef' | 'name' | 'invalid';

/** A field bound to its name in the form. @param then what else follows from what it says */
const bound = <P extends object>(Inner: ComponentType<P>) =>
  function Bound({ name, then, ...props }: Omit<P, Given> & { readonly name: string; readonly then?: (value: never) => void }) {
    const { field, fieldState } = useController({ name });
    const onSay = (value: never): void => {
      field.onChange(value);
      then?.(value);
    };
    // What was taken out of its properties is put back: that makes them whole again.
    const { className, ...rest } = props as { readonly className?: string };
    const own = className === undefined ? {} : { className: '' };
    const whole = {
      ...rest,
      ...own,
      name,
      value: field.value ?? null,
      onSay,
      inputRef: field.ref,
      invalid: fieldState.invalid,
    } as unknown as P;
    return (
      <div className={className}>
        <Inner {...whole} />
        <Fault name={name} />
      </div>
    );
  };

function Check({ name, label, className = '' }: { readonly name: string; readonly label: string; readonly className?: string }) {
  const { register } = useFormContext();
  return (
    <label className={`flex min-h-[44px] items-center gap-2 ${className}`}>
      <input type="checkbox" className="size-5 accent-act" {...register(name)} />
      {label}
    </label>
  );
}

/** A number in a cell of a table; while it is typed it stands as it was typed. */
function Cell({
  name,
  label,
  className,
  ...rest
}: {
  readonly name: string;
  readonly label: string;
  readonly className: string;
  readonly placeholder?: string;
  readonly disabled: boolean;
}) {
  const { field, fieldState } = useController({ name });
  const [typed, setTyped] = useState<string>();
  const held: unknown = field.value;
  return (
    <>
      <input
        ref={field.ref}
        aria-invalid={fieldState.invalid}
        className={`min-h-9 border border-line bg-sheet px-1 text-right disabled:border-transparent ${className}`}
        inputMode="decimal"
        aria-label={label}
        value={typed ?? (typeof held === 'number' ? plain(held) : String(held ?? ''))}
        onChange={(e) => {
          setTyped(e.target.value);
          field.onChange(numberIn(e.target.value));
        }}
        onBlur={() => {
          setTyped(undefined);
          field.onBlur();
        }}
        {...rest}
      />
      <Fault name={name} />
    </>
  );
}

/** What such a cell says: nothing is "not set"; what is no number is sent as it is, and refused at its place. */
const numberIn = (typed: string): number | string | null => {
  const text = typed.trim().replace(',', '.');
  return text === '' ? null : Number.isFinite(Number(text)) ? Number(text) : typed;
};

/** One of a few, as buttons. */
function Choice({ name, ...props }: Omit<ComponentProps<typeof Choices>, 'value' | 'onPick'> & { readonly name: string }) {
  const { field } = useController({ name });
  return (
    <div>
      <Choices {...props} value={field.value} onPick={field.onChange} />
      <Fault name={name} />
    </div>
  );
}

/** Any of some words, as buttons that stay pressed. */
function Several({
  name,
  label,
  options,
  say,
}: {
  readonly name: string;
  readonly label: string;
  readonly options: readonly string[];
  readonly say: { readonly [value: string]: string };
}) {
  const { field } = useController({ name });
  const chosen = field.value as readonly string[];
  return (
    <fieldset>
      <legend className="label">{label}</legend>
      <div className="flex flex-wrap gap-1.5">
        {options.map((o) => {
          const on = chosen.includes(o);
          return (
            <button
              key={o}
              type="button"
              aria-pressed={on}
              onClick={() => field.onChange(on ? chosen.filter((x) => x !== o) : [...chosen, o])}
              className={`min-h-[44px] border px-2.5 ${on ? 'border-act bg-tint2 font-bold text-act' : 'border-line bg-sheet'}`}
            >
              {say[o]}
            </button>
          );
        })}
      </div>
      <Fault name={name} />
    </fieldset>
  );
}

const FIELDS = {
  Text: bound(TextField),
  Select: bound(SelectField<string | number>),
  Cell,
  Check,
  Choice,
  Several,
  Amount: bound(NumberField),
  Count: bound(CountField),
  Length: bound(LengthField),
  Pressure: bound(PressureField),
  Temperature: bound(TemperatureField),
  Moment: bound(MomentField),
  Day: bound(DayField),
};
type Fields<F extends FieldValues> = {
  readonly [K in keyof typeof FIELDS]: (
    props: Omit<Parameters<(typeof FIELDS)[K]>[0], 'name'> & { readonly name: FieldPath<F> },
  ) => ReactNode;
};

/** The fields of a form, whose names are those of its values. */
export const fieldsOf = <F extends FieldValues>(): Fields<F> => FIELDS;
