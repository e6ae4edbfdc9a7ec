'use client';

import { useState } from 'react';
import { fixed } from '@/core/quantity/figure';
import { sayForce, sayLength, sayNominal } from '@/core/quantity/say';
import { circuitStates, pedalCurve } from '@/core/set/circuits';
import { hydraulics } from '@/core/set/hydraulics';
import {
  type HydraulicsField,
  type HydraulicsSheet,
  hydraulicsQuery,
  hydraulicsQuestion,
  type SheetCylinder,
  splitQuestion,
} from '@/core/sums/hydraulics-sheet';
import { hydraulicsAsText, sayCircuit, sayMPa, sayOption } from '@/core/sums/say-hydraulics';
import { DASHES } from '../chart/dashes';
import { LineChart } from '../chart/late-chart';
import { ForceField, LengthField, NumberField } from '../field/quantity-field';
import { useUnits } from '../shell/units-context';
import { useAddress } from '../shell/use-address';
import { Scroll } from '../unit/scroll';
import { CylinderRows } from './cylinder-rows';
import { HydraulicsDrawing } from './hydraulics-drawing';
import { SumButtons } from './sum-buttons';

/** What a change of bore does: a row for each bore, the pedal’s force over its travel, and a tandem with one circuit lost. It stands in the address. */
export function Hydraulics({ start }: { readonly start: HydraulicsSheet }) {
  const units = useUnits();
  const [sheet, setSheet] = useState(start);
  useAddress('/sums/hydraulics', hydraulicsQuery(sheet));
  const say = (f: HydraulicsField) => (value: number | null) => setSheet((s) => ({ ...s, [f]: value ?? undefined }));
  const setCylinders = (cylinders: readonly SheetCylinder[]): void => setSheet((s) => ({ ...s, cylinders }));
  const question = hydraulicsQuestion(sheet);
  const split = splitQuestion(sheet);
  const rows = question === undefined ? [] : hydraulics(question).rows;
  const circuits = split === undefined ? [] : circuitStates(split);
  const [base, ...options] = rows;
  const length = (f: HydraulicsField, label: string) => (
    <LengthField
      label={`${label}, ${units.length}`}
      className="w-40"
      fine={f === 'bore'}
      say="typing"
      value={sheet[f] ?? null}
      onSay={say(f)}
    />
  );
  return (
    <div className="grid gap-4">
      <HydraulicsDrawing sheet={sheet} pressure={base === undefined ? undefined : sayMPa(base.pressureMPa, units)} />
      <div className="flex flex-wrap items-end gap-3">
        <ForceField label={`Pedal force, ${units.force}`} className="w-40" value={sheet.force ?? null} onSay={say('force')} say="typing" />
        <NumberField label="Pedal ratio" value={sheet.ratio ?? null} onSay={say('ratio')} />
        <NumberField label="Boost, times" value={sheet.boost ?? null} onSay={say('boost')} />
        {length('bore', 'Master bore')}
        {length('stroke', 'Master stroke, in all')}
      </div>
      <CylinderRows cylinders={sheet.cylinders} tandem={sheet.rearStroke !== undefined} onSay={setCylinders} />
      <div className="flex flex-wrap items-end gap-3">
        <OtherBores others={sheet.others} onSay={(others) => setSheet((s) => ({ ...s, others }))} />
        {length('rearStroke', 'Tandem: rear chamber’s stroke')}
        <NumberField label="Hoses give, ml/MPa" value={sheet.hose ?? null} onSay={say('hose')} />
        <NumberField label="Fluid in it, ml" value={sheet.volume ?? null} onSay={say('volume')} />
        <NumberField label="Air in it, ml" value={sheet.air ?? null} onSay={say('air')} />
      </div>
      {question === undefined || base === undefined ? (
        <p className="text-ink2">Enter pedal force, ratio, bore and stroke; sleeving to a smaller size is another bore like any.</p>
      ) : (
        <>
          <Scroll label="One row for each bore">
            <table className="w-full border-collapse bg-sheet" data-testid="bores">
              <thead>
                <tr>
                  {['Bore', 'Pressure', 'Volume', 'Stroke used', 'Left of it', 'Pedal', ...sheet.cylinders.map((c) => `Each ${c.id}`)].map(
                    (h, i) => (
                      <th key={i} scope="col" className="th">
                        {h}
                      </th>
                    ),
                  )}
                </tr>
              </thead>
              <tbody>
                {rows.map((r, i) => (
                  <tr key={i} className={i === 0 ? 'font-bold' : ''}>
                    <th scope="row" className={`cell ${i === 0 ? '' : 'font-normal'}`}>
                      ⌀ {sayNominal(r.masterDiaMm)}
                    </th>
                    <td className="cell">{sayMPa(r.pressureMPa, units)}</td>
                    <td className="cell">{fixed(r.volumeMl, 2)} ml</td>
                    <td className="cell">
                      {sayLength(r.strokeUsedMm, units)} {units.length}
                    </td>
                    <td className={`cell ${r.reservePct < 0 ? 'text-red' : ''}`}>{fixed(r.reservePct, 0)} %</td>
                    <td className="cell">
                      {sayLength(r.pedalTravelMm, units)} {units.length}
                    </td>
                    {r.cylinders.map((c) => (
                      <td key={c.id} className="cell">
                        {sayForce(c.forceN, units, 3)}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </Scroll>
          <div className="grid gap-1">
            {rows.some((r) => r.reservePct < 0) && (
              <p className="border-l-4 border-red pl-3">A stroke that is used up before the force is there: the pedal is on the floor.</p>
            )}
            {options.map((r) => (
              <p key={r.masterDiaMm}>{sayOption(r, base, units)}</p>
            ))}
            {circuits.map((c) => (
              <p key={c.lost ?? 'both'} className={c.reservePct < 0 ? 'border-l-4 border-red pl-3' : ''}>
                {sayCircuit(c, units)}
              </p>
            ))}
          </div>
          <LineChart
            title="Pedal force against pedal travel, a line for each bore"
            series={rows.map((r, i) => ({
              name: `⌀ ${sayNominal(r.masterDiaMm)}`,
              dash: DASHES[i % DASHES.length] ?? '',
              points: pedalCurve(question, r.masterDiaMm).map((p) => ({ x: p.travelMm, y: p.forceN })),
            }))}
            x={{ name: `pedal travel, ${units.length}`, say: (mm) => sayLength(mm, units) }}
            y={{ name: 'pedal force', say: (n) => sayForce(n, units, 3) }}
          />
          <SumButtons text={hydraulicsAsText(question, rows, circuits, units)} />
          <p className="text-[13px] text-ink2">
            Arithmetic of pressure and volume only. A change of bore on a vehicle is for its maker, local rules and licensed people to
            allow.
          </p>
        </>
      )}
    </div>
  );
}

/** Bores to compare with, kept as they were typed until the field is left. */
function OtherBores({ others, onSay }: { readonly others: readonly number[]; readonly onSay: (mm: readonly number[]) => void }) {
  const units = useUnits();
  return (
    <div className="flex flex-wrap items-end gap-2">
      {[...others, null].slice(0, 6).map((mm, i) => (
        <LengthField
          key={`${i}-${mm === null}`}
          label={mm === null ? `Another bore, ${units.length}` : `Other bore ${i + 1}, ${units.length}`}
          className="w-32"
          fine
          value={mm}
          onSay={(next) => onSay([...others.slice(0, i), ...(next === null || next <= 0 ? [] : [next]), ...others.slice(i + 1)])}
        />
      ))}
    </div>
  );
}
