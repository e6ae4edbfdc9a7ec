'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { checkRingAction } from '@/app/actions/gauge';
import { type Instrument, sayUnfit, whyUnfit } from '@/core/gauge/instrument';
import { covers, sayRange } from '@/core/gauge/unlikely';
import { may } from '@/core/people/role';
import { sayDia } from '@/core/quantity/say';
import { sayWhen } from '@/core/quantity/say-time';
import { saySaveError } from '@/core/unit/save-error';
import { LengthField } from '../field/quantity-field';
import { Told } from '../save/told';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';

/** Which gauge measures, whether its ring check holds, and a check of it now. */
export function InstrumentPick({
  instruments,
  chosen,
  onPick,
  override,
  onOverride,
  nominalMm,
}: {
  readonly instruments: readonly Instrument[];
  readonly chosen: Instrument | undefined;
  readonly onPick: (id: string) => void;
  /** A lead's reason to gauge with it as it is. */
  readonly override: string;
  readonly onOverride: (reason: string) => void;
  readonly nominalMm: number;
}) {
  const units = useUnits();
  const { now, rules, role } = useStation();
  const [checking, setChecking] = useState(false);
  const [ringMm, setRing] = useState<number | null>(nominalMm);
  const [readMm, setRead] = useState<number | null>(null);
  const [told, setTold] = useState<readonly string[]>([]);
  if (instruments.length === 0) return null;
  const unfit = chosen === undefined ? undefined : whyUnfit(chosen, rules, now);
  const check = async (): Promise<void> => {
    const result = await checkRingAction({ checkId: uuidv7(), instrumentId: chosen?.id, ringMm, readMm }).catch(() => undefined);
    setTold(result === undefined ? ['No connection. Try again when it is back.'] : result.ok ? [] : saySaveError(result.error));
    if (result?.ok) {
      setChecking(false);
      setRead(null);
    }
  };
  return (
    <section className="mb-2 border border-hair bg-sheet px-2 py-1">
      <div className="flex flex-wrap items-center gap-x-3 lg:flex-nowrap">
        <label className="label mb-0 flex items-center gap-2">
          Gauge
          <select className="field w-auto text-ink" value={chosen?.id ?? ''} onChange={(e) => onPick(e.target.value)}>
            <option value="" disabled>
              which one?
            </option>
            {instruments.map((i) => (
              <option key={i.id} value={i.id}>
                {i.name}
                {i.range === null ? '' : `, ${sayRange(i.range, units)}`}
              </option>
            ))}
          </select>
        </label>
        {chosen !== undefined && (
          <p className={`text-[13px] ${unfit === undefined ? 'text-ink2' : 'font-bold text-amber'}`}>
            {unfit !== undefined
              ? sayUnfit(chosen.name, unfit)
              : chosen.range !== null && !covers(chosen, nominalMm)
                ? `It measures ${sayRange(chosen.range, units)}; this bore is ${sayDia(nominalMm, units)}: take another.`
                : chosen.lastCheck !== null &&
                  `On its ring ${sayWhen(chosen.lastCheck.at, now)}: ${sayDia(chosen.lastCheck.readMm, units)} on ${sayDia(chosen.lastCheck.ringMm, units)} ${units.length}.`}
            {chosen.posts && unfit === undefined ? ' It posts its readings here.' : ''}
          </p>
        )}
        {chosen !== undefined && (
          <button
            type="button"
            className="btn-quiet ml-auto whitespace-nowrap"
            aria-expanded={checking}
            onClick={() => setChecking(!checking)}
          >
            Check on the ring …
          </button>
        )}
      </div>
      {checking && (
        <div className="mt-2 flex flex-wrap items-end gap-3">
          <LengthField label={`Setting ring, ${units.length}`} fine className="w-28" say="typing" value={ringMm} onSay={setRing} />
          <LengthField label="It reads" fine className="w-28" say="typing" value={readMm} onSay={setRead} />
          <button type="button" className="btn" disabled={ringMm === null || readMm === null} onClick={() => void check()}>
            Checked
          </button>
        </div>
      )}
      {unfit !== undefined && may(role, 'override') && (
        <input
          className="field mt-2 max-w-md"
          aria-label="Reason to gauge with it as it is"
          placeholder="As lead: a reason to gauge with it as it is"
          value={override}
          onChange={(e) => onOverride(e.target.value)}
        />
      )}
      <Told lines={told} />
    </section>
  );
}
