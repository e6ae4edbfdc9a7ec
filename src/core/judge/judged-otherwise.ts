import type { Rules } from '../rules/rule-set';
import { type Schools, withSchool } from '../rules/schools';
import type { Exit } from '../station';
import { type JudgeInput, type Judgement, judgeBore } from './judge';
import type { BoreOutcome } from './outcome';

/** A judgement as it was saved, with what it was made from. */
export type JudgedCase = {
  readonly tagNo: number;
  /** Which bore of the unit, from 1. */
  readonly pot: number;
  readonly exit: Exit | null;
  readonly input: JudgeInput;
  readonly was: Pick<Judgement, 'outcome' | 'targetDiaMm'>;
};

export type Otherwise = {
  readonly tagNo: number;
  readonly pot: number;
  readonly exit: Exit | null;
  readonly from: BoreOutcome;
  readonly to: BoreOutcome;
  readonly fromTargetMm: number | null;
  readonly toTargetMm: number | null;
};

/** Which bores would be judged otherwise under other rules: another outcome, or another target. */
export const judgedOtherwise = (cases: readonly JudgedCase[], rules: Rules, schools: Schools): readonly Otherwise[] =>
  cases.flatMap(({ tagNo, pot, exit, input, was }) => {
    const now = judgeBore(withSchool(input, schools), rules);
    if (now.outcome === was.outcome && now.targetDiaMm === was.targetDiaMm) return [];
    return [{ tagNo, pot, exit, from: was.outcome, to: now.outcome, fromTargetMm: was.targetDiaMm, toTargetMm: now.targetDiaMm }];
  });
