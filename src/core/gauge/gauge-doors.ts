import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { text } from '../schema/text';
import { DiaMm, ReadingDoor, TempC } from './gauge-door';

export const SaveGauging = z.object({
  ...Target,
  gaugingId: Id,
  readings: z.array(ReadingDoor).min(1, 'nothing gauged yet').max(2000),
  bodyTempC: TempC.nullable(),
  gaugeTempC: TempC.nullable(),
  instrumentId: Id.nullable(),
  override: text().trim().min(3, 'a reason is needed').max(300).nullable(),
});
export type SaveGauging = Sends<typeof SaveGauging>;
export const AddInstrument = z.object({ id: Id, name: text().trim().min(2, 'what is it called?').max(60) });
export type AddInstrument = Sends<typeof AddInstrument>;
export const CheckRing = z.object({ checkId: Id, instrumentId: Id, ringMm: DiaMm, readMm: DiaMm });
export type CheckRing = Sends<typeof CheckRing>;
export const WhichInstrument = z.object({ instrumentId: Id });
export type WhichInstrument = Sends<typeof WhichInstrument>;
