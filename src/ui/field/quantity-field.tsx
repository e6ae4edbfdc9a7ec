'use client';

import { fixed, plain, upTo } from '@/core/quantity/figure';
import {
  type NumberRange,
  parseAngle,
  parseDepth,
  parseForce,
  parseLength,
  parseNumber,
  parsePressure,
  parseTemperature,
} from '@/core/quantity/parse';
import { depthIn, depthUnit, pressureIn, sayDia, sayLength, tempIn } from '@/core/quantity/say';
import { N_PER_LBF } from '@/core/quantity/units';
import { useUnits } from '../shell/units-context';
import { type FieldProps, type Quantity, QuantityField } from './number-entry';

/** A length in mm that takes mm, inches or fractions. @param fine to 0.001 mm, for diameters */
export const LengthField = ({ fine = false, ...rest }: FieldProps & { readonly fine?: boolean }) => {
  const units = useUnits();
  return (
    <QuantityField
      {...rest}
      quantity={{
        parse: (text) => parseLength(text, units.length),
        show: (mm) => (fine ? sayDia(mm, units) : sayLength(mm, units)),
        unit: units.length,
      }}
    />
  );
};

/** A pressure in bar that takes bar, psi or MPa. */
export const PressureField = ({ decimals = 0, ...rest }: FieldProps & { readonly decimals?: number }) => {
  const units = useUnits();
  return (
    <QuantityField
      {...rest}
      quantity={{
        parse: (text) => parsePressure(text, units.pressure),
        show: (bar) => fixed(pressureIn(bar, units), decimals),
        unit: units.pressure,
      }}
    />
  );
};

/** A force in N that takes N or pounds. */
export const ForceField = (rest: FieldProps) => {
  const units = useUnits();
  return (
    <QuantityField
      {...rest}
      quantity={{
        parse: (text) => parseForce(text, units.force),
        show: (n) => upTo(units.force === 'N' ? n : n / N_PER_LBF, 1),
        unit: units.force,
      }}
    />
  );
};

/** A temperature in °C that takes °C or °F. */
export const TemperatureField = (rest: FieldProps) => {
  const units = useUnits();
  return (
    <QuantityField
      {...rest}
      quantity={{
        parse: (text) => parseTemperature(text, units.temperature),
        show: (c) => upTo(tempIn(c, units), 1),
        unit: `°${units.temperature}`,
      }}
    />
  );
};

/** A depth in µm that takes µm, mm or inches. */
export const DepthField = (props: FieldProps) => {
  const units = useUnits();
  return (
    <QuantityField
      {...props}
      quantity={{ parse: (text) => parseDepth(text, units.length), show: (um) => depthIn(um, units), unit: depthUnit(units) }}
    />
  );
};

const ANGLE: Quantity = { parse: parseAngle, show: (deg) => upTo(deg, 1), unit: '°' };
/** A clock angle in degrees. */
export const AngleField = (props: FieldProps) => <QuantityField {...props} quantity={ANGLE} />;

type PlainProps = Omit<FieldProps, 'say'>;
/** A plain number without a unit to convert, told with every keystroke. */
export const NumberField = ({ above = 0, className = 'w-40', ...rest }: PlainProps & { readonly above?: number }) => (
  <QuantityField {...rest} className={className} say="typing" quantity={among({ above })} />
);
/** How many, told with every keystroke. */
export const CountField = ({ from = 1, to, className = 'w-20', ...rest }: PlainProps & { readonly from?: number; readonly to: number }) => (
  <QuantityField {...rest} className={className} say="typing" quantity={among({ from, to })} />
);
const among = (range: NumberRange): Quantity => ({ parse: (text) => parseNumber(text, range), show: plain, unit: '' });
