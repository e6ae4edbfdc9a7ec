import { figures, fixed, upTo } from './figure';
import { MM_PER_INCH, N_PER_LBF, PSI_PER_BAR, type Units } from './units';

/** A diameter to 0.001 mm or 0.0001 in, without its unit. */
export const sayDia = (mm: number, units: Units): string => (units.length === 'mm' ? fixed(mm, 3) : fixed(mm / MM_PER_INCH, 4));

/** A dimension of a part as fine as it was stated, so that two that differ are told apart: at most 0.001 mm or 0.0001 in, without its unit. */
export const sayToDiffer = (mm: number, units: Units): string => (units.length === 'mm' ? upTo(mm, 3) : upTo(mm / MM_PER_INCH, 4));

/** A length along the bore to 0.1 mm or 0.01 in, without its unit. */
export const sayLength = (mm: number, units: Units): string => (units.length === 'mm' ? upTo(mm, 1) : fixed(mm / MM_PER_INCH, 2));

/** A depth of a mark or a small difference, with its unit: µm, or thousandths of an inch. */
export const sayDepth = (um: number, units: Units): string => `${depthIn(um, units)} ${depthUnit(units)}`;
/** Such a depth without its unit: to 0.1 µm, or 0.00001 in. */
export const depthIn = (um: number, units: Units): string => (units.length === 'mm' ? upTo(um, 1) : fixed(um / MM_PER_INCH / 1000, 5));
export const depthUnit = (units: Units): 'µm' | 'in' => (units.length === 'mm' ? 'µm' : 'in');

/** A nominal bore with its unit: an inch size as a fraction, else millimetres. */
export const sayNominal = (mm: number): string => {
  const sixteenths = (mm * 16) / MM_PER_INCH;
  const nearest = Math.round(sixteenths);
  const isInch = Math.abs(sixteenths - nearest) < 0.002 && Math.abs(mm - Math.round(mm * 2) / 2) > 0.0005;
  return isInch ? `${sayFraction(nearest, 16)} in` : `${upTo(mm, 2)} mm`;
};

/** n/d in lowest terms with whole inches apart: 18/16 → 1 1/8. @param d a power of two */
export const sayFraction = (n: number, d: number): string => {
  const [whole, rest] = [Math.floor(n / d), n % d];
  if (rest === 0) return String(whole);
  let [over, under] = [rest, d];
  while (over % 2 === 0) [over, under] = [over / 2, under / 2];
  return whole === 0 ? `${over}/${under}` : `${whole} ${over}/${under}`;
};

/** A pressure with its unit, to 0.01 bar or 1 psi. */
export const sayPressure = (bar: number, units: Units): string =>
  `${fixed(pressureIn(bar, units), units.pressure === 'bar' ? 2 : 0)} ${units.pressure}`;

/** A pressure as a number in the person's unit. */
export const pressureIn = (bar: number, units: Units): number => (units.pressure === 'bar' ? bar : bar * PSI_PER_BAR);

/** A force with its unit, to two figures unless more are asked for, and at least whole units. */
export const sayForce = (newton: number, units: Units, count = 2): string => {
  const value = units.force === 'N' ? newton : newton / N_PER_LBF;
  return `${value < 100 ? fixed(value, 0) : figures(value, count)} ${units.force}`;
};

/** A volume in ml, to 0.001. */
export const sayVolume = (ml: number): string => `${upTo(ml, 3)} ml`;

/** A flow in ml/min to 0.001, without its unit; what rounds to nought has no sign. */
export const sayFlow = (mlPerMin: number): string => fixed(mlPerMin, 3).replace(/^-(0[.,]0*)$/, '$1');

/** A temperature as a number in the person's unit. */
export const tempIn = (celsius: number, units: Units): number => (units.temperature === 'C' ? celsius : (celsius * 9) / 5 + 32);

/** A temperature with its unit, to 0.1 degree. */
export const sayTemperature = (celsius: number, units: Units): string => `${upTo(tempIn(celsius, units), 1)} °${units.temperature}`;
