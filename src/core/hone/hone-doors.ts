import { z } from 'zod';
import { DiaMm, TempC } from '../gauge/gauge-door';
import type { Sends } from '../schema/sends';
import { Note, Target } from '../schema/target';
import { DRIVE_NAMES, TOOL_NAMES } from './drive';
import { GritDoor, Rpm, StrokesPerMin } from './hone-door';

export const LogPass = z.object({
  ...Target,
  tool: z.enum(TOOL_NAMES),
  drive: z.enum(DRIVE_NAMES),
  grit: GritDoor,
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
