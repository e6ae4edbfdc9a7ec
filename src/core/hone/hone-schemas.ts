import { z } from 'zod';
import { PotNo } from '../family/pot-no';
import { DiaMm, TempC } from '../gauge/gauge-schema';
import type { Sends } from '../schema/sends';
import { Note, Target } from '../schema/target';
import { DRIVE_NAMES, TOOL_NAMES } from './drive';
import { GritSchema, Rpm, StrokesPerMin } from './hone-schema';

export const LogPass = z.object({
  ...Target,
  pot: PotNo,
  tool: z.enum(TOOL_NAMES),
  drive: z.enum(DRIVE_NAMES),
  grit: GritSchema,
  strokes: z.number().int().min(1, 'how many strokes?').max(100_000),
  strokesPerMin: StrokesPerMin,
  rpm: Rpm,
  beforeMm: DiaMm,
  /** As read. */
  afterMm: DiaMm,
  bodyTempC: TempC.nullable(),
  note: Note,
});
export type LogPass = Sends<typeof LogPass>;
export const BoreCut = z.object({ ...Target, note: Note });
export type BoreCut = Sends<typeof BoreCut>;
