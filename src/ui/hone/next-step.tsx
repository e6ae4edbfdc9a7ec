import type { HonePlan } from '@/core/hone/hone-plan';
import { sayDepth, sayDia } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';

/** What to do now, large enough to be read from the machine. */
export function NextStep({
  plan,
  nowMm,
  targetMm,
  limitMm,
  way,
}: {
  readonly plan: HonePlan;
  readonly nowMm: number;
  readonly targetMm: number;
  readonly limitMm: number;
  /** How the stones are moved, where that is not as planned. */
  readonly way: string | undefined;
}) {
  const units = useUnits();
  const stage = plan.stages[0];
  return (
    <section aria-live="polite">
      <h2 className="head mb-1">NOW</h2>
      {plan.outcome === 'cut' && stage !== undefined && (
        <>
          <p className="leading-none">
            <b className="text-[64px]">{stage.gaugeAfterStrokes}</b> <span className="text-2xl">strokes at {stage.grit}</span>
          </p>
          <p className="mb-2 text-2xl">then gauge</p>
          {way !== undefined && <p className="mb-2 border-l-4 border-act pl-2">{way}</p>}
        </>
      )}
      {plan.outcome === 'on-size' && <p className="text-3xl font-bold">On size. Wash, dry, gauge.</p>}
      {plan.outcome === 'past-limit' && (
        <p className="text-2xl font-bold text-red">Past the limit. Stop: gauge again, it is a sleeve or scrap now.</p>
      )}
      {plan.outcome === 'unreachable' && <p className="text-2xl font-bold text-red">Not with this stone.</p>}
      <dl className="mt-1 grid grid-cols-[1fr_auto] gap-y-1">
        <dt>narrowest in the lanes now</dt>
        <dd className="text-right font-bold">{sayDia(nowMm, units)}</dd>
        <dt>target, for the narrowest</dt>
        <dd className="text-right font-bold">{sayDia(targetMm, units)}</dd>
        <dt>to go</dt>
        <dd className="text-right font-bold">{sayDepth(plan.remainingUm, units)}</dd>
        <dt>never past, at the widest</dt>
        <dd className="text-right font-bold text-red">{sayDia(limitMm, units)}</dd>
      </dl>
      {plan.warnings.map((w) => (
        <p key={w.text} className="mt-2 border-l-4 border-amber pl-2">
          {w.text}
        </p>
      ))}
    </section>
  );
}
