import { leftOfDepth } from '../judge/after-cut';
import type { BeforeCut } from '../judge/mark';
import type { Rules } from '../rules/rule-set';
import { currentGauging, isUnseen } from './facts-of';
import { gaugedSets } from './gauged-before';
import type { UnitRecord } from './unit-record';

/** Marks that nobody has looked at since the bore was cut last, by their ids, each with what should be left of it. */
export const beforeCutOf = (
  r: Pick<UnitRecord, 'unit' | 'gaugings' | 'marks'>,
  rules: Rules,
): { readonly [markId: string]: BeforeCut | undefined } => {
  const now = currentGauging(r)?.at;
  const sets = gaugedSets(r, rules);
  const after = sets.find((s) => s.at === now)?.stations ?? [];
  return Object.fromEntries(
    r.marks.flatMap((m) => {
      const { seenAt } = m;
      if (seenAt === null || !isUnseen(m, r.unit)) return [];
      return [[m.id, { expectedUm: leftOfDepth(m, sets.findLast((s) => s.at <= seenAt)?.stations ?? [], after) }]];
    }),
  );
};
