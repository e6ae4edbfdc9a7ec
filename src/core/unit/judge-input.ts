import { FAMILY_NAMES } from '../family/family-name';
import type { JudgeInput } from '../judge/judge';
import type { MakersLimit } from '../judge/limits';
import type { MarkRecord } from '../judge/mark-record';
import type { School } from '../rules/school';
import { currentGauging } from './facts-of';
import type { UnitRecord } from './unit-record';

/** What a unit's bore is judged from: its geometry, its newest readings, and the marks as the person has them now. Undefined until the piston has been measured. */
export const judgeInputOf = (
  record: Pick<UnitRecord, 'unit' | 'gaugings'>,
  entry: {
    readonly marks: readonly MarkRecord[];
    readonly school: School | null;
    readonly wallMm: number | null;
    readonly makersLimit?: MakersLimit | null;
  },
): JudgeInput | undefined => {
  const { unit } = record;
  const family = FAMILY_NAMES.find((name) => name === unit.family);
  if (unit.pistonDiaMm === null || unit.geometry === null || family === undefined) return undefined;
  const gauging = currentGauging(record);
  return {
    family,
    material: unit.material,
    bore: { lengthMm: unit.geometry.lengthMm, nominalMm: unit.geometry.nominalMm, wallMm: entry.wallMm },
    pistonDiaMm: unit.pistonDiaMm,
    seals: unit.geometry.seals,
    marks: entry.marks.map(({ name, note: _, id: __, ...mark }) => ({ ...mark, id: name })),
    readings: gauging?.readings ?? [],
    bodyTempC: gauging?.bodyTempC,
    gaugeTempC: gauging?.gaugeTempC,
    school: entry.school,
    makersLimit: entry.makersLimit,
  };
};
