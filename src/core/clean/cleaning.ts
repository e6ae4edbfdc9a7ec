import type { Family } from '../family/family';
import type { Geometry } from '../family/geometry';
import type { Material } from '../family/material';
import { PART_KINDS } from '../family/part-kind';
import type { TrayPart } from '../strip/tray-schema';
import { METHODS, type MethodName, type Residue } from '../strip/treatment';

/** A way to clean this body: what for and how; or why it must not be used on it. */
export type CleaningAdvice = {
  readonly method: MethodName;
  readonly leaves: Residue;
  readonly how: string;
  readonly caution: string | null;
  readonly mustNot: string | null;
};

export type CleaningBody = {
  readonly material: Material;
  /** Rubber and plastic that is to be used again and is still with the body. */
  readonly keptRubber: readonly string[];
  readonly keptPlastic: readonly string[];
};

/** What is to go back of rubber and plastic, from the tray. */
export const cleaningBody = (material: Material, tray: readonly TrayPart[]): CleaningBody => {
  const kept = (stuff: 'rubber' | 'plastic') =>
    tray.filter((p) => p.found === 'present' && p.fate === 'refitted' && PART_KINDS[p.kind].stuff === stuff).map((p) => p.name);
  return { material, keptRubber: kept('rubber'), keptPlastic: kept('plastic') };
};

const list = (names: readonly string[]): string => names.join(', ');

/** Ways to clean a body, the gentlest first, for its material and what of rubber and plastic goes back. @source design, domain, "Fluids and what touches rubber" */
export const cleaningFor = ({ material, keptRubber, keptPlastic }: CleaningBody): readonly CleaningAdvice[] => {
  const alloy = material.startsWith('alloy');
  const anodised = material === 'alloy-anodised';
  const advice = (method: MethodName, how: string, caution: string | null = null, mustNot: string | null = null): CleaningAdvice => ({
    method,
    leaves: METHODS[method].leaves,
    how,
    caution,
    mustNot,
  });
  return [
    advice(
      'wet-wipe',
      'Dust and lining dirt off the outside with a wet rag, into a bag.',
      'Dust from old linings may hold asbestos: wet wipe, never blow.',
    ),
    advice(
      'nylon-brush',
      'Bore and drillings with a nylon brush and fresh fluid of its own kind.',
      'Brake fluid strips paint and burns eyes: gloves, glasses, water and soap at hand.',
    ),
    advice('alcohol', 'Bore, drillings and rubber that stays; dries without residue.', 'Flammable: no flame, fresh air.'),
    advice(
      'brake-cleaner',
      'Bore, drillings and bare metal; let it run out of every port.',
      'Flammable and bad to breathe: fresh air, gloves, no flame.',
      keptPlastic.length > 0 ? `Not on ${list(keptPlastic)}: it crazes plastic.` : null,
    ),
    advice(
      'hot-wash',
      'Hot water and detergent for salts and old varnish; dry at once with air and warmth.',
      alloy ? null : 'Iron rusts in minutes: dry at once and oil nothing; a film of fresh fluid holds it.',
    ),
    advice(
      'ultrasonic',
      anodised
        ? 'Neutral bath only, a few minutes, body hanging free; rinse, dry.'
        : alloy
          ? 'Neutral or mild alkaline bath for alloy, ten minutes; rinse, dry.'
          : 'Alkaline bath, warm, ten to twenty minutes; rinse, dry at once.',
      'Strip it bare first; never put a hand in.',
      keptRubber.length > 0 ? `Take out first what goes back of rubber: ${list(keptRubber)}.` : null,
    ),
    advice(
      'blast',
      'Outside only, every port and the mouth plugged tightly; blow the plugs clean before they come out.',
      'Media in a drilling scores the first stroke: count the plugs in and out.',
      anodised ? 'Not near the bore: it takes the anodised skin off the mouth.' : null,
    ),
  ];
};

/** Wire that clears a drilling without widening it: nine tenths of its bore, in steps of 0.05 mm. @param diaMm drilling, mm */
export const clearingWireMm = (diaMm: number): number => Math.max(0.1, Math.floor(diaMm * 0.9 * 20 + 1e-9) / 20);

export type Drilling = {
  /** The port of the bore, or the part of the tray, that it goes through. */
  readonly id: string;
  readonly method: 'port-wire' | 'bleed-wire';
  readonly name: string;
  readonly diaMm: number;
  readonly wireMm: number;
};

/** Drilling of a bleed screw, mm; usual. */
const BLEED_DRILLING_MM = 1.2;

/** Drillings that must be seen open before the unit goes on, each with the wire for it. */
export const drillingsOf = (family: Family, geometry: Geometry | null, tray: readonly TrayPart[]): readonly Drilling[] => {
  const ports = (geometry?.ports ?? []).filter((p) => p.kind === 'compensating');
  const bleeds = tray.filter((p) => p.kind === 'bleed-screw' && p.found === 'present');
  return family.bore === 'none'
    ? []
    : [
        ...ports.map((p) => ({
          id: p.id,
          method: 'port-wire' as const,
          name: `${p.id.replaceAll('-', ' ')} port`,
          diaMm: p.diaMm,
          wireMm: clearingWireMm(p.diaMm),
        })),
        ...bleeds.map((p) => ({
          id: p.id,
          method: 'bleed-wire' as const,
          name: p.name,
          diaMm: BLEED_DRILLING_MM,
          wireMm: clearingWireMm(BLEED_DRILLING_MM),
        })),
      ];
};
