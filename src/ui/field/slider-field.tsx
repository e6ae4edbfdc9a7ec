'use client';

import { Slider } from 'radix-ui';
import type { ReactNode } from 'react';

/** A quantity that is dragged, or stepped with the arrow keys; what it stands at is said beside its name. */
export function SliderField({
  label,
  value,
  min,
  max,
  step,
  say,
  onSay,
}: {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly say: (value: number) => ReactNode;
  readonly onSay: (value: number) => void;
}) {
  return (
    <div className="min-w-44 flex-1">
      <p className="flex justify-between text-[13px] text-ink2">
        {label} <b className="text-ink">{say(value)}</b>
      </p>
      <Slider.Root
        className="relative flex h-11 touch-none items-center"
        value={[value]}
        min={min}
        max={max}
        step={step}
        onValueChange={([v]) => onSay(v as number)}
      >
        <Slider.Track className="relative h-1.5 grow border border-line bg-plate">
          <Slider.Range className="absolute h-full bg-tint" />
        </Slider.Track>
        <Slider.Thumb aria-label={label} className="block h-7 w-4 border border-act bg-sheet" />
      </Slider.Root>
    </div>
  );
}
