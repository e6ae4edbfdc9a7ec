import type { Judgement } from '@/core/judge/judge';
import { type Difference, rejudged } from '@/core/judge/rejudged';
import type { SavedVerdict } from '@/core/judge/saved-verdict';
import { sayDia } from '@/core/quantity/say';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import type { Units } from '@/core/quantity/units';
import { RULES, type RuleName } from '@/core/rules/rule-set';
import { OUTCOME_WORDS } from '../drawing/verdict-sign';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';

/** What the judgement on this page says otherwise than the one on record. The record stays until it is saved anew. */
export function Rejudged({ saved, answer }: { readonly saved: Pick<SavedVerdict, 'at' | 'answer'>; readonly answer: Judgement }) {
  const units = useUnits();
  const { now } = useStation();
  const differences = rejudged(saved.answer, answer);
  if (differences.length === 0) return null;
  return (
    <section className="mt-3 border-l-4 border-amber pl-3">
      <h3 className="font-bold" title={sayFullDate(saved.at)}>
        Otherwise than judged {sayWhen(saved.at, now)}
      </h3>
      <ul>
        {differences.map((d) => (
          <li key={d.what === 'mark' ? d.id : d.what === 'rule' ? d.name : d.what}>{sayDifference(d, units)}</li>
        ))}
      </ul>
    </section>
  );
}

const sayDifference = (d: Difference, units: Units): string => {
  switch (d.what) {
    case 'outcome':
      return `${OUTCOME_WORDS[d.from]} → ${OUTCOME_WORDS[d.to]}`;
    case 'target':
    case 'limit':
      return `${d.what} ${d.fromMm === null ? 'none' : sayDia(d.fromMm, units)} → ${d.toMm === null ? 'none' : `${sayDia(d.toMm, units)} ${units.length}`}`;
    case 'mark':
      return `${d.id}: ${d.from === null ? 'new' : OUTCOME_WORDS[d.from].toLowerCase()} → ${d.to === null ? 'removed' : OUTCOME_WORDS[d.to].toLowerCase()}`;
    case 'rule':
      return `${RULES[d.name as RuleName]?.label ?? d.name}: ${d.from ?? 'by table'} → ${d.to ?? 'by table'}`;
  }
};
