import { z } from 'zod';
import type { Underlay } from '@/core/bore-map/underlay';
import { StoredLies } from '@/core/bore-map/underlay-schema';
import type { Judgement } from '@/core/judge/judge';
import { MARK_KINDS } from '@/core/judge/mark';
import type { MarkInPot } from '@/core/judge/mark-record';
import { BORE_OUTCOMES } from '@/core/judge/outcome';
import { overruled } from '@/core/judge/overrule';
import { OverruleSchema } from '@/core/judge/overrule-schema';
import type { SavedVerdict } from '@/core/judge/saved-verdict';
import { stored } from '@/core/schema/stored';
import type { marks, underlays, verdicts } from '../tables';

const MarkKind = z.enum(MARK_KINDS);
const Overruled = stored(OverruleSchema.nullable());
const Lies = stored(StoredLies);
/** What we computed and stored ourselves: its form is checked where the route and the screens rest on it. */
const JudgementSchema = z.looseObject({
  outcome: z.enum(BORE_OUTCOMES),
  targetDiaMm: z.number().nullable(),
  toDo: z.array(z.looseObject({ text: z.string() })),
});

export const toMark = ({ unitId: _, ...m }: typeof marks.$inferSelect): MarkInPot => ({ ...m, kind: MarkKind.parse(m.kind) });
export const toVerdict = (v: typeof verdicts.$inferSelect): SavedVerdict => {
  const overrule = Overruled.parse(v.overrule);
  return {
    id: v.id,
    pot: v.pot,
    gaugingId: v.gaugingId,
    at: v.at,
    personId: v.personId,
    answer: overruled(JudgementSchema.parse(v.answer) as unknown as Judgement, overrule),
    overrule,
  };
};
export const toUnderlay = ({ unitId: _, points, ...u }: typeof underlays.$inferSelect): Underlay => ({
  ...u,
  lies: Lies.parse(points),
});
