import { sayFraction } from '../quantity/say';
import { atMost } from '../statistics/compare';

/** A bore size that makers use, near what was gauged. differenceMm = gauged − size. */
export type NominalCandidate = { readonly label: string; readonly mm: number; readonly differenceMm: number };

const NEAR_MM = 0.3;

const sixteenths = Array.from({ length: 33 }, (_, i) => i + 8).map((n) => ({ label: `${sayFraction(n, 16)} in`, mm: (n * 25.4) / 16 }));
const whole = Array.from({ length: 11 }, (_, i) => i + 18);
const millimetres = [12, 12.5, 13, 14, 15, 16, 17, 17.5, ...whole, 30, 32, 34, 36, 38, 40, 42, 45, 48, 50, 52, 54, 57, 60].map((mm) => ({
  label: `${mm} mm`,
  mm,
}));

/** Nominal bores: inch sixteenths from 1/2 to 2 1/2, and the usual millimetre sizes. @source design, chapter 1 */
export const NOMINAL_SIZES: readonly { readonly label: string; readonly mm: number }[] = [...sixteenths, ...millimetres].sort(
  (a, b) => a.mm - b.mm,
);

/** Sizes within 0.30 mm of a diameter, nearest first. @param diaMm median diameter at 20 °C */
export const nominalCandidates = (diaMm: number): readonly NominalCandidate[] =>
  NOMINAL_SIZES.filter((size) => atMost(Math.abs(diaMm - size.mm), NEAR_MM))
    .map((size) => ({ ...size, differenceMm: diaMm - size.mm }))
    .sort((a, b) => Math.abs(a.differenceMm) - Math.abs(b.differenceMm));
