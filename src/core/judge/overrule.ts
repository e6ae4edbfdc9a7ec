import { sayDia } from '../quantity/say';
import { METRIC } from '../quantity/units';
import type { Judgement } from './judge';
import type { BoreOutcome } from './outcome';

/** What a lead may decide against the arithmetic; a cut needs its target. */
export const OVERRULINGS = ['reuse', 'polish', 'hone', 'sleeve', 'scrap'] as const;

/** A lead's word over a judgement, with the reason. The judgement itself stays as it was computed. */
export type Overrule = {
  readonly outcome: (typeof OVERRULINGS)[number];
  readonly targetDiaMm: number | null;
  readonly reason: string;
  readonly personId: string;
  readonly at: number;
};

const WORD: { readonly [O in BoreOutcome]: string } = {
  reuse: 'reuse',
  polish: 'polish',
  hone: 'hone',
  sleeve: 'sleeve',
  scrap: 'scrap',
  undecided: 'undecided',
};
const said = (o: BoreOutcome, targetMm: number | null): string =>
  targetMm === null ? WORD[o] : `${WORD[o]} to ${sayDia(targetMm, METRIC)} mm`;

/** A judgement as it counts: the lead's outcome and target in place of the computed ones, and a first reason that says both. */
export const overruled = (answer: Judgement, over: Overrule | null): Judgement =>
  over === null
    ? answer
    : {
        ...answer,
        outcome: over.outcome,
        targetDiaMm: over.targetDiaMm,
        marginMm: null,
        confidence: null,
        toDo: [],
        reasons: [
          `Decided by a lead: ${said(over.outcome, over.targetDiaMm)}. Reason: ${over.reason}. Computed was: ${said(answer.outcome, answer.targetDiaMm)}.`,
          ...answer.reasons,
        ],
      };
