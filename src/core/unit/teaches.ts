import { CAUSE_NAMES, type CauseName } from '../book-in/cause';
import { FEATURES } from '../identify/feature';
import type { UnitRecord } from './unit-record';

/** Something that holds of a unit and is counted over all: of a subject, what. An empty `what` counts the units themselves. */
export type Lesson = { readonly subject: string; readonly what: string };

export const LEFT = 'left';
export const CAUSES_SEEN = 'causes';
export const fitmentSubject = (fitmentId: string): string => `fitment ${fitmentId}`;

/** What is counted of a unit as it stands: that it has left, what turned out to be behind it, what it measured as the fitment it was released as. */
export const lessonsOf = (r: Pick<UnitRecord, 'unit' | 'findings' | 'identity'>): readonly Lesson[] =>
  r.unit.exit === null ? [] : [{ subject: LEFT, what: '' }, ...causeLessons(r), ...(r.unit.exit === 'released' ? fitmentLessons(r) : [])];

const causeLessons = ({ unit, findings }: Pick<UnitRecord, 'unit' | 'findings'>): readonly Lesson[] => {
  const confirmed = CAUSE_NAMES.filter((c) => findings.some((f) => f.about === 'cause' && f.name === c && f.answer === 'yes'));
  if (confirmed.length === 0) return [];
  const heardWith = (cause: CauseName) => unit.complaints.map((complaint) => `${cause} ${complaint}`);
  return ['', ...confirmed, ...confirmed.flatMap(heardWith)].map((what) => ({ subject: CAUSES_SEEN, what }));
};

const fitmentLessons = ({ identity }: Pick<UnitRecord, 'identity'>): readonly Lesson[] => {
  if (identity === null) return [];
  const values = FEATURES.flatMap((f) => {
    const measured = identity.measured[f];
    if (measured == null) return [];
    // A length is counted by its value; how surely it was measured teaches nothing of the fitment.
    return [`${f} ${JSON.stringify(typeof measured === 'object' && 'value' in measured ? measured.value : measured)}`];
  });
  return ['', ...values].map((what) => ({ subject: fitmentSubject(identity.fitmentId), what }));
};

/** By how much each count moves when one list of lessons takes the place of another; what stays is left out. */
export const lessonsMoved = (before: readonly Lesson[], after: readonly Lesson[]): readonly (Lesson & { readonly by: number })[] => {
  const moved = new Map<string, Lesson & { by: number }>();
  for (const [lessons, by] of [
    [before, -1],
    [after, 1],
  ] as const)
    for (const lesson of lessons) {
      const key = JSON.stringify([lesson.subject, lesson.what]);
      const known = moved.get(key) ?? { ...lesson, by: 0 };
      known.by += by;
      moved.set(key, known);
    }
  return [...moved.values()].filter((m) => m.by !== 0);
};
