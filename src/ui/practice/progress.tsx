import { PRACTICE_KIND_NAMES, PRACTICE_KINDS, type PracticeKind } from '@/core/practice/kinds';
import type { Sits } from '@/core/practice/path';
import { sayDate } from '@/core/quantity/say-time';
import { Scroll } from '../unit/scroll';

/** How each kind sits, in the order in which a beginner meets them: one’s own, beside nobody’s. */
export function Progress({
  sits,
  now,
  onPick,
}: {
  readonly sits: readonly Sits[];
  readonly now: number | undefined;
  readonly onPick: (kind: PracticeKind) => void;
}) {
  return (
    <Scroll label="Your practice by kind" className="border-t border-line pt-3">
      <table className="w-full border-collapse bg-sheet">
        <caption className="mb-1 text-left font-bold">Your practice</caption>
        <thead>
          <tr>
            {['Kind', 'Who can do it', 'Level', 'Tried', 'Right', 'Met again'].map((h) => (
              <th key={h} scope="col" className="th">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {PRACTICE_KIND_NAMES.map((kind) => {
            const own = sits.find((s) => s.kind === kind);
            return (
              <tr key={kind}>
                <th scope="row" className="cell">
                  <button type="button" className="min-h-[44px] text-left font-bold text-act" onClick={() => onPick(kind)}>
                    {PRACTICE_KINDS[kind].label}
                  </button>
                </th>
                <td className="cell text-ink2">{PRACTICE_KINDS[kind].teaches}</td>
                <td className="cell">{own?.level ?? '–'}</td>
                <td className="cell">{own?.tried ?? 0}</td>
                <td className="cell">{own?.right ?? 0}</td>
                <td className="cell">
                  {own === undefined ? 'not met yet' : now !== undefined && own.dueAt <= now ? 'now' : sayDate(own.dueAt)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Scroll>
  );
}
