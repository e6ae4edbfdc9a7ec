import { memo, type ReactNode } from 'react';
import type { Judgement } from '@/core/judge/judge';
import type { MakersLimit } from '@/core/judge/limits';
import { sayConfidence } from '@/core/judge/say-covers';
import { sealName } from '@/core/judge/say-mark';
import { spareOf } from '@/core/judge/spare';
import { figures } from '@/core/quantity/figure';
import { sayDia } from '@/core/quantity/say';
import { RULES, type RuleName } from '@/core/rules/rule-set';
import { SCHOOL_WORDS, type School } from '@/core/rules/school';
import { OUTCOME_WORDS, VerdictSign } from '../drawing/verdict-sign';
import { Go } from '../shell/go';
import { useUnits } from '../shell/units-context';
import { Scroll } from '../unit/scroll';
import { Word } from '../unit/word';

/** The verdict in one word with its sign, then its arithmetic as a ladder, then the reasons. */
export function VerdictPanel({
  answer,
  pistonDiaMm,
  makersLimit,
  school,
  covers,
}: {
  readonly answer: Judgement;
  readonly pistonDiaMm: number;
  readonly makersLimit: MakersLimit | null | undefined;
  /** By which the bore is saved. */
  readonly school: School;
  /** What it rests on, and what it does not cover. */
  readonly covers: readonly string[];
}) {
  const units = useUnits();
  const { targetDiaMm, limitDiaMm, gauge, decides } = answer;
  const spareMm = spareOf(answer);
  const widestMm = decides?.highMm ?? gauge?.maxMm;
  const uncertainty = gauge?.expandedUncertaintyMm ?? 0;
  return (
    <div>
      <div className="mb-3 flex items-center gap-4">
        <VerdictSign outcome={answer.outcome} size={60} />
        <div>
          <p className="text-[28px] leading-tight font-bold" data-testid="verdict">
            {OUTCOME_WORDS[answer.outcome]}
          </p>
          {targetDiaMm !== null && (
            <p className="text-ink2">
              until the narrowest place of the lanes is <b className="text-ink">{sayDia(targetDiaMm, units)}</b> {units.length}, then gauge
              again
            </p>
          )}
        </div>
      </div>
      <table className="w-full">
        <tbody>
          <Rung
            name={
              <>
                <Word of="limit" />
                {decides === undefined ? '' : `, ${sealName(decides.sealId)}`}
              </>
            }
            note={<LimitNote answer={answer} pistonDiaMm={decides?.pistonDiaMm ?? pistonDiaMm} makers={makersLimit} />}
            value={sayDia(limitDiaMm, units)}
          />
          <Rung
            name={
              <>
                <Word of="uncertainty" /> of the gauge
              </>
            }
            value={`− ${sayDia(uncertainty, units)}`}
          />
          {targetDiaMm !== null && <Rung name={<Word of="target" />} value={`− ${sayDia(targetDiaMm, units)}`} />}
          {targetDiaMm === null && widestMm !== undefined && (
            <Rung name={decides === undefined ? 'widest now' : 'widest now in its lane'} value={`− ${sayDia(widestMm, units)}`} />
          )}
          <tr className="border-t border-ink font-bold">
            <th scope="row" className="py-1 text-left">
              to spare
            </th>
            <td className="py-1 text-right">
              {spareMm === null ? '–' : sayDia(spareMm, units)} <span className="text-[12px] font-normal text-ink2">{units.length}</span>
            </td>
          </tr>
        </tbody>
      </table>
      {widestMm !== undefined && <MarginBar nowMm={widestMm} targetMm={targetDiaMm} limitMm={limitDiaMm} uncertaintyMm={uncertainty} />}
      {answer.confidence !== null && <p className="text-ink2">{sayConfidence(answer.confidence)}</p>}
      <div className="mt-2 grid gap-1.5">
        {answer.reasons.map((r) => (
          <p key={r}>{r}</p>
        ))}
        {answer.toDo.map((t) => (
          <p key={t.text} className="border-l-4 border-amber pl-3">
            {t.text}
          </p>
        ))}
      </div>
      <div className="mt-2 text-[13px] text-ink2">
        <p>
          <Word of="school">School</Word>: {SCHOOL_WORDS[school]}.
        </p>
        {covers.map((t) => (
          <p key={t}>{t}</p>
        ))}
      </div>
      <Scroll label="Why each mark is judged so" className="mt-1.5 max-h-96">
        {answer.marks.map((m) => (
          <Sentence key={m.id} name={m.id} reason={m.reason} leak={m.grooveLeakMlPerMin} />
        ))}
      </Scroll>
    </div>
  );
}

const Sentence = memo(({ name, reason, leak }: { readonly name: string; readonly reason: string; readonly leak: number | undefined }) => (
  <p className="mb-1.5 text-ink2">
    <b className="text-ink">{name}</b> {reason}
    {leak === undefined ? '' : ` Left as it is it would pass some ${figures(leak, 1)} ml/min.`}
  </p>
));

/** What the limit is made of, each rule by its link. */
function LimitNote({
  answer,
  pistonDiaMm,
  makers,
}: {
  readonly answer: Judgement;
  readonly pistonDiaMm: number;
  readonly makers: MakersLimit | null | undefined;
}) {
  const units = useUnits();
  if (makers != null) return 'the maker’s';
  const { clearanceMaxMm, oversizeMaxMm } = answer.rulesUsed;
  const clearance = clearanceMaxMm ?? 0;
  return Math.abs(pistonDiaMm + clearance - answer.limitDiaMm) < 1e-9 ? (
    <>
      piston {sayDia(pistonDiaMm, units)} + <RuleLink name="clearanceMaxMm">{sayDia(clearance, units)}</RuleLink>
    </>
  ) : (
    <>
      nominal + <RuleLink name="oversizeMaxMm">{sayDia(oversizeMaxMm ?? 0, units)}</RuleLink>
    </>
  );
}

const RuleLink = ({ name, children }: { readonly name: RuleName; readonly children: string }) => (
  <Go href={`/rules#${name}`} title={RULES[name].label} className="text-act">
    {children}
  </Go>
);

const Rung = ({ name, note, value }: { readonly name: ReactNode; readonly note?: ReactNode; readonly value: string }) => (
  <tr>
    <th scope="row" className="py-0.5 text-left font-normal">
      {name} <span className="text-[12px] text-ink2">{note}</span>
    </th>
    <td className="py-0.5 text-right">{value}</td>
  </tr>
);

function MarginBar({
  nowMm,
  targetMm,
  limitMm,
  uncertaintyMm,
}: {
  readonly nowMm: number;
  readonly targetMm: number | null;
  readonly limitMm: number;
  readonly uncertaintyMm: number;
}) {
  const [low, high] = [Math.min(nowMm, limitMm) - 0.02, Math.max(limitMm, targetMm ?? nowMm, nowMm) + 0.012];
  const x = (mm: number): number => ((mm - low) / (high - low)) * 340;
  const to = targetMm ?? nowMm;
  return (
    <svg
      viewBox="0 -16 340 50"
      className="my-1 h-auto w-full max-w-md"
      role="img"
      aria-label="Where the bore, the target and the limit stand"
    >
      <path d="M0 10H340" stroke="var(--ink2)" />
      <rect
        x={x(limitMm - uncertaintyMm)}
        y="1"
        width={x(limitMm) - x(limitMm - uncertaintyMm)}
        height="18"
        fill="var(--red)"
        opacity="0.25"
      />
      {targetMm !== null && <rect x={x(nowMm)} y="6" width={Math.max(0, x(to) - x(nowMm))} height="8" fill="var(--ink2)" opacity="0.45" />}
      <path d={`M${x(nowMm)} 2V18M${x(to)} 2V18`} stroke="var(--ink)" strokeWidth="2" />
      <path d={`M${x(limitMm)} -1V21`} stroke="var(--red)" strokeWidth="2.5" />
      <text x={x(limitMm)} y="-5" textAnchor="middle" fontSize="12" fill="var(--red)">
        limit
      </text>
      <text x={x(nowMm)} y="32" textAnchor="middle" fontSize="12" fill="var(--ink2)">
        now
      </text>
      {targetMm !== null && x(to) - x(nowMm) > 40 && (
        <text x={x(to)} y="32" textAnchor="middle" fontSize="12" fill="var(--ink2)">
          target
        </text>
      )}
    </svg>
  );
}
