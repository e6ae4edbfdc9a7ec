import { z } from 'zod';
import { BoreSealSchema } from '../family/bore-seal-schema';
import { FAMILY_NAMES } from '../family/family-name';
import { ClockDeg, DiaMm, gaugingShape, ReadingSchema, XMm } from '../gauge/gauge-schema';
import { SCHOOLS } from '../rules/school';
import { crossCheck, fieldOf } from '../schema/cross-check';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';
import { MARK_KINDS } from './mark';

const Id = text().min(1).max(100);
const DepthUm = z.number().min(0).max(20_000);

export const MarkSchema = crossCheck(
  z.strictObject({
    id: Id,
    kind: z.enum(MARK_KINDS),
    x0Mm: XMm,
    x1Mm: XMm,
    clock0Deg: ClockDeg,
    clock1Deg: ClockDeg,
    depthUm: DepthUm.nullish(),
    depthUncertaintyUm: DepthUm.nullish(),
    widthUm: z.number().gt(0).max(200_000).nullish(),
    cleaned: z.boolean(),
    beforeCut: z.strictObject({ expectedUm: DepthUm.nullable() }).nullish(),
  }),
  (value, report) => {
    const [x0Mm, x1Mm] = [fieldOf(value, 'x0Mm'), fieldOf(value, 'x1Mm')];
    if (typeof x0Mm === 'number' && typeof x1Mm === 'number' && x1Mm < x0Mm)
      report(['x1Mm'], 'ends before it starts: x1Mm must not be less than x0Mm');
  },
);

/** `pistonDiaMm` of a seal: of the piston that carries it, where more than one runs in the bore. */
const CarriedSealSchema = BoreSealSchema.extend({ pistonDiaMm: DiaMm.nullish() });

export const JudgeRequest = z
  .object({
    family: z.enum(FAMILY_NAMES),
    bore: z.strictObject({ lengthMm: z.number().gt(0).max(10_000), nominalMm: DiaMm, wallMm: z.number().min(0).max(500).nullish() }),
    pistonDiaMm: DiaMm,
    seals: uniqueIds(z.array(CarriedSealSchema).min(1).max(100)),
    marks: uniqueIds(z.array(MarkSchema).max(5000)).nullish(),
    readings: z.array(ReadingSchema).max(5000).nullish(),
    school: z.enum(SCHOOLS).nullish(),
    makersLimit: z.strictObject({ maxDiaMm: DiaMm, source: text().trim().min(1).max(200) }).nullish(),
    nominalMm: DiaMm.nullish(),
    ...gaugingShape,
  })
  .meta({ id: 'JudgeRequest' });
