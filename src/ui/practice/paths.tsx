import { FAMILIES } from '@/core/family/families';
import type { FamilyName } from '@/core/family/family-name';
import { PRACTICE_KINDS, type PracticeKind } from '@/core/practice/kinds';
import type { FamilyPath } from '@/core/practice/path';
import { Scroll } from '../unit/scroll';

/** A beginner’s path: each family in turn, with what is known of it and what is ahead. */
export function Paths({
  paths,
  onPick,
}: {
  readonly paths: readonly FamilyPath[];
  readonly onPick: (family: FamilyName, kind: PracticeKind) => void;
}) {
  return (
    <Scroll label="Family by family" className="border-t border-line pt-3">
      <table className="w-full border-collapse bg-sheet">
        <caption className="mb-1 text-left font-bold">Family by family: a kind is known after two right in a row</caption>
        <tbody>
          {paths.map(({ family, known, ahead: [first, ...later] }) => (
            <tr key={family}>
              <th scope="row" className="cell">
                {FAMILIES[family].label}
              </th>
              <td className="cell">
                {first === undefined ? (
                  '✓ known'
                ) : (
                  <button type="button" className="min-h-[44px] text-left font-bold text-act" onClick={() => onPick(family, first)}>
                    {known.length === 0 ? 'Begin' : 'Go on'}: {PRACTICE_KINDS[first].label}
                  </button>
                )}
              </td>
              <td className="cell text-ink2">
                {known.map((k) => `✓ ${PRACTICE_KINDS[k].label}`).join(', ')}
                {known.length > 0 && later.length > 0 && '; '}
                {later.length > 0 && `then ${later.map((k) => PRACTICE_KINDS[k].label).join(', ')}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scroll>
  );
}
