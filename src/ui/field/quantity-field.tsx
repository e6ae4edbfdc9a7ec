'use client';

import { useId, useState } from 'react';
import {
  parseAngle,
  parseDepth,
  parseForce,
  parseLength,
  parsePressure,
  parseTemperature,
  type QuantityError,
  sayQuantityError,
} from '@/core/quantity/parse';
import { pressureIn, sayDia, sayLength, tempIn } from '@/core/quantity/say';
import { N_PER_LBF, type Units } from '@/core/quantity/units';
import type { Result } from '@/core/result';

/** How a kind of quantity is read and shown; its values are in the stored unit. */
type Quantity = {
  readonly parse: (text: string) => Result<number, QuantityError>;
  readonly show: (value: number) => string;
  readonly unit: string;
};

type FieldProps = {
  readonly label: string;
  readonly value: number | null;
  readonly onSay: (value: number | null) => void;
  readonly className?: string;
  readonly hideLabel?: boolean;
  readonly hint?: string;
  readonly disabled?: boolean;
  /** When the value is said: with every keystroke, or once the field is left or Enter is pressed. */
  readonly say?: 'typing' | 'done';
  readonly autoFocus?: boolean;
};

/** A length in mm that takes mm, inches or fractions. @param fine to 0.001 mm, for diameters */
export const LengthField = ({ units, fine = false, ...rest }: FieldProps & { readonly units: Units; readonly fine?: boolean }) => (
  <QuantityField
    {...rest}
    quantity={{
      parse: (text) => parseLength(text, units.length),
      show: (mm) => (fine ? sayDia(mm, units) : sayLength(mm, units)),
      unit: units.length,
    }}
  />
);

/** A pressure in bar that takes bar, psi or MPa. */
export const PressureField = ({ units, decimals = 0, ...rest }: FieldProps & { readonly units: Units; readonly decimals?: number }) => (
  <QuantityField
    {...rest}
    quantity={{
      parse: (text) => parsePressure(text, units.pressure),
      show: (bar) => pressureIn(bar, units).toFixed(decimals),
      unit: units.pressure,
    }}
  />
);

/** A force in N that takes N or pounds. */
export const ForceField = ({ units, ...rest }: FieldProps & { readonly units: Units }) => (
  <QuantityField
    {...rest}
    quantity={{
      parse: (text) => parseForce(text, units.force),
      show: (n) => String(Number((units.force === 'N' ? n : n / N_PER_LBF).toFixed(1))),
      unit: units.force,
    }}
  />
);

/** A temperature in °C that takes °C or °F. */
export const TemperatureField = ({ units, ...rest }: FieldProps & { readonly units: Units }) => (
  <QuantityField
    {...rest}
    quantity={{
      parse: (text) => parseTemperature(text, units.temperature),
      show: (c) => String(Number(tempIn(c, units).toFixed(1))),
      unit: `°${units.temperature}`,
    }}
  />
);

const DEPTH: Quantity = { parse: parseDepth, show: (um) => String(Number(um.toFixed(1))), unit: 'µm' };
/** A depth in µm that takes µm, mm or inches. */
export const DepthField = (props: FieldProps) => <QuantityField {...props} quantity={DEPTH} />;

const ANGLE: Quantity = { parse: parseAngle, show: (deg) => String(Number(deg.toFixed(1))), unit: '°' };
/** A clock angle in degrees. */
export const AngleField = (props: FieldProps) => <QuantityField {...props} quantity={ANGLE} />;

/** A field that takes either system of units and shows what it understood. */
function QuantityField({
  label,
  value,
  quantity: { parse, show, unit },
  onSay,
  className = '',
  hideLabel = false,
  hint,
  disabled,
  say = 'done',
  autoFocus = false,
}: FieldProps & { readonly quantity: Quantity }) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const text = typed ?? (value === null ? '' : show(value));
  const read = text.trim() === '' ? undefined : parse(text);
  const wrong = typed !== undefined && read !== undefined && !read.ok;
  const understood = typed !== undefined && read?.ok && /[^\d.,\s-]/.test(text) ? `${show(read.value)} ${unit}` : '';
  const done = (): void => {
    if (typed === undefined || wrong) return;
    if (say === 'done') onSay(read?.ok ? read.value : null);
    setTyped(undefined);
  };
  const type = (next: string): void => {
    setTyped(next);
    if (say === 'done') return;
    const now = next.trim() === '' ? undefined : parse(next);
    if (now === undefined || now.ok) onSay(now?.value ?? null);
  };
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label'}>
        {label}
      </label>
      <input
        id={id}
        className="field tabular-nums"
        inputMode="decimal"
        placeholder={hint}
        value={text}
        disabled={disabled}
        // biome-ignore lint/a11y/noAutofocus: asked for where a reading is due and nothing else is to be done
        autoFocus={autoFocus}
        aria-invalid={wrong}
        aria-describedby={`${id}-note`}
        onChange={(e) => type(e.target.value)}
        onBlur={done}
        onKeyDown={(e) => e.key === 'Enter' && done()}
      />
      <p id={`${id}-note`} className={`text-[12px] empty:hidden ${wrong ? 'text-red' : 'text-ink2'}`}>
        {wrong && !read.ok ? sayQuantityError(read.error) : understood}
      </p>
    </div>
  );
}
