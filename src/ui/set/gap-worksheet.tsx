'use client';

import { type ComponentProps, type ReactNode, useState } from 'react';
import { DEPTH_PAIRS, type GapField, type GapSheet, gapQuery, gapQuestion, impossibleReadings } from '@/core/set/gap-sheet';
import { gapAsText } from '@/core/set/say-gap';
import { secondReadings } from '@/core/set/second-readings';
import { type GapRules, setup, setupProblems } from '@/core/set/setup';
import { LengthField } from '../field/quantity-field';
import { late } from '../shell/late';
import { useUnits } from '../shell/units-context';
import { useAddress } from '../shell/use-address';
import { SumButtons } from '../sums/sum-buttons';
import { GapAnswer } from './gap-answer';
import { GapDrawing } from './gap-drawing';
import { DEPTHS, GapFields, MoreGapFields, SecondFields, StepField } from './gap-fields';
import type { GapWarmth as Warmth } from './gap-warmth';

const GapWarmth = late<ComponentProps<typeof Warmth>>(async () => (await import('./gap-warmth')).GapWarmth);

/** The pushrod's gap from four depths: each reading beside the length it fills, the sums in full, and what to turn. It stands in the address. */
export function GapWorksheet({
  start,
  rules,
  address,
  children,
}: {
  readonly start: GapSheet;
  readonly rules: GapRules;
  /** The page's own, where the sheet is to stand in it. */
  readonly address?: string;
  /** What is done with the sheet once it has an answer. */
  readonly children?: (sheet: GapSheet) => ReactNode;
}) {
  const units = useUnits();
  const [sheet, setSheet] = useState(start);
  useAddress(address, gapQuery(sheet));
  const question = gapQuestion(sheet);
  const impossible = impossibleReadings(sheet);
  const wrongAim = question === undefined ? [] : setupProblems(question, rules).map((p) => `The gap to set ${p.message}.`);
  const wrong = [...impossible, ...wrongAim];
  const answer = question === undefined ? undefined : setup(question, rules);
  const second = secondReadings(sheet, DEPTH_PAIRS);
  // Read twice is what decides: a gap that must be turned is measured anew anyway.
  const twice = answer?.verdict === 'ok' || second.missing.length < DEPTH_PAIRS.length;
  const say = (f: GapField, value: number | null): void => setSheet((s) => ({ ...s, [f]: value ?? undefined }));
  return (
    <div className="grid gap-4">
      <GapDrawing sheet={sheet} gapMm={impossible.length > 0 ? undefined : answer?.gapMm} />
      <div className="flex flex-wrap items-end gap-3">
        <GapFields fields={DEPTHS} sheet={sheet} say={say} />
        <StepField sheet={sheet} say={say} />
      </div>
      {twice && impossible.length === 0 && <SecondFields way="depths" sheet={sheet} say={say} />}
      <div aria-live="polite">
        {wrong.map((t) => (
          <p key={t} className="mb-2 border-l-4 border-red pl-3">
            {t}
          </p>
        ))}
        {answer === undefined && wrong.length === 0 && (
          <p className="text-ink2">
            The gap cannot be measured directly: it is what two differences of two depths leave. Enter the four; the drawing says which is
            which.
          </p>
        )}
        {answer !== undefined && impossible.length === 0 && <GapAnswer answer={answer} sheet={sheet} second={second} />}
      </div>
      {answer !== undefined && impossible.length === 0 && (
        <div className="flex flex-wrap items-end gap-3">
          <LengthField
            label={`Gap to set, ${units.length}`}
            className="w-40"
            fine
            say="typing"
            value={sheet.target ?? answer.rulesUsed.gapTargetMm}
            onSay={(mm) => say('target', mm)}
          />
          <LengthField
            label={`Longer by, − shorter, ${units.length}`}
            className="w-40"
            fine
            say="typing"
            value={answer.rodChangeMm}
            onSay={(mm) => say('target', mm === null ? null : Math.round((answer.gapMm - mm) * 1e6) / 1e6)}
          />
          <p className="pb-2.5 text-ink2">Either gives the other: the gap after is the gap to set.</p>
        </div>
      )}
      <MoreGapFields sheet={sheet} say={say} onHand={(oneLeftHanded) => setSheet((s) => ({ ...s, oneLeftHanded }))} />
      {answer !== undefined && question?.thermal != null && impossible.length === 0 && (
        <GapWarmth gapMm={answer.gapMm} thermal={question.thermal} rules={answer.rulesUsed} />
      )}
      {answer !== undefined && question !== undefined && wrong.length === 0 && (
        <SumButtons text={gapAsText(question, answer, second, units)}>{children?.(sheet)}</SumButtons>
      )}
    </div>
  );
}
