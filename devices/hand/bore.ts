import type { Geometry } from '@/core/family/geometry';
import type { Reading } from '@/core/gauge/reading';
import { GRID_CLOCKS, suggestDepths } from '@/core/gauge/suggest-grid';
import type { Mark } from '@/core/judge/mark';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { measured, type TrueBore } from '../gauge/bore';
import type { Random } from './random';

/** What the bore of a unit is really like, and so what its judgement comes to. */
export type BoreStory = 'sound' | 'outside' | 'oval' | 'shallow' | 'pitted' | 'deep' | 'cracked' | 'dirty';

/** The bore that goes with a story. @param addMm what honing took */
export const trueBore = (g: Geometry, story: BoreStory, addMm = 0): TrueBore => ({
  nominalMm: g.nominalMm,
  lengthMm: g.lengthMm,
  addMm,
  ovalMm: story === 'oval' && addMm === 0 ? 0.015 : 0.003,
});

export const demoReadings = (g: Geometry, bore: TrueBore, random: Random): readonly Reading[] =>
  suggestDepths(g, STANDARD_RULES).flatMap((xMm) =>
    GRID_CLOCKS.map((clockDeg) => ({ xMm, clockDeg, diaMm: measured(bore, xMm, clockDeg, random.normal(1)) })),
  );

type DemoMark = Omit<Mark, 'id'> & { readonly note: string };

/** Marks that go with a bore's story, laid out from its own seals. */
export const demoMarks = (story: BoreStory, g: Geometry): readonly DemoMark[] => {
  const seal = g.seals.find((s) => s.role === 'pressure') ?? g.seals[0];
  const rest = seal?.restXMm ?? g.lengthMm / 2;
  const mark = (
    kind: Mark['kind'],
    x0Mm: number,
    lengthMm: number,
    clock: readonly [number, number],
    more: Partial<DemoMark> = {},
  ): DemoMark => ({
    kind,
    x0Mm: Math.round(x0Mm * 10) / 10,
    x1Mm: Math.round((x0Mm + lengthMm) * 10) / 10,
    clock0Deg: clock[0],
    clock1Deg: clock[1],
    cleaned: true,
    note: '',
    ...more,
  });
  const mouth = mark('corrosion', 1.4, 2.4, [150, 215], { depthUm: 60, depthUncertaintyUm: 10, note: 'group at the mouth' });
  switch (story) {
    case 'oval':
      return [];
    case 'outside':
      return [mouth, mark('pit', g.lengthMm - 3, 1.2, [160, 175], { depthUm: 45, depthUncertaintyUm: 5, note: 'behind the spring' })];
    case 'sound':
      return [mark('stain', rest + 6, 4, [330, 25])];
    case 'shallow':
      return [mouth, mark('score', rest + 4, 8, [299, 303], { depthUm: 3, depthUncertaintyUm: 1, widthUm: 60 })];
    case 'pitted':
      return [
        mark('pit', rest - 0.3, 0.6, [168, 176], { depthUm: 14, depthUncertaintyUm: 3, note: 'where water stood' }),
        mouth,
        mark('score', rest + 4, 8, [299, 303], { depthUm: 4, depthUncertaintyUm: 1, widthUm: 60 }),
      ];
    case 'deep':
      return [mark('pit', rest + 3, 1.8, [172, 190], { depthUm: 85, depthUncertaintyUm: 10 }), mouth];
    case 'cracked':
      return [mark('crack', g.lengthMm - 14, 9, [170, 178], { note: 'through to the outlet' })];
    case 'dirty':
      return [mark('deposit', rest - 1, 5, [120, 230], { cleaned: false })];
  }
};
