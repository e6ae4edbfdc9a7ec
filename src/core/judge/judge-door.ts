import { z } from 'zod';
import { BoreSealDoor } from '../family/bore-seal-door';
import { FAMILY_NAMES } from '../family/family-name';
import { ClockDeg, DiaMm, gaugingShape, ReadingDoor, XMm } from '../gauge/gauge-door';
import { SCHOOLS } from '../rules/school';
import { crossCheck, fieldOf } from '../schema/cross-check';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';
import { MARK_KINDS } from './mark';

const Id = text().min(1).max(100);
const DepthUm = z.number().min(0).max(20_000);

export const MarkDoor = crossCheck(
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
  }),
  (value, report) => {
    const [x0Mm, x1Mm] = [fieldOf(value, 'x0Mm'), fieldOf(value, 'x1Mm')];
    if (typeof x0Mm === 'number' && typeof x1Mm === 'number' && x1Mm < x0Mm)
      report(['x1Mm'], 'ends before it starts: x1Mm must not be less than x0Mm');
  },
);

export const JudgeRequest = z
  .object({
    family: z.enum(FAMILY_NAMES),
    bore: z.strictObject({ lengthMm: z.number().gt(0).max(10_000), nominalMm: DiaMm, wallMm: z.number().min(0).max(500).nullish() }),
    pistonDiaMm: DiaMm,
    seals: uniqueIds(z.array(BoreSealDoor).min(1).max(100)),
    marks: uniqueIds(z.array(MarkDoor).max(5000)).nullish(),
    readings: z.array(ReadingDoor).max(5000).nullish(),
    school: z.enum(SCHOOLS).nullish(),
    makersLimit: z.strictObject({ maxDiaMm: DiaMm, source: text().trim().min(1).max(200) }).nullish(),
    nominalMm: DiaMm.nullish(),
    ...gaugingShape,
  })
  .meta({ id: 'JudgeRequest' });
