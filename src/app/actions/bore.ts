'use server';

import { z } from 'zod';
import { DiaMm, ReadingDoor, TempC } from '@/core/bore/gauge-door';
import { MarkDoor } from '@/core/bore/judge-door';
import { SCHOOLS } from '@/core/bore/mark-verdict';
import { MATERIALS } from '@/core/bore/material';
import { DRIVE_NAMES, TOOL_NAMES } from '@/core/hone/drive';
import { GritDoor, Rpm, StrokesPerMin } from '@/core/hone/hone-door';
import { OverruleDoor } from '@/core/unit/overrule-door';
import { overruleVerdict, saveGauging, saveJudgement } from '@/db/stations/bore';
import { logPass } from '@/db/stations/hone';
import { boreChanged } from '@/db/stations/sign-off';
import { act } from '../_server/act';
import { changeOf, Id, Note, Target } from '../_server/change-of';

const Gauging = z.object({
  ...Target,
  gaugingId: Id,
  readings: z.array(ReadingDoor).min(1, 'nothing gauged yet').max(2000),
  bodyTempC: TempC.nullable(),
  gaugeTempC: TempC.nullable(),
});

export const saveGaugingAction = act('bench', Gauging, (i, { db, person, now }) =>
  saveGauging(db, changeOf(i, person, now, 'gauged', `${i.readings.length} readings`), i),
);

const MarkRecordDoor = MarkDoor.safeExtend({ name: z.string().min(1).max(20), note: Note });
const JudgementDoor = z.object({
  ...Target,
  verdictId: Id,
  marks: z.array(MarkRecordDoor).max(1000),
  school: z.enum(SCHOOLS).nullable(),
  wallMm: z.number().min(0).max(500).nullable(),
});

export const saveJudgementAction = act('bench', JudgementDoor, (i, { db, person, now }) =>
  saveJudgement(db, changeOf(i, person, now, 'judged'), i),
);

const PassDoor = z.object({
  ...Target,
  tool: z.enum(TOOL_NAMES),
  drive: z.enum(DRIVE_NAMES),
  grit: GritDoor,
  strokes: z.number().int().min(1, 'how many strokes?').max(100_000),
  strokesPerMin: StrokesPerMin,
  rpm: Rpm,
  beforeMm: DiaMm,
  afterMm: DiaMm,
  note: Note,
});

export const logPassAction = act('bench', PassDoor, (i, { db, person, now }) => {
  const { eventId, unitId, version: _, ...pass } = i;
  const told = `${pass.strokes} strokes at ${pass.grit}`;
  return logPass(db, changeOf({ eventId, unitId, version: null }, person, now, 'pass-logged', told), pass);
});

const OverruleEntry = z
  .object({ ...Target, ...OverruleDoor.pick({ outcome: true, targetDiaMm: true, reason: true }).shape })
  .refine((o) => o.outcome !== 'hone' || o.targetDiaMm !== null, { path: ['targetDiaMm'], message: 'to what diameter?' });

export const overruleAction = act('override', OverruleEntry, (i, { db, person, now }) => {
  const { outcome, reason } = i;
  const targetDiaMm = outcome === 'hone' ? i.targetDiaMm : null;
  return overruleVerdict(db, changeOf(i, person, now, 'overruled', reason), { outcome, targetDiaMm, reason });
});

const BoreChangedDoor = z.object({ ...Target, station: z.enum(['hone', 'sleeve']), note: Note, material: z.enum(MATERIALS).nullable() });

export const boreChangedAction = act('bench', BoreChangedDoor, (i, { db, person, now }) =>
  boreChanged(db, changeOf(i, person, now, 'bore-changed', i.note), i.station, i.note, i.material),
);
