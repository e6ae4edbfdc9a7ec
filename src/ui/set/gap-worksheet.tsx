'use client';

import { type ReactNode, useEffect, useRef, useState } from 'react';
import type { Units } from '@/core/quantity/units';
import { type GapField, type GapSheet, gapQuery, gapQuestion, impossibleReadings } from '@/core/set/gap-sheet';
import { GAP_WORDS, gapAsText, sayFine, sayTurns, sayVerdict } from '@/core/set/say-gap';
import { type GapRules, type Setup, setup } from '@/core/set/setup';
import { LengthField } from '../field/quantity-field';
import { GapDrawing } from './gap-drawing';

const FIRST: readonly (readonly [GapField, string])[] = [
  ['standOff', 'Rim stands off the flange'],
  ['socket', 'Socket, from the rim'],
  ['edge', 'Straight edge is thick'],
  ['reading', 'Outer side of it to the tip'],
  ['spacer', 'Spacer'],
];
const MORE: readonly (readonly [string, readonly (readonly [GapField, string])[]])[] = [
  [
    'At the pedal',
    [
      ['ratio', 'Pedal ratio'],
      ['slack', 'Slack of the linkage'],
    ],
  ],
  ['Rod', [['pitch', 'Pitch of its end']]],
  [
    'The old unit',
    [
      ['oldStandOff', 'Its rim'],
      ['oldSocket', 'Its socket'],
    ],
  ],
  [
    'Another rod',
    [
      ['rodOld', 'Old rod, overall'],
      ['rodNew', 'New rod, overall'],
    ],
  ],
  [
    'Warmth',
    [
      ['rodLength', 'Length of the rod'],
      ['rodAlpha', 'Rod grows, millionths a K'],
      ['bodyAlpha', 'Body grows, millionths a K'],
    ],
  ],
  [
    'Turnbuckle',
    [
      ['pitch1', 'Pitch at one end'],
      ['pitch2', 'Pitch at the other'],
    ],
  ],
];
/** What is no length: a plain number on the sheet. */
const PLAIN: readonly GapField[] = ['ratio', 'rodAlpha', 'bodyAlpha'];

/** The pushrod's gap from four depths: each reading beside the length it fills, the sums in full, and what to turn. It stands in the address. */
export function GapWorksheet({
  start,
  rules,
  units,
  address,
  children,
}: {
  readonly start: GapSheet;
  readonly rules: GapRules;
  readonly units: Units;
  /** The page's own, where the sheet is to stand in it. */
  readonly address?: string;
  /** What is done with the answer. */
  readonly children?: (text: string) => ReactNode;
}) {
  const [sheet, setSheet] = useState(start);
  const query = gapQuery(sheet);
  const shown = useRef(query);
  useEffect(() => {
    if (address === undefined || shown.current === query) return;
    shown.current = query;
    window.history.replaceState(null, '', query === '' ? address : `${address}?${query}`);
  }, [query, address]);
  const question = gapQuestion(sheet);
  const impossible = impossibleReadings(sheet);
  const answer = question === undefined ? undefined : setup(question, rules);
  const say = (f: GapField, value: number | null): void => setSheet((s) => ({ ...s, [f]: value ?? undefined }));
  const field = ([f, label]: readonly [GapField, string]) =>
    PLAIN.includes(f) ? (
      <label key={f} className="label mb-0 w-40">
        {label}
        <input
          className="field text-ink"
          inputMode="decimal"
          defaultValue={sheet[f] ?? ''}
          onChange={(e) => {
            const value = Number(e.target.value.replace(',', '.'));
            say(f, e.target.value.trim() === '' || !Number.isFinite(value) || value <= 0 ? null : value);
          }}
        />
      </label>
    ) : (
      <LengthField
        key={f}
        label={`${label}, ${units.length}`}
        className="w-40"
        fine
        say="typing"
        value={sheet[f] ?? null}
        units={units}
        onSay={(mm) => say(f, mm)}
      />
    );
  return (
    <div className="grid gap-4">
      <GapDrawing sheet={sheet} gapMm={impossible.length > 0 ? undefined : answer?.gapMm} units={units} />
      <div className="flex flex-wrap items-end gap-3">{FIRST.map(field)}</div>
      <div aria-live="polite">
        {impossible.map((t) => (
          <p key={t} className="mb-2 border-l-4 border-red pl-3">
            {t}
          </p>
        ))}
        {answer === undefined && impossible.length === 0 && (
          <p className="text-ink2">
            The gap cannot be measured directly: it is what two differences of two depths leave. Enter the four; the drawing says which is
            which.
          </p>
        )}
        {answer !== undefined && question !== undefined && impossible.length === 0 && (
          <Answer answer={answer} sheet={sheet} units={units} />
        )}
      </div>
      <details className="border-t border-hair pt-2">
        <summary className="min-h-9 cursor-pointer font-bold text-act">Turns, pedal, the old unit, another rod, warmth</summary>
        <div className="mt-2 grid gap-3">
          {MORE.map(([name, fields]) => (
            <fieldset key={name} className="flex flex-wrap items-end gap-3">
              <legend className="sr-only">{name}</legend>
              {fields.map(field)}
              {name === 'Turnbuckle' && (
                <label className="inline-flex min-h-[44px] items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5 accent-act"
                    checked={sheet.oneLeftHanded ?? false}
                    onChange={(e) => setSheet((s) => ({ ...s, oneLeftHanded: e.target.checked }))}
                  />
                  one end left-handed
                </label>
              )}
            </fieldset>
          ))}
        </div>
      </details>
      {answer !== undefined && question !== undefined && impossible.length === 0 && (
        <div className="flex flex-wrap gap-2">
          <button
            type="button"
            className="btn-quiet"
            onClick={() => void navigator.clipboard.writeText(gapAsText(question, answer, units))}
          >
            Copy as text
          </button>
          <button type="button" className="btn-quiet" onClick={() => window.print()}>
            Print
          </button>
          {children?.(gapAsText(question, answer, units))}
        </div>
      )}
    </div>
  );
}

function Answer({ answer, sheet, units }: { readonly answer: Setup; readonly sheet: GapSheet; readonly units: Units }) {
  const f = (mm: number): string => sayFine(mm, units);
  const bad = answer.verdict !== 'ok';
  const row = (label: string, value: string, strong = false) => (
    <tr key={label} className={strong ? 'border-t border-ink font-bold' : ''}>
      <th scope="row" className="py-0.5 pr-6 text-left font-normal">
        {label}
      </th>
      <td className="text-right tabular-nums">{value}</td>
    </tr>
  );
  const turns = sayTurns(answer, units);
  const more = [
    answer.lostPedalMm === null ? undefined : `The gap takes ${f(answer.lostPedalMm)} ${units.length} of the pedal.`,
    answer.freePlayMm === null ? undefined : `Free play at the pedal ${f(answer.freePlayMm)} ${units.length}.`,
    answer.seatShiftMm === null
      ? undefined
      : `This seat lies ${f(Math.abs(answer.seatShiftMm))} ${units.length} ${answer.seatShiftMm < 0 ? 'shallower' : 'deeper'} than the old unit’s.`,
    answer.spacerNeededMm === null ? undefined : `A spacer of ${f(answer.spacerNeededMm)} ${units.length} makes up for the other rod.`,
    answer.closesAtC === null ? undefined : `Warm, the gap closes at ${answer.closesAtC.toFixed(0)} °C.`,
    answer.lengthPerTurnMm === null ? undefined : `A turn of the turnbuckle is ${f(answer.lengthPerTurnMm)} ${units.length}.`,
  ];
  return (
    <div className="grid gap-x-8 gap-y-2 md:grid-cols-[20rem_minmax(0,1fr)]">
      <table className="w-full self-start border-collapse">
        <tbody>
          {row('socket', f(sheet.socket ?? 0))}
          {row('less the rim', `− ${f(sheet.standOff ?? 0)}`)}
          {(sheet.spacer ?? 0) > 0 && row('spacer', `+ ${f(sheet.spacer ?? 0)}`)}
          {row('reading', `+ ${f(sheet.reading ?? 0)}`)}
          {row('less the straight edge', `− ${f(sheet.edge ?? 0)}`)}
          {row(`gap, ${units.length}`, `${f(answer.gapMm)} ± ${f(answer.expandedUncertaintyMm)}`, true)}
        </tbody>
      </table>
      <div>
        <p
          className={`text-2xl font-bold ${bad ? (answer.verdict === 'measure-again' ? 'text-amber' : 'text-red') : ''}`}
          data-testid="gap"
        >
          {GAP_WORDS[answer.verdict]}
        </p>
        <p>{sayVerdict(answer, units)}</p>
        {turns !== undefined && bad && <p className="mt-1 font-bold">{turns}</p>}
        {more.map((t) => t !== undefined && <p key={t}>{t}</p>)}
      </div>
    </div>
  );
}
