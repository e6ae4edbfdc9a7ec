'use client';

import { useState } from 'react';
import { sayLength, sayNominal } from '@/core/quantity/say';
import { queryOf } from '@/core/schema/sheet';
import { type ClutchAnswer, clutchRelease } from '@/core/set/clutch';
import { CLUTCH_FIELDS, type ClutchField, type ClutchSheet, clutchQuestion, sayClutch } from '@/core/sums/clutch-sheet';
import { ForceField, LengthField, NumberField } from '../field/quantity-field';
import { useUnits } from '../shell/units-context';
import { useAddress } from '../shell/use-address';
import { SumButtons } from './sum-buttons';

const LENGTHS: readonly (readonly [ClutchField, string])[] = [
  ['master', 'Master bore'],
  ['slave', 'Slave bore'],
  ['pedal', 'Pedal travel'],
  ['gap', 'Pushrod gap'],
  ['needed', 'Release needed'],
];
const PLAIN: readonly (readonly [ClutchField, string])[] = [
  ['ratio', 'Pedal ratio'],
  ['fork', 'Slave to bearing, ratio'],
  ['hose', 'Hose gives, ml/MPa'],
  ['air', 'Air in it, ml'],
];

/** Does the clutch free? From the pedal’s travel to the bearing’s, with what gap, hose and air take. It stands in the address. */
export function Clutch({ start }: { readonly start: ClutchSheet }) {
  const units = useUnits();
  const [sheet, setSheet] = useState(start);
  useAddress('/sums/clutch', queryOf(sheet, CLUTCH_FIELDS));
  const say = (f: ClutchField) => (value: number | null) => setSheet((s) => ({ ...s, [f]: value ?? undefined }));
  const question = clutchQuestion(sheet);
  const answer = question === undefined ? undefined : clutchRelease(question);
  const lines = question === undefined || answer === undefined ? [] : sayClutch(question, answer, units);
  return (
    <div className="grid gap-4">
      <ClutchDrawing sheet={sheet} answer={answer} />
      <div className="flex flex-wrap items-end gap-3">
        {LENGTHS.map(([f, label]) => (
          <LengthField
            key={f}
            label={`${label}, ${units.length}`}
            className="w-40"
            fine={f === 'master' || f === 'slave' || f === 'gap'}
            say="typing"
            value={sheet[f] ?? null}
            onSay={say(f)}
          />
        ))}
        {PLAIN.map(([f, label]) => (
          <NumberField key={f} label={label} value={sheet[f] ?? null} onSay={say(f)} />
        ))}
        <ForceField
          label={`Force at the bearing, ${units.force}`}
          className="w-40"
          say="typing"
          value={sheet.force ?? null}
          onSay={say('force')}
        />
      </div>
      <div aria-live="polite">
        {lines.length === 0 && <p className="text-ink2">Enter both bores, the pedal’s travel and its ratio.</p>}
        {lines.map((l, i) => (
          <p
            key={l}
            className={i === lines.length - 1 && answer?.spareMm != null ? `font-bold ${answer.spareMm < 0 ? 'text-red' : ''}` : ''}
          >
            {l}
          </p>
        ))}
      </div>
      {lines.length > 0 && <SumButtons text={['Clutch release', ...lines].join('\n')} />}
    </div>
  );
}

const [WIDTH, HEIGHT, PER_MM] = [760, 180, 1.6];

/** Pedal, master, slave and fork; bores to one scale. */
function ClutchDrawing({ sheet, answer }: { readonly sheet: ClutchSheet; readonly answer: ClutchAnswer | undefined }) {
  const units = useUnits();
  const { master = 19.05, slave = 22.225 } = sheet;
  const mm = (value: number | undefined): string => (value === undefined ? '?' : `${sayLength(value, units)} ${units.length}`);
  const cylinder = (x: number, dia: number) => (
    <>
      <rect x={x} y={90 - (dia * PER_MM) / 2 - 5} width="110" height={dia * PER_MM + 10} fill="var(--hair)" />
      <rect x={x} y={90 - (dia * PER_MM) / 2} width="110" height={dia * PER_MM} fill="var(--sheet)" />
      <rect x={x + 36} y={90 - (dia * PER_MM) / 2 + 1} width="30" height={dia * PER_MM - 2} fill="var(--tint)" />
    </>
  );
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="h-auto w-full border border-line bg-sheet"
      role="img"
      aria-label={`Pedal, clutch master and slave, fork and release bearing${answer === undefined ? '' : `; the bearing moves ${mm(answer.releaseTravelMm)}`}`}
    >
      <g stroke="var(--ink)" strokeWidth="1.4" fill="none">
        <path d="M50 18L72 150" strokeWidth="5" />
        <path d="M64 90H200" strokeWidth="3" />
        {cylinder(164, master)}
        <path d="M274 90H420" strokeDasharray="7 3" />
        {cylinder(420, slave)}
        <path d="M486 90H610" strokeWidth="3" />
        <path d="M610 90L640 20M610 90L600 150" strokeWidth="5" />
        <rect x="646" y="36" width="30" height="96" fill="var(--hair)" />
        <path d="M612 90h34" strokeWidth="2" />
      </g>
      <g fontSize="13" fill="var(--ink)" textAnchor="middle">
        <text x="96" y="166">
          pedal {mm(sheet.pedal)}
        </text>
        <text x="219" y="30">
          master ⌀ {sheet.master === undefined ? '?' : sayNominal(master)}
        </text>
        <text x="475" y="30">
          slave ⌀ {sheet.slave === undefined ? '?' : sayNominal(slave)}
        </text>
        {answer !== undefined && (
          <>
            <text x="219" y="166">
              {mm(answer.masterStrokeMm)}
            </text>
            <text x="475" y="166">
              {mm(answer.slaveTravelMm)}
            </text>
            <text x="661" y="158" fontWeight="700">
              bearing {mm(answer.releaseTravelMm)}
            </text>
          </>
        )}
      </g>
    </svg>
  );
}
