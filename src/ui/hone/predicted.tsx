'use client';

import type { Help, HelpName, Prediction, PredictionInput } from '@/core/hone/predicted-cut';
import { sayHelp } from '@/core/hone/say-help';
import { sayDepth, sayDia, sayLength } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';
import { useWorker } from '../shell/use-worker';

const openWorker = (): Worker => new Worker(new URL('./prediction.worker.ts', import.meta.url), { type: 'module' });

/** How wide the cut leaves the lanes, held against the limit before metal is cut; past it, what would help, as the model finds it. */
export function Predicted({
  input,
  limitMm,
  uncertaintyMm,
  chosen,
  onTry,
}: {
  readonly input: PredictionInput;
  readonly limitMm: number;
  /** Expanded, of the gauge. */
  readonly uncertaintyMm: number;
  /** What is tried now. */
  readonly chosen: HelpName | undefined;
  readonly onTry: (help: Help | undefined) => void;
}) {
  const units = useUnits();
  const said = useWorker<PredictionInput, Prediction>(openWorker, input);
  if (said === undefined) return <p className="text-ink2">Trying the cut in the model …</p>;
  const { planned, helps } = said;
  const pastMm = (widestMm: number): number => widestMm + uncertaintyMm - limitMm;
  const past = pastMm(planned.widestMm) > 0;
  return (
    <section aria-live="polite" className={past ? 'border-l-4 border-red pl-3' : ''}>
      <h2 className="head mb-1">AS THE MODEL SEES IT</h2>
      <p className={past ? 'font-bold text-red' : ''}>
        With the narrowest place on size, the widest in the lanes is {sayDia(planned.widestMm, units)} {units.length},{' '}
        {sayLength(planned.atMm, units)} {units.length} from the mouth.{' '}
        {past
          ? `With the gauge’s ${sayDia(uncertaintyMm, units)} that is past the limit by ${sayDepth(1000 * pastMm(planned.widestMm), units)}.`
          : `With the gauge’s ${sayDia(uncertaintyMm, units)} it stays within the limit by ${sayDepth(-1000 * pastMm(planned.widestMm), units)}.`}
      </p>
      {past && helps.length === 0 && <p className="mt-1">Nothing that the model knows of helps: a sleeve, or a lead decides.</p>}
      {past && helps.length > 0 && (
        <ul className="mt-1">
          {helps.map((h) => (
            <li key={h.name} className="flex items-center justify-between gap-3 border-t border-hair py-1">
              <p>
                {sayHelp(h, input.blindEnd, units)}{' '}
                <b>
                  {sayDia(h.widestMm, units)}, {pastMm(h.widestMm) > 0 ? 'still past it' : 'within the limit'}.
                </b>
              </p>
              <button
                type="button"
                className="btn-quiet shrink-0"
                aria-pressed={h.name === chosen}
                onClick={() => onTry(h.name === chosen ? undefined : h)}
              >
                {h.name === chosen ? 'As planned' : 'Try it'}
              </button>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-1 text-[13px] text-ink2">A model: gauge between passes all the same, at the widest place too.</p>
    </section>
  );
}
