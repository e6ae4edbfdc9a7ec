'use server';

import { z } from 'zod';
import { MATERIALS } from '@/core/family/material';
import { DiaMm, ReadingDoor, TempC } from '@/core/gauge/gauge-door';
import { DRIVE_NAMES, TOOL_NAMES } from '@/core/hone/drive';
import { GritDoor, Rpm, StrokesPerMin } from '@/core/hone/hone-door';
import { MarkDoor } from '@/core/judge/judge-door';
import { OverruleDoor } from '@/core/judge/overrule-door';
import { FixedPoints } from '@/core/judge/underlay-door';
import { SCHOOLS } from '@/core/rules/school';
import { logPass } from '@/db/hone/hone';
import { overruleVerdict, saveGauging, saveJudgement } from '@/db/judge/judgement';
import { setMakersLimit } from '@/db/judge/makers-limit';
import { layPhoto } from '@/db/judge/underlay';
import { backFromSleeving, sendOut } from '@/db/sleeve/sleeve';
import { boreCut } from '@/db/unit/sign-off';
import { act } from '../_server/act';
import { changeOf, Id, Note, Target } from '../_server/change-of';

const Gauging = z.object({
  ...Target,
  gaugingId: Id,
  readings: z.array(ReadingDoor).min(1, 'nothing gauged yet').max(2000),
  bodyTempC: TempC.nullable(),
  gaugeTempC: TempC.nullable(),
  instrumentId: Id.nullable(),
  override: z.string().trim().min(3, 'a reason is needed').max(300).nullable(),
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

const BoreCutDoor = z.object({ ...Target, note: Note });

export const boreCutAction = act('bench', BoreCutDoor, (i, { db, person, now }) =>
  boreCut(db, changeOf(i, person, now, 'bore-changed', i.note), i.note),
);

const LimitDoor = z.object({
  ...Target,
  scope: z.enum(['unit', 'fitment']),
  maxDiaMm: DiaMm.nullable(),
  source: z.string().trim().min(3, 'which manual, and where in it?').max(200),
});

export const makersLimitAction = act('rules', LimitDoor, (i, { db, person, now }) =>
  setMakersLimit(db, changeOf(i, person, now, 'limit-set', i.source), i),
);

const LaidDoor = z.object({ ...Target, laid: z.object({ photoId: Id, points: FixedPoints }).nullable() });

export const layPhotoAction = act('bench', LaidDoor, (i, { db, person, now }) =>
  layPhoto(db, changeOf(i, person, now, 'photo-laid', i.laid === null ? 'taken away' : ''), i.laid),
);

const SentOutDoor = z.object({
  ...Target,
  shop: z.string().trim().min(2, 'who sleeves it?').max(100),
  material: z.enum(MATERIALS).refine((m) => m.startsWith('sleeve-'), 'what sleeve?'),
  wallMm: z.number({ error: 'measure the thinnest wall first' }).gt(0).max(500),
  promisedAt: z.number().int().positive(),
  note: Note,
});

export const sendOutAction = act('bench', SentOutDoor, ({ eventId, unitId, version, ...sent }, { db, person, now }) =>
  sendOut(db, changeOf({ eventId, unitId, version }, person, now, 'sent-out', sent.shop), sent),
);

export const backFromSleevingAction = act('bench', z.object({ ...Target, note: Note }), (i, { db, person, now }) =>
  backFromSleeving(db, changeOf(i, person, now, 'bore-changed', i.note), i.note),
);
