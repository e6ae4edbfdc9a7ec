import { FAMILIES } from '@/core/family/families';
import { type Drawing, geometryAt } from '@/core/family/family';
import { FAMILY_NAMES, type FamilyName } from '@/core/family/family-name';
import type { Geometry } from '@/core/family/geometry';
import type { Material } from '@/core/family/material';
import type { Reading } from '@/core/gauge/reading';
import { standsInPort } from '@/core/gauge/suggest-grid';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import type { Random } from '../../devices/hand/random';

// Bores whose truth is known along every depth and clock: worn places of other shapes than any that the judging supposes.

/** How a worn place falls off from its middle, at u from -1 to 1 over its width. */
const SHAPES = {
  bell: (u: number) => 0.5 * (1 + Math.cos(Math.PI * u)),
  tent: (u: number) => 1 - Math.abs(u),
  trough: (u: number) => Math.min(1, 2.5 * (1 - Math.abs(u))),
  steep: (u: number) => (u < 0 ? 1 - u * u : (1 - u) ** 2),
} as const;

/** Where a seal of a bore has worn it. */
export const WEARS = ['none', 'slight', 'at-rest', 'mid-stroke', 'narrow'] as const;
export type Wear = (typeof WEARS)[number];

export type BoreWorld = {
  readonly family: FamilyName;
  readonly material: Material;
  readonly geometry: Geometry;
  readonly pistonDiaMm: number;
  readonly wear: Wear;
  /** The true diameter at a depth and clock, mm. */
  readonly diaAt: (xMm: number, clockDeg: number) => number;
};

const SIZES = [15.875, 17.4625, 19.05, 20.6375, 22.225, 23.8125, 25.4, 28.575, 31.75];
const MATERIALS: readonly Material[] = ['cast-iron', 'cast-iron', 'cast-iron', 'alloy', 'alloy-anodised'];
const DRAWN = FAMILY_NAMES.map((name) => ({ name, drawing: FAMILIES[name].drawing as Drawing })).filter(({ drawing }) =>
  drawing?.seals.some((s) => s.role !== 'static'),
);

export const anyBore = (random: Random, wear: Wear): BoreWorld => {
  const family = random.pick(DRAWN);
  const nominalMm = random.pick(SIZES);
  const geometry = geometryAt(family.drawing, nominalMm);
  const { lengthMm } = geometry;
  const moving = geometry.seals.filter((s) => s.role !== 'static');
  const seal = random.pick(moving);
  const [depthMm, widthMm, xMm] = place(wear, seal, lengthMm, random);
  const shape = SHAPES[random.pick(Object.keys(SHAPES) as (keyof typeof SHAPES)[])];
  // A cup presses all round; a cocked piston wears one side.
  const [oneSided, sideDeg] = [random.next(), random.between(0, 360)];
  const cosine = (deg: number): number => Math.cos((deg * Math.PI) / 180);
  const turned = (clockDeg: number): number => 1 - oneSided + oneSided * Math.abs(cosine(clockDeg - sideDeg)) ** 3;
  const [made, taper, oval, axisDeg, twist] = [
    random.between(0.002, 0.022),
    random.between(-0.006, 0.006),
    random.between(0, 0.004),
    random.between(0, 180),
    random.between(-40, 40),
  ];
  return {
    family: family.name,
    material: random.pick(MATERIALS),
    geometry,
    pistonDiaMm: nominalMm - random.between(0.03, 0.08),
    wear,
    diaAt: (x, clockDeg) => {
      const along = x / lengthMm;
      const u = (x - xMm) / (widthMm / 2);
      const worn = Math.abs(u) >= 1 ? 0 : depthMm * shape(u) * turned(clockDeg);
      return nominalMm + made + taper * along + oval * cosine(2 * (clockDeg - axisDeg - twist * along)) + worn;
    },
  };
};

/** Depth on diameter, width at its foot and middle of the worn place, mm. The narrowest falls to a third of its depth within 6 % of the bore's length from its middle. */
const place = (
  wear: Wear,
  seal: { readonly restXMm: number; readonly travelMm: number },
  lengthMm: number,
  random: Random,
): readonly [number, number, number] => {
  const within = (from: number, to: number): number => seal.restXMm + seal.travelMm * random.between(from, to);
  const width = (from: number, to: number): number => lengthMm * random.between(from, to);
  switch (wear) {
    case 'none':
      return [0, 1, 0];
    case 'slight':
      return [random.between(0.005, 0.04), width(0.2, 1.2), within(-0.1, 1.1)];
    case 'at-rest':
      return [random.between(0.02, 0.2), width(0.2, 0.6), within(-0.1, 0.2)];
    case 'mid-stroke':
      return [random.between(0.02, 0.2), width(0.2, 1), within(0.2, 0.8)];
    case 'narrow':
      return [random.between(0.02, 0.2), width(0.2, 0.25), within(0.2, 0.8)];
  }
};

/** What a careful hand reads with a two-point gauge at some depths: to 0.001, not quite at the depth, with one slip in some fifty bores. */
export const readingsAt = (
  w: BoreWorld,
  depthsMm: readonly number[],
  clocks: readonly number[],
  ringMm: number,
  random: Random,
): readonly Reading[] =>
  depthsMm.flatMap((xMm) => {
    const x = xMm + random.normal(0.15);
    return clocks.flatMap((clockDeg) => {
      if (standsInPort(w.geometry, { xMm, clockDeg })) return [];
      const slip = random.next() < 0.0008 ? random.pick([-1, 1]) * random.between(0.05, 0.2) : 0;
      const read = w.diaAt(x, clockDeg + random.normal(2)) + ringMm + random.normal(STANDARD_RULES.gaugeRepeatabilityMm) + slip;
      return { xMm, clockDeg, diaMm: Math.round(read * 1000) / 1000 };
    });
  });
