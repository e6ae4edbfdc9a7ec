import { potAsked } from '@/core/family/pots';
import type { Otherwise } from '@/core/judge/judged-otherwise';
import { fixed } from '@/core/quantity/figure';
import { EXIT_WORDS } from '@/core/station';
import { tagOf } from '@/core/unit/unit-record';
import { OUTCOME_WORDS, VerdictSign } from '../drawing/verdict-sign';
import { Go } from '../shell/go';

/** Units that would be judged otherwise, open ones first. What was saved stays as it was judged. */
export function Preview({ judged, otherwise }: { readonly judged: number; readonly otherwise: readonly Otherwise[] }) {
  if (otherwise.length === 0)
    return <p className="mb-2 border-l-4 border-line bg-sheet px-3 py-2">None of {judged} judged bores would be judged otherwise.</p>;
  const sorted = [...otherwise].sort((a, b) => Number(a.exit !== null) - Number(b.exit !== null));
  return (
    <div className="mb-2 border border-line bg-sheet p-3" role="status">
      <p className="font-bold">
        {otherwise.length} of {judged} judged bores would be judged otherwise. What was saved stays as it was.
      </p>
      <ul className="max-h-52 overflow-y-auto">
        {sorted.map((o) => (
          <li key={`${o.tagNo} ${o.pot}`} className="flex flex-wrap items-center gap-2 border-b border-hair py-1 last:border-b-0">
            <Go href={`/units/${tagOf(o)}/judge${potAsked(o.pot)}`} className="min-w-24 font-bold text-act">
              {tagOf(o)}
              {o.pot === 1 ? '' : `, pot ${o.pot}`}
            </Go>
            <VerdictSign outcome={o.from} size={16} />
            {OUTCOME_WORDS[o.from].toLowerCase()} {o.fromTargetMm === null ? '' : fixed(o.fromTargetMm, 3)} →
            <VerdictSign outcome={o.to} size={16} />
            <b>
              {OUTCOME_WORDS[o.to].toLowerCase()} {o.toTargetMm === null ? '' : fixed(o.toTargetMm, 3)}
            </b>
            {o.exit !== null && <span className="text-ink2">{EXIT_WORDS[o.exit]}</span>}
          </li>
        ))}
      </ul>
    </div>
  );
}
