'use client';

import { type ReactNode, useEffect, useMemo, useRef, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { Geometry } from '@/core/family/geometry';
import type { Material } from '@/core/family/material';
import { cornersIn } from '@/core/gauge/corners';
import { gaugeBore } from '@/core/gauge/gauge';
import type { CheckRing, SaveGauging } from '@/core/gauge/gauge-doors';
import type { Gauging } from '@/core/gauge/gauging';
import { type Instrument, whyUnfit } from '@/core/gauge/instrument';
import { readingsAt20 } from '@/core/gauge/reading';
import { SHAPE_WORDS } from '@/core/gauge/shape';
import { isSameDepth } from '@/core/gauge/station';
import { furtherDepths, GRID_CLOCKS, standsInPort } from '@/core/gauge/suggest-grid';
import { sayDia, sayLength, sayTemperature } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import type { Rules } from '@/core/rules/rule-set';
import type { GaugedSet } from '@/core/unit/gauged-before';
import { Profile } from '../drawing/profile';
import { SaveNote } from '../save/save-note';
import type { Ask } from '../save/use-ask';
import { useDraft } from '../save/use-draft';
import { useSave } from '../save/use-save';
import { Scroll } from '../unit/scroll';
import { StationFrame } from '../unit/station-frame';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { ImportReadings } from './csv-import';
import { type Draft, firstToFill, goneOn, gridOf, inUnits, readGrid, withDepths, withSent } from './gauge-draft';
import { ClockField, Figure, TempField } from './gauge-fields';
import { InstrumentPick } from './instrument-pick';
import { OpenDepths } from './open-depths';
import { useGaugeLine } from './use-gauge-line';

/** The gauge grid: depths down, clock across. An instrument that types a number and Enter fills it; the form of the bore is computed with every reading. */
export function Gauge({
  target,
  tag,
  depths,
  material,
  bore,
  taken,
  last,
  goOnAt,
  units,
  rules,
  instruments,
  earlier,
  mayOverride,
  now,
  checkRing,
  save: saveAction,
  turn,
  ledger,
}: {
  readonly target: UnitTarget;
  readonly tag: string;
  /** Suggested depths, mm. */
  readonly depths: readonly number[];
  readonly material: Material;
  readonly bore: Geometry;
  /** The newest gauging. */
  readonly taken: Gauging | undefined;
  /** The gauging before, where nothing was cut since: its readings can be gone on from. */
  readonly last: Gauging | undefined;
  /** The verdict sent here for more readings, at these depths among others, mm: the grid starts with those taken. */
  readonly goOnAt: readonly number[] | undefined;
  readonly units: Units;
  readonly rules: Rules;
  readonly instruments: readonly Instrument[];
  readonly earlier: readonly GaugedSet[];
  readonly mayOverride: boolean;
  readonly now: number;
  readonly checkRing: Ask<CheckRing>;
  readonly save: SaveAction<SaveGauging>;
  /** `more`: what was gauged is saved, and can be gone on from until it is judged. */
  readonly turn: 'now' | 'more' | 'closed';
  readonly ledger: ReactNode;
}) {
  const [goingOn, setGoingOn] = useState(goOnAt !== undefined);
  const open = turn === 'now' || (turn === 'more' && goingOn);
  const [kept, setDraft, dropDraft] = useDraft<Draft>(`gauge-grid-${target.unitId}`, {
    length: units.length,
    temperature: units.temperature,
    depths: depths.map((d) => sayLength(d, units)),
    clocks: GRID_CLOCKS,
    cells: {},
    bodyTemp: '',
    gaugeTemp: '',
  });
  // A bench keeps its gauge; a new one takes the first that may measure.
  const [instrumentId, setInstrument] = useDraft('gauge-instrument', '');
  const [override, setOverride] = useState('');
  const instrument = instruments.find((i) => i.id === instrumentId) ?? instruments.find((i) => whyUnfit(i, rules, now) === undefined);
  // What cannot be typed in shows what was taken.
  const draft = useMemo(
    () => (open || taken === undefined ? inUnits(kept, units) : goneOn(inUnits(kept, units), taken, [], units)),
    [kept, units, open, taken],
  );
  const { save, saving, acceptTheirs } = useSave(saveAction, target);
  const grid = useRef<HTMLTableElement>(null);
  const saveButton = useRef<HTMLButtonElement>(null);
  const read = useMemo(() => readGrid(draft, units), [draft, units]);
  const form = useMemo(
    () =>
      read.readings.length === 0
        ? undefined
        : gaugeBore({ readings: read.readings, material, bodyTempC: read.bodyTempC, gaugeTempC: read.gaugeTempC }, rules),
    [read, material, rules],
  );
  const corners = useMemo(
    () => cornersIn(readingsAt20(read.readings, material, read), rules.gaugeRepeatabilityMm),
    [read, material, rules],
  );
  const suspects = new Set(form?.suspects.map((s) => read.keys[s.index]));
  const [goTo, setGoTo] = useState('0-0');
  const first = open ? goTo : '';
  useEffect(() => {
    if (first !== '') grid.current?.querySelector<HTMLInputElement>(`[data-cell="${first}"]`)?.focus();
  }, [first]);

  /** Where a port takes the gauge's foot: nothing can be read there. */
  const inPort = (row: number, clockDeg: number): boolean => {
    const xMm = read.depthsMm[row];
    return xMm !== undefined && standsInPort(bore, { xMm, clockDeg });
  };
  const advance = (row: number, column: number): void => {
    const cells = draft.depths.flatMap((_, i) => draft.clocks.map((clock, j) => ({ key: `${i}-${j}`, skip: inPort(i, clock) })));
    const next = cells.slice(row * draft.clocks.length + column + 1).find((c) => !c.skip);
    const cell = grid.current?.querySelector<HTMLInputElement>(`[data-cell="${next?.key}"]`);
    if (cell) cell.focus();
    else saveButton.current?.focus();
  };
  useGaugeLine(open && instrument?.posts ? instrument.id : undefined, (sent) => setDraft(withSent(draft, sent, units)));
  /** Rows for these depths, and the focus in the first of their cells. */
  const addDepths = (depthsMm: readonly number[]): void => {
    setDraft(withDepths(draft, depthsMm, units));
    setGoTo(`${draft.depths.length}-0`);
  };
  /** The readings taken before, cells for what is still open, and the focus where the next reading goes. */
  const goOnFrom = (before: Gauging, also: readonly number[]): void => {
    const found = gaugeBore({ ...before, material }, rules);
    const wanted = [...new Set([...furtherDepths(bore, found, rules), ...also])].sort((a, b) => a - b);
    const next = goneOn(inUnits(kept, units), before, wanted, units);
    setDraft(next);
    setGoingOn(true);
    const suspect = before.readings[found.suspects[0]?.index ?? -1];
    const { readings, keys } = readGrid(next, units);
    const again = keys[readings.findIndex((r) => r.clockDeg === suspect?.clockDeg && Math.abs(r.xMm - suspect.xMm) < 1e-4)];
    setGoTo(firstToFill(next, wanted, bore, units) ?? again ?? '0-0');
  };
  // Once what was kept of a draft is there: readings that were typed already are never written over.
  const [here, setHere] = useState(false);
  useEffect(() => setHere(true), []);
  const asked = useRef(goOnAt !== undefined && turn !== 'closed');
  useEffect(() => {
    if (!here || !asked.current || last === undefined || goOnAt === undefined) return;
    asked.current = false;
    const typed = inUnits(kept, units);
    if (readGrid(typed, units).readings.length === 0) return goOnFrom(last, goOnAt);
    const next = withDepths(typed, goOnAt, units);
    setDraft(next);
    setGoTo(firstToFill(next, goOnAt, bore, units) ?? '0-0');
  });
  const submit = async (): Promise<void> => {
    const result = await save({
      gaugingId: uuidv7(),
      readings: read.readings,
      bodyTempC: read.bodyTempC,
      gaugeTempC: read.gaugeTempC,
      instrumentId: instrument?.id ?? null,
      override: override.trim() === '' ? null : override.trim(),
    });
    if (result.ok) dropDraft();
  };

  return (
    <StationFrame
      title={`GAUGE · ${read.readings.length} readings`}
      note="Clock as seen from the open end. Enter goes on."
      ledger={ledger}
      aside={
        <section className="mb-4">
          <h2 className="head mb-2">THE BORE SO FAR</h2>
          {form === undefined ? (
            <p className="text-ink2">The form shows with the first reading.</p>
          ) : (
            <dl className="grid grid-cols-[1fr_auto] gap-y-1">
              <Figure name="widest" value={sayDia(form.maxMm, units)} unit={units.length} />
              <Figure name="narrowest" value={sayDia(form.minMm, units)} unit={units.length} />
              <Figure
                name="ovality, most"
                value={form.ovalityMaxMm === null ? '–' : sayDia(form.ovalityMaxMm, units)}
                unit={units.length}
              />
              <Figure name="taper" value={sayDia(form.taperMm, units)} unit={units.length} />
              <Figure
                name="shape"
                value={`${SHAPE_WORDS[form.shape]}${form.taperToward === null ? '' : `, wider to the ${form.taperToward} end`}`}
                unit=""
              />
              <Figure name="gauge, ±" value={sayDia(form.expandedUncertaintyMm, units)} unit={units.length} />
              <Figure name="like" value={form.nominalCandidates.map((c) => c.label).join(', ') || 'no usual size'} unit="" />
            </dl>
          )}
          {suspects.size > 0 && (
            <p className="mt-2 text-amber">
              {suspects.size === 1 ? 'One reading does' : `${suspects.size} readings do`} not belong with the rest: gauge again where it is
              ringed.
            </p>
          )}
          {corners.map((c) => (
            <p key={c.xMm} className="mt-2 text-amber">
              At {sayLength(c.xMm, units)} {units.length} the readings do not fit an oval: the bore may have corners, which two points do
              not measure.
            </p>
          ))}
          {form !== undefined && <OpenDepths form={form} bore={bore} rules={rules} units={units} onAdd={open ? addDepths : undefined} />}
          {read.faults.map((f) => (
            <p key={f} className="mt-1 text-red">
              {f}
            </p>
          ))}
          <div className="mt-4 grid gap-2">
            <button
              ref={saveButton}
              type="button"
              className="btn w-fit"
              disabled={!open || read.readings.length === 0 || read.faults.length > 0 || saving.kind === 'saving'}
              onClick={() => void submit()}
            >
              {saving.kind === 'saving' ? 'Saving' : 'Save gauging'}
            </button>
            <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
          </div>
        </section>
      }
    >
      {open && (
        <InstrumentPick
          instruments={instruments}
          chosen={instrument}
          onPick={setInstrument}
          override={override}
          onOverride={setOverride}
          mayOverride={mayOverride}
          nominalMm={bore.nominalMm}
          units={units}
          rules={rules}
          now={now}
          checkRing={checkRing}
        />
      )}
      {turn !== 'closed' && last !== undefined && (!open || read.readings.length === 0) && (
        <button type="button" className="btn-quiet mb-2" onClick={() => goOnFrom(last, [])}>
          Go on from the last gauging: its {last.readings.length} readings, and cells for what is still open
        </button>
      )}
      <Scroll label="Readings">
        <table ref={grid} className="w-full border-collapse bg-sheet">
          <thead>
            <tr>
              <th scope="col" className="th">
                Depth, {units.length}
              </th>
              {draft.clocks.map((c) => (
                <th key={c} scope="col" className="th">
                  {c}°
                </th>
              ))}
              <th scope="col" className="th text-right">
                Mean
              </th>
              <th scope="col" className="th text-right">
                Ovality
              </th>
            </tr>
          </thead>
          <tbody>
            {draft.depths.map((depth, row) => {
              const station = form?.stations.find((s) => isSameDepth(s.xMm, read.depthsMm[row] ?? NaN));
              return (
                <tr key={row}>
                  <td className="cell">
                    <input
                      className="field w-20"
                      aria-label={`Depth ${row + 1}`}
                      disabled={!open}
                      value={depth}
                      onChange={(e) => setDraft({ ...draft, depths: draft.depths.map((d, i) => (i === row ? e.target.value : d)) })}
                    />
                  </td>
                  {draft.clocks.map((clock, column) => {
                    const key = `${row}-${column}`;
                    return (
                      <td key={key} className="cell">
                        <input
                          data-cell={key}
                          size={7}
                          className={`field tabular-nums ${suspects.has(key) ? 'outline-2 -outline-offset-2 outline-amber' : ''}`}
                          aria-label={`${depth} ${units.length} at ${clock}°${suspects.has(key) ? ', gauge again' : ''}`}
                          title={suspects.has(key) ? 'Gauge again' : undefined}
                          placeholder={inPort(row, clock) ? 'port' : undefined}
                          inputMode="decimal"
                          disabled={!open}
                          value={draft.cells[key] ?? ''}
                          onChange={(e) => setDraft({ ...draft, cells: { ...draft.cells, [key]: e.target.value } })}
                          onKeyDown={(e) => {
                            if (e.key !== 'Enter') return;
                            e.preventDefault();
                            advance(row, column);
                          }}
                        />
                      </td>
                    );
                  })}
                  <td className="cell text-right">{station === undefined ? '' : sayDia(station.meanMm, units)}</td>
                  <td className="cell text-right text-ink2">
                    {station?.ovalityMm == null ? '' : `${station.method === 'two-point' ? '≥ ' : ''}${sayDia(station.ovalityMm, units)}`}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Scroll>
      {open && (
        <div className="mt-2 flex flex-wrap items-end gap-3">
          <button type="button" className="btn-quiet" onClick={() => setDraft({ ...draft, depths: [...draft.depths, ''] })}>
            Add a depth
          </button>
          <ClockField onAdd={(deg) => setDraft({ ...draft, clocks: [...draft.clocks, deg] })} taken={draft.clocks} />
          <TempField label="Body" value={draft.bodyTemp} units={units} onChange={(bodyTemp) => setDraft({ ...draft, bodyTemp })} />
          <TempField label="Gauge" value={draft.gaugeTemp} units={units} onChange={(gaugeTemp) => setDraft({ ...draft, gaugeTemp })} />
          <p className="pb-2 text-[13px] text-ink2">
            {read.bodyTempC === null
              ? 'Read as it is; give the body’s temperature to bring it to 20 °C.'
              : `Brought to ${sayTemperature(20, units)}.`}
          </p>
        </div>
      )}
      {open && <ImportReadings tag={tag} onTake={(rows) => setDraft({ ...draft, ...gridOf(rows, units) })} />}
      {form !== undefined && <Profile form={form} lengthMm={bore.lengthMm} nominalMm={bore.nominalMm} earlier={earlier} units={units} />}
    </StationFrame>
  );
}
