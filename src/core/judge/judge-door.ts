import { z } from 'zod';
import { BoreSealDoor } from '../family/bore-seal-door';
import { FAMILY_NAMES } from '../family/family-name';
import { ClockDeg, DiaMm, gaugingShape, ReadingDoor, XMm } from '../gauge/gauge-door';
import { SCHOOLS } from '../rules/school';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';
import { MARK_KINDS } from './mark';

const Id = text().min(1).max(100);
const DepthUm = z.number().min(0).max(20_000);

export const MarkDoor = z
  .strictObject({
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
  })
  // Also when another field of the mark is wrong: everything wrong is said at once.
  .refine((m) => !(m.x1Mm < m.x0Mm), {
    path: ['x1Mm'],
    message: 'ends before it starts: x1Mm must not be less than x0Mm',
    when: () => true,
  });

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
