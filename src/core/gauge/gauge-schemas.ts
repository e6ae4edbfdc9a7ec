import { z } from 'zod';
import { PotNo } from '../family/pot-no';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { text } from '../schema/text';
import { DiaMm, ReadingSchema, TempC } from './gauge-schema';

export const SaveGauging = z.object({
  ...Target,
  gaugingId: Id,
  pot: PotNo,
  readings: z.array(ReadingSchema).min(1, 'nothing gauged yet').max(2000),
  bodyTempC: TempC.nullable(),
  gaugeTempC: TempC.nullable(),
  instrumentId: Id.nullable(),
  override: text().trim().min(3, 'a reason is needed').max(300).nullable(),
});
export type SaveGauging = Sends<typeof SaveGauging>;
export const AddInstrument = z
  .object({ id: Id, name: text().trim().min(2, 'what is it called?').max(60), fromMm: DiaMm.nullable(), toMm: DiaMm.nullable() })
  .superRefine(({ fromMm, toMm }, ctx) => {
    const path = [fromMm === null ? 'fromMm' : 'toMm'];
    if ((fromMm === null) !== (toMm === null))
      ctx.addIssue({ code: 'custom', path, message: 'from what to what does it measure? Both, or neither' });
    else if (fromMm !== null && toMm !== null && toMm <= fromMm)
      ctx.addIssue({ code: 'custom', path: ['toMm'], message: 'is more than where it begins' });
  });
export type AddInstrument = Sends<typeof AddInstrument>;
export const CheckRing = z.object({ checkId: Id, instrumentId: Id, ringMm: DiaMm, readMm: DiaMm });
export type CheckRing = Sends<typeof CheckRing>;
/** Which of the shop's branches a gauge is at from now on. */
export const MoveInstrument = z.object({ instrumentId: Id, branch: Id });
export const WhichInstrument = z.object({ instrumentId: Id });
export type WhichInstrument = Sends<typeof WhichInstrument>;
