import type { Judgement } from './judge';
import type { BoreOutcome } from './outcome';

/** One thing that a judgement made now says otherwise than the one on record. */
export type Difference =
  | { readonly what: 'outcome'; readonly from: BoreOutcome; readonly to: BoreOutcome }
  | { readonly what: 'target' | 'limit'; readonly fromMm: number | null; readonly toMm: number | null }
  | { readonly what: 'mark'; readonly id: string; readonly from: BoreOutcome | null; readonly to: BoreOutcome | null }
  | { readonly what: 'rule'; readonly name: string; readonly from: number | null; readonly to: number | null };

type Compared = Pick<Judgement, 'outcome' | 'targetDiaMm' | 'limitDiaMm' | 'marks' | 'rulesUsed'>;

/** What differs between a judgement on record and one made now: outcome, target, limit, each mark, and the rules behind them. */
export const rejudged = (saved: Compared, now: Compared): readonly Difference[] => {
  const outcomes = (j: Compared) => new Map(j.marks.map((m) => [m.id, m.outcome]));
  const [was, is] = [outcomes(saved), outcomes(now)];
  const ids = [...new Set([...was.keys(), ...is.keys()])];
  const names = Object.keys({ ...saved.rulesUsed, ...now.rulesUsed }) as (keyof Judgement['rulesUsed'])[];
  return [
    ...(saved.outcome === now.outcome ? [] : [{ what: 'outcome' as const, from: saved.outcome, to: now.outcome }]),
    ...(same(saved.targetDiaMm, now.targetDiaMm) ? [] : [{ what: 'target' as const, fromMm: saved.targetDiaMm, toMm: now.targetDiaMm }]),
    ...(same(saved.limitDiaMm, now.limitDiaMm) ? [] : [{ what: 'limit' as const, fromMm: saved.limitDiaMm, toMm: now.limitDiaMm }]),
    ...ids.flatMap((id) => {
      const [from, to] = [was.get(id) ?? null, is.get(id) ?? null];
      return from === to ? [] : [{ what: 'mark' as const, id, from, to }];
    }),
    ...names.flatMap((name) => {
      const [from, to] = [saved.rulesUsed[name] ?? null, now.rulesUsed[name] ?? null];
      return same(from, to) ? [] : [{ what: 'rule' as const, name, from, to }];
    }),
  ];
};

const same = (a: number | null, b: number | null): boolean => a === b || (a !== null && b !== null && Math.abs(a - b) < 1e-9);
