'use client';

import { useState } from 'react';
import type { Feature, Measured } from '@/core/identify/feature';
import { LengthField } from '../field/quantity-field';
import { TextField } from '../field/text-field';
import { useUnits } from '../shell/units-context';
import { ThreadHelp } from './thread-help';

/** What can be measured of a unit that nobody knows; the field that would tell most is marked. @param onSay news of what was measured; null takes it back */
export function MeasuredFields({
  measured,
  next,
  onSay,
}: {
  readonly measured: Measured;
  readonly next: Feature | undefined;
  readonly onSay: (news: Measured) => void;
}) {
  const units = useUnits();
  const [threads, setThreads] = useState(measured.portThreads?.join(', ') ?? '');
  const fieldOf = (f: Feature): string => (f === next ? 'border-l-4 border-act pl-2' : 'pl-3');
  return (
    <>
      {(
        [
          ['boreMm', 'Bore', true],
          ['strokeMm', 'Stroke', false],
          ['bodyLengthMm', 'Body, end to end', false],
          ['studPitchMm', 'Studs, middle to middle', false],
        ] as const
      ).map(([f, label, fine]) => (
        <LengthField
          key={f}
          label={`${label}, ${units.length}`}
          className={fieldOf(f)}
          fine={fine}
          say="typing"
          value={measured[f]?.value ?? null}
          onSay={(value) => onSay({ [f]: value === null ? null : { value } })}
        />
      ))}
      <TextField
        label="Threads of the ports, with commas"
        className={fieldOf('portThreads')}
        value={threads}
        placeholder="such as M10x1, M12x1"
        maxLength={200}
        onSay={(text) => {
          setThreads(text);
          const all = text
            .split(',')
            .map((t) => t.trim())
            .filter((t) => t !== '');
          onSay({ portThreads: all.length === 0 ? null : all });
        }}
      />
      <TextField
        label="Outlets"
        className={fieldOf('outletCount')}
        value={String(measured.outletCount ?? '')}
        inputMode="numeric"
        onSay={(text) => onSay({ outletCount: /^\d{1,2}$/.test(text) ? Number(text) : null })}
      />
      <TextField
        label="Cast into it; ? for what cannot be read"
        className={fieldOf('castingMark')}
        value={measured.castingMark ?? ''}
        maxLength={100}
        onSay={(text) => onSay({ castingMark: text === '' ? null : text })}
      />
      <ThreadHelp
        onTake={(name) => {
          const all = [...(measured.portThreads ?? []), name];
          setThreads(all.join(', '));
          onSay({ portThreads: all });
        }}
      />
    </>
  );
}
