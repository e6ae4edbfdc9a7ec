'use client';

import { PART_KINDS } from '@/core/family/part-kind';
import { CHECK_WORDS, CHECKS, inspectPart } from '@/core/strip/inspect';
import { usualFate } from '@/core/strip/tray';
import type { TrayPart } from '@/core/strip/tray-schema';
import { LengthField } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';

type Told = Partial<Pick<TrayPart, 'checks' | 'condition' | 'fate'>>;

const VERDICTS = { good: 'Good to go back', replace: 'Replace it', open: 'Not decided yet' } as const;

/** What is checked on a part before it is trusted again, and the verdict with its numbers. A verdict to replace sets the fate. */
export function Inspect({ part, tell }: { readonly part: TrayPart; readonly tell: (part: TrayPart, told: Told) => void }) {
  const units = useUnits();
  const { rules, open } = useStation();
  const verdict = inspectPart(part, rules);
  const say = (name: string, value: number | string | null): void => {
    const { [name]: _, ...rest } = part.checks;
    const checks = value === null ? rest : { ...rest, [name]: value };
    const after = inspectPart({ kind: part.kind, checks }, rules)?.verdict;
    if (after === 'replace')
      return tell(part, { checks, condition: part.condition === 'good' ? 'worn' : (part.condition ?? 'worn'), fate: 'replaced' });
    if (after === 'good' && part.condition === null)
      return tell(part, { checks, condition: 'good', fate: part.fate ?? usualFate(part.kind, 'good') });
    tell(part, { checks });
  };
  return (
    <div className="flex flex-wrap gap-x-6 gap-y-2 py-1">
      <div className="flex flex-wrap items-end gap-3">
        {(CHECKS[part.kind] ?? []).map((c) =>
          'figure' in c ? (
            <LengthField
              key={c.name}
              className="w-32"
              label={`${c.label}, ${units.length}`}
              fine={c.fine === true}
              value={typeof part.checks[c.name] === 'number' ? (part.checks[c.name] as number) : null}
              disabled={!open}
              onSay={(mm) => say(c.name, mm)}
            />
          ) : (
            <SelectField
              key={c.name}
              label={c.label}
              className="w-32"
              disabled={!open}
              value={part.checks[c.name]?.toString()}
              options={c.words}
              say={CHECK_WORDS}
              none="look"
              onSay={(value) => say(c.name, value)}
            />
          ),
        )}
      </div>
      <div role="status" className="min-w-56 flex-1 border-l-4 border-line pl-3">
        <p className={`font-bold ${verdict?.verdict === 'replace' ? 'text-red' : ''}`}>{VERDICTS[verdict?.verdict ?? 'open']}</p>
        {verdict?.reasons.map((r) => (
          <p key={r} className="text-[13px]">
            {r}
          </p>
        ))}
        <p className="text-[13px] text-ink2">{PART_KINDS[part.kind].look}</p>
      </div>
    </div>
  );
}
