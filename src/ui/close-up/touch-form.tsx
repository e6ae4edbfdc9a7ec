'use client';

import type { Touch } from '@/core/fluid/contact';
import { FLUID_NAMES, FLUIDS, mixingOf } from '@/core/fluid/fluid';
import { LUBRICANT_NAMES, LUBRICANTS, type LubricantName } from '@/core/fluid/lubricant';
import { RUBBER_NAMES, RUBBERS, type RubberName } from '@/core/fluid/rubber';
import { Choices } from '../field/choices';
import { LengthField } from '../field/quantity-field';
import { useUnits } from '../shell/units-context';

const FLUSHES = [
  { value: 'no', text: 'not flushed' },
  { value: 'to-flush', text: 'the fitter will' },
  { value: 'flushed', text: 'flushed' },
] as const;

/** What fluid, rubber and lubricant meet, to be chosen; a spare piece’s swell where nobody can say the rubber. */
export function TouchForm({
  touch,
  stated,
  onSay,
}: {
  readonly touch: Touch;
  /** The rubber that the bag names. */
  readonly stated: RubberName | null;
  readonly onSay: (touch: Touch) => void;
}) {
  const units = useUnits();
  const { fluid, wasFluid, rubber, swell } = touch;
  const rubberOptions = RUBBER_NAMES.map((r) => ({ value: r, text: RUBBERS[r] }));
  const say = (more: Partial<Touch>): void => onSay({ ...touch, ...more });
  const piece = (which: 'beforeMm' | 'afterMm', mm: number | null): void =>
    say({ swell: mm === null ? null : { beforeMm: swell?.beforeMm ?? mm, afterMm: swell?.afterMm ?? mm, [which]: mm } });
  return (
    <div className="grid gap-3">
      <Pick
        label="Fluid of the system"
        none="choose"
        value={fluid}
        names={FLUID_NAMES}
        word={(f) => FLUIDS[f].label}
        onPick={(f) => say({ fluid: f })}
      />
      <Pick
        label="What was in it"
        none="not known"
        value={wasFluid}
        names={FLUID_NAMES}
        word={(f) => FLUIDS[f].label}
        onPick={(f) => say({ wasFluid: f })}
      />
      {fluid !== null && wasFluid !== null && mixingOf(wasFluid, fluid) === 'flush' && (
        <Choices label="The lines" value={touch.flush} options={FLUSHES} onPick={(flush) => say({ flush })} />
      )}
      <div>
        <p className="label">Rubber of the new seals{stated === null ? '' : `, ${RUBBERS[stated]} by its bag`}</p>
        <Choices label="Rubber" value={rubber ?? stated} options={rubberOptions} onPick={(r) => say({ rubber: r })} />
      </div>
      {(rubber === null && stated === null) || swell !== null ? (
        <details open={swell !== null}>
          <summary className="min-h-9 cursor-pointer font-bold text-act">Nobody knows the rubber: swell test</summary>
          <p className="mb-2">
            Measure a spare or surplus piece, put a drop of mineral oil over it, and measure again after a day. Start the wait for it below.
            The piece goes in the bin: it has had oil.
          </p>
          <div className="flex flex-wrap gap-2">
            <LengthField
              className="w-32"
              label={`before, ${units.length}`}
              fine
              value={swell?.beforeMm ?? null}
              onSay={(mm) => piece('beforeMm', mm)}
            />
            <LengthField
              className="w-32"
              label={`after, ${units.length}`}
              fine
              value={swell?.afterMm ?? null}
              onSay={(mm) => piece('afterMm', mm)}
            />
          </div>
        </details>
      ) : null}
      <Pick
        label="Wetted with, to go in"
        value={touch.lubricant}
        names={LUBRICANT_NAMES}
        word={(l: LubricantName) => LUBRICANTS[l].label}
        onPick={(l) => l !== null && say({ lubricant: l })}
      />
    </div>
  );
}

function Pick<T extends string>({
  label,
  none,
  value,
  names,
  word,
  onPick,
}: {
  readonly label: string;
  /** What an open choice is called; absent: there is none. */
  readonly none?: string;
  readonly value: T | null;
  readonly names: readonly T[];
  readonly word: (name: T) => string;
  readonly onPick: (name: T | null) => void;
}) {
  return (
    <label className="label mb-0">
      {label}
      <select className="field text-ink" value={value ?? ''} onChange={(e) => onPick(names.find((n) => n === e.target.value) ?? null)}>
        {none !== undefined && <option value="">{none}</option>}
        {names.map((n) => (
          <option key={n} value={n}>
            {word(n)}
          </option>
        ))}
      </select>
    </label>
  );
}
