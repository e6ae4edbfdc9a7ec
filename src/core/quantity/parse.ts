import { fail, ok, type Result } from '../result';
import { MM_PER_INCH, N_PER_LBF, PSI_PER_BAR, type Units } from './units';

export type QuantityError =
  | { readonly code: 'empty' | 'not-a-number' | 'wrong-unit'; readonly text: string }
  | { readonly code: 'out-of-range'; readonly text: string; readonly range: NumberRange };

/** What a plain number may be: more than, or a whole number from and to. */
export type NumberRange = { readonly above: number } | { readonly from: number; readonly to: number };

/**
 * A length as people type it: `22.2`, `22,2 mm`, `0.875in`, `7/8`, `1 1/8"`. A fraction without a unit is inches.
 * @param unit what a bare number means
 * @returns mm
 */
export const parseLength = (text: string, unit: Units['length']): Result<number, QuantityError> => {
  const read = readQuantity(text, 'mm|in|inch|inches|"|″');
  if (!read.ok) return read;
  const { number, suffix, fraction } = read.value;
  const inches = suffix === '' ? unit === 'in' || fraction : suffix !== 'mm';
  return ok(inches ? number * MM_PER_INCH : number);
};

/** A pressure: `80`, `80 bar`, `1160 psi`, `8 MPa`. @returns bar */
export const parsePressure = (text: string, unit: Units['pressure']): Result<number, QuantityError> => {
  const read = readQuantity(text, 'bar|psi|mpa|kpa');
  if (!read.ok) return read;
  const perBar = { bar: 1, psi: PSI_PER_BAR, mpa: 0.1, kpa: 100 }[read.value.suffix || unit] ?? 1;
  return ok(read.value.number / perBar);
};

/** A force: `300`, `300 N`, `70 lbf`. @returns N */
export const parseForce = (text: string, unit: Units['force']): Result<number, QuantityError> => {
  const read = readQuantity(text, 'n|lbf|lb');
  if (!read.ok) return read;
  return ok((read.value.suffix || unit.toLowerCase()) === 'n' ? read.value.number : read.value.number * N_PER_LBF);
};

/** A temperature: `21`, `21 °C`, `70 F`. @returns °C */
export const parseTemperature = (text: string, unit: Units['temperature']): Result<number, QuantityError> => {
  const read = readQuantity(text, '°?c|°?f');
  if (!read.ok) return read;
  const { number, suffix } = read.value;
  return ok((suffix.replace('°', '') || unit.toLowerCase()) === 'f' ? ((number - 32) * 5) / 9 : number);
};

/** A volume in ml: `0.3`, `0.3 ml`, `0,3 cc`. @returns ml */
export const parseVolume = (text: string): Result<number, QuantityError> => {
  const read = readQuantity(text, 'ml|cc|cm3|cm³');
  return read.ok ? ok(read.value.number) : read;
};

/** A depth of a mark: `12`, `12 µm`, `0.012 mm`, `0.0005 in`. @param unit what lengths are in; a bare number is µm where that is mm. @returns µm */
export const parseDepth = (text: string, unit: Units['length']): Result<number, QuantityError> => {
  const read = readQuantity(text, 'µm|μm|um|mm|in|"');
  if (!read.ok) return read;
  const { number, suffix: typed } = read.value;
  const suffix = typed === '' && unit === 'in' ? 'in' : typed;
  if (number < 0) return fail({ code: 'not-a-number', text });
  return ok(suffix === 'mm' ? number * 1000 : suffix === 'in' || suffix === '"' ? number * MM_PER_INCH * 1000 : number);
};

/** An angle in degrees: `172`, `172°`. */
export const parseAngle = (text: string): Result<number, QuantityError> => {
  const read = readQuantity(text, '°|deg');
  return read.ok ? ok(read.value.number) : read;
};

/** A plain number, a comma for a point or not; nothing may follow it. */
export const parseNumber = (text: string, range: NumberRange): Result<number, QuantityError> => {
  const read = readQuantity(text, '(?!)');
  if (!read.ok) return read;
  const { number } = read.value;
  const within = 'above' in range ? number > range.above : Number.isInteger(number) && number >= range.from && number <= range.to;
  return within ? ok(number) : fail({ code: 'out-of-range', text, range });
};

type Read = { readonly number: number; readonly suffix: string; readonly fraction: boolean };

const readQuantity = (text: string, suffixes: string): Result<Read, QuantityError> => {
  const plain = text.trim().toLowerCase().replace(',', '.').replace(/\s+/g, ' ');
  if (plain === '') return fail({ code: 'empty', text });
  const parts = /^([-+]?)(?:(\d+)[ -])?(\d+)\/(\d+) ?(\D*)$/.exec(plain) ?? /^([-+]?)()(\d*\.?\d+|\d+\.)() ?(\D*)$/.exec(plain);
  if (parts === null) return fail({ code: 'not-a-number', text });
  const [, sign, whole, over, under, suffix = ''] = parts;
  if (suffix !== '' && !new RegExp(`^(?:${suffixes})$`).test(suffix)) return fail({ code: 'wrong-unit', text });
  const number = Number(whole || 0) + Number(over) / Number(under || 1);
  return Number.isFinite(number)
    ? ok({ number: sign === '-' ? -number : number, suffix, fraction: under !== '' && under !== undefined })
    : fail({ code: 'not-a-number', text });
};

/** What to tell the person at the field. */
export const sayQuantityError = (error: QuantityError): string => {
  switch (error.code) {
    case 'empty':
      return 'Enter a number.';
    case 'not-a-number':
      return `“${error.text}” is not a number; 22.2, 7/8 and 0.875 in are.`;
    case 'out-of-range':
      return `“${error.text}” cannot be: ${'above' in error.range ? `more than ${error.range.above}` : `a whole number from ${error.range.from} to ${error.range.to}`}.`;
    case 'wrong-unit':
      return `“${error.text}” ends in what does not belong to a number here.`;
  }
};
