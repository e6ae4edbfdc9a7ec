import type { Geometry } from '@/core/family/geometry';
import { laneOf } from '@/core/family/lane';
import { openLanes } from '@/core/gauge/coverage';
import type { BoreForm } from '@/core/gauge/gauge';
import { furtherDepths } from '@/core/gauge/suggest-grid';
import { sealName } from '@/core/judge/say-mark';
import { sayLength } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';

/** What is still open, lane by lane, while the bore is gauged; one press offers the depths as empty cells. */
export function OpenDepths({
  form,
  bore,
  onAdd,
}: {
  readonly form: BoreForm;
  readonly bore: Geometry;
  /** Undefined where nothing may be gauged now. */
  readonly onAdd: ((depthsMm: readonly number[]) => void) | undefined;
}) {
  const units = useUnits();
  const { rules } = useStation();
  const open = openLanes({ ...bore, lanes: bore.seals.map((s) => laneOf(s, rules.laneMarginMm)), stations: form.stations, rules });
  const depths = furtherDepths(bore, form, rules);
  const said = (xMm: readonly number[]): string => xMm.map((x) => sayLength(x, units)).join(', ');
  return (
    <section className="mt-4">
      <h2 className="head mb-1">STILL OPEN</h2>
      {open.length === 0 ? (
        <p className="text-ink2">Every lane is gauged at rest, at the end of its travel and in between.</p>
      ) : (
        <ul>
          {open.map((lane) => (
            <li key={lane.sealId} className="text-amber">
              {sealName(lane.sealId)}: {said(lane.xMm)} {units.length}
            </li>
          ))}
        </ul>
      )}
      {open.length === 0 && depths.length > 0 && (
        <p className="mt-1 text-ink2">
          Neighbours differ by more than the gauge’s doubt: closer, at {said(depths)} {units.length}.
        </p>
      )}
      {depths.length > 0 && onAdd !== undefined && (
        <button type="button" className="btn-quiet mt-1" onClick={() => onAdd(depths)}>
          Add {depths.length === 1 ? 'this depth' : `these ${depths.length} depths`}
        </button>
      )}
    </section>
  );
}
