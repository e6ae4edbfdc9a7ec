import { carrierOf } from '../family/carrier';
import { FAMILY_NAMES } from '../family/family-name';
import type { Geometry } from '../family/geometry';
import type { JudgeInput } from '../judge/judge';
import type { MakersLimit } from '../judge/limits';
import { askedMark, type MarkRecord } from '../judge/mark-record';
import type { School } from '../rules/school';
import { diaOf, unmeasuredPistons } from '../strip/pistons';
import type { beforeCutOf } from './before-cut';
import { currentGauging } from './facts-of';
import type { UnitRecord } from './unit-record';

/**
 * What a unit's bore is judged from: its geometry, its newest readings, and the marks as the person has them now; each seal with the piston that carries it.
 * @returns undefined until every piston that came out has been measured
 */
export const judgeInputOf = (
  record: Pick<UnitRecord, 'unit' | 'gaugings' | 'family' | 'tray'>,
  entry: {
    readonly marks: readonly MarkRecord[];
    /** Marks of an earlier bore. */
    readonly beforeCut?: ReturnType<typeof beforeCutOf>;
    readonly school: School | null;
    readonly wallMm: number | null;
    readonly makersLimit?: MakersLimit | null;
  },
): JudgeInput | undefined => {
  const { unit } = record;
  const family = FAMILY_NAMES.find((name) => name === unit.family);
  const { geometry, pistonDiaMm } = unit;
  if (pistonDiaMm === null || geometry === null || family === undefined || unmeasuredPistons(record.tray).length > 0) return undefined;
  const gauging = currentGauging(record);
  return {
    family,
    material: unit.material,
    bore: { lengthMm: geometry.lengthMm, nominalMm: geometry.nominalMm, wallMm: entry.wallMm },
    pistonDiaMm,
    seals: geometry.seals.map((seal) => ({ ...seal, pistonDiaMm: carrierDia(record, geometry, seal.id) })),
    marks: entry.marks.map((m) => askedMark(m, entry.beforeCut?.[m.id])),
    readings: gauging?.readings ?? [],
    bodyTempC: gauging?.bodyTempC,
    gaugeTempC: gauging?.gaugeTempC,
    school: entry.school,
    makersLimit: entry.makersLimit,
  };
};

/** The diameter of the piston that carries a seal, mm; null where it was never measured: there was none, and the unit's counts. */
const carrierDia = ({ family, tray }: Pick<UnitRecord, 'family' | 'tray'>, geometry: Geometry, sealId: string): number | null =>
  diaOf(tray.find((p) => p.slotId === carrierOf(family, geometry, sealId))) ?? null;
