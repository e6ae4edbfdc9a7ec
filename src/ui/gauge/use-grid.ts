'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import type { Geometry } from '@/core/family/geometry';
import type { Material } from '@/core/family/material';
import { cornersIn } from '@/core/gauge/corners';
import { gaugeBore } from '@/core/gauge/gauge';
import { cellAfter, type Draft, firstToFill, goneOn, goneOnFrom, inUnits, readGrid, withDepths } from '@/core/gauge/gauge-draft';
import type { Gauging } from '@/core/gauge/gauging';
import type { Instrument } from '@/core/gauge/instrument';
import { readingsAt20 } from '@/core/gauge/reading';
import { GRID_CLOCKS } from '@/core/gauge/suggest-grid';
import { whyUnlikely } from '@/core/gauge/unlikely';
import { sayLength } from '@/core/quantity/say';
import { useDraft } from '../save/use-draft';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';

/** What a bore was gauged to so far, and whether it can be gone on with. */
export type Gaugings = {
  /** The newest. */
  readonly taken: Gauging | undefined;
  /** The one before, where nothing was cut since: its readings can be gone on from. */
  readonly last: Gauging | undefined;
  /** The verdict sent here for more readings, at these depths among others, mm: the grid starts with those taken. */
  readonly goOnAt: readonly number[] | undefined;
  /** `more`: what was gauged is saved, and can be gone on from until it is judged. */
  readonly turn: 'now' | 'more' | 'closed';
};

/** The grid as it is typed, kept on this device until it is saved; what it says of the bore; and which cell is next. @param depths suggested, mm */
export function useGrid(
  bore: Geometry,
  material: Material,
  depths: readonly number[],
  { taken, last, goOnAt, turn }: Gaugings,
  gauge: Instrument | undefined,
) {
  const units = useUnits();
  const { target, rules, pot } = useStation();
  const [goingOn, setGoingOn] = useState(goOnAt !== undefined);
  const open = turn === 'now' || (turn === 'more' && goingOn);
  const [kept, setDraft, dropDraft] = useDraft<Draft>(`gauge-grid-${target.unitId}${pot === 1 ? '' : `-${pot}`}`, {
    length: units.length,
    temperature: units.temperature,
    depths: depths.map((d) => sayLength(d, units)),
    clocks: GRID_CLOCKS,
    cells: {},
    bodyTemp: '',
    gaugeTemp: '',
  });
  // What cannot be typed in shows what was taken.
  const draft = useMemo(
    () => (open || taken === undefined ? inUnits(kept, units) : goneOn(inUnits(kept, units), taken, [], units)),
    [kept, units, open, taken],
  );
  const read = useMemo(() => {
    const typed = readGrid(draft, units);
    const slips = typed.readings.map((r) => whyUnlikely(r.diaMm, bore.nominalMm, gauge, units));
    const wrong = new Set([...typed.unread, ...typed.keys.filter((_, i) => slips[i] !== undefined)]);
    return { ...typed, wrong, faults: [...typed.faults, ...new Set(slips.flatMap((s) => s ?? []))] };
  }, [draft, units, bore.nominalMm, gauge]);
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
  const table = useRef<HTMLTableElement>(null);
  const focus = (cell: string): boolean => {
    const input = table.current?.querySelector<HTMLInputElement>(`[data-cell="${cell}"]`);
    input?.focus();
    return input != null;
  };
  const [goTo, setGoTo] = useState('0-0');
  const first = open ? goTo : '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the focus moves when the cell does
  useEffect(() => void (first !== '' && focus(first)), [first]);
  const goOn = (before: Gauging, also: readonly number[]): void => {
    const next = goneOnFrom(inUnits(kept, units), before, { bore, material, rules, also }, units);
    setDraft(next.draft);
    setGoingOn(true);
    setGoTo(next.cell);
  };
  // Once what was kept of a draft is there: readings that were typed already are never written over.
  const [here, setHere] = useState(false);
  useEffect(() => setHere(true), []);
  const asked = useRef(goOnAt !== undefined && turn !== 'closed');
  useEffect(() => {
    if (!here || !asked.current || last === undefined || goOnAt === undefined) return;
    asked.current = false;
    const typed = inUnits(kept, units);
    if (readGrid(typed, units).readings.length === 0) return goOn(last, goOnAt);
    const next = withDepths(typed, goOnAt, units);
    setDraft(next);
    setGoTo(firstToFill(next, goOnAt, bore, units) ?? '0-0');
  });
  return {
    draft,
    setDraft,
    dropDraft,
    read,
    form,
    corners,
    open,
    table,
    /** Cells whose reading does not belong with the rest. */
    suspects: new Set(form?.suspects.map((s) => read.keys[s.index])),
    /** Goes to the cell after one. @returns whether there was one */
    advance: (row: number, column: number): boolean => focus(cellAfter(draft, [row, column], read.depthsMm, bore) ?? ''),
    /** Rows for these depths, and the focus in the first of their cells. */
    addDepths: (depthsMm: readonly number[]): void => {
      setDraft(withDepths(draft, depthsMm, units));
      setGoTo(`${draft.depths.length}-0`);
    },
    goOn,
  };
}
export type Grid = ReturnType<typeof useGrid>;
