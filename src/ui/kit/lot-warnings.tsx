import { sayDims } from '@/core/family/say-dims';
import { sayFinding } from '@/core/kit/bag';
import type { LotFinding } from '@/core/store/stock-record';
import { tagOf } from '@/core/unit/unit-record';
import { useUnits } from '../shell/units-context';

/** What was found in other bags of the same lots. */
export const LotWarnings = ({ warned }: { readonly warned: readonly LotFinding[] }) => {
  const units = useUnits();
  return warned.map((w) => (
    <p key={`${w.lotId} ${w.at}`} className="border-l-4 border-amber px-3 py-1">
      A bag of this lot, opened for {tagOf(w)}, had:{' '}
      {w.findings.map((f) => sayFinding(w.items, f, (dims) => bracketed(sayDims(dims, units)))).join('; ')}.
    </p>
  ));
};

/** Dimensions behind a name; nothing where none is stated. */
export const bracketed = (said: string): string => (said === '' ? '' : ` (${said})`);
