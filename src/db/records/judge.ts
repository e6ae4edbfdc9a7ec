import { z } from 'zod';
import type { Judgement } from '@/core/judge/judge';
import { MARK_KINDS } from '@/core/judge/mark';
import type { MarkRecord } from '@/core/judge/mark-record';
import { BORE_OUTCOMES } from '@/core/judge/outcome';
import { overruled } from '@/core/judge/overrule';
import { OverruleDoor } from '@/core/judge/overrule-door';
import type { SavedVerdict } from '@/core/judge/saved-verdict';
import type { Underlay } from '@/core/judge/underlay';
import { FixedPoints } from '@/core/judge/underlay-door';
import { stored } from '@/core/schema/stored';
import type { marks, underlays, verdicts } from '../tables';

const MarkKind = z.enum(MARK_KINDS);
const Overruled = stored(OverruleDoor.nullable());
const Points = stored(FixedPoints);
/** What we computed and stored ourselves: its form is checked where the route and the screens rest on it. */
const JudgementDoor = z.looseObject({
  outcome: z.enum(BORE_OUTCOMES),
  targetDiaMm: z.number().nullable(),
  toDo: z.array(z.looseObject({ text: z.string() })),
});

export const toMark = ({ unitId: _, ...m }: typeof marks.$inferSelect): MarkRecord => ({ ...m, kind: MarkKind.parse(m.kind) });
export const toVerdict = (v: typeof verdicts.$inferSelect): SavedVerdict => {
  const overrule = Overruled.parse(v.overrule);
  return {
    id: v.id,
    gaugingId: v.gaugingId,
    at: v.at,
    personId: v.personId,
    answer: overruled(JudgementDoor.parse(v.answer) as unknown as Judgement, overrule),
    overrule,
  };
};
export const toUnderlay = ({ unitId: _, points, ...u }: typeof underlays.$inferSelect): Underlay => ({
  ...u,
  points: Points.parse(points),
});
