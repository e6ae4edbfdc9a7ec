import type { Seat } from '../quantity/thread';
import { queryOf } from '../schema/sheet';
import type { Flare } from './flare';
import type { LineRequest } from './line-schema';

export type Turn = 'left' | 'right';
export type SheetBend = { readonly angleDeg: number; readonly radiusMm: number | null; readonly turn: Turn };
export type SheetCoil = { readonly leg: number; readonly turns: number; readonly coreMm: number };
export type SheetEnd = { readonly flare: Flare; readonly seat: Seat | null; readonly port: string; readonly nut: string };
/** A tube as it is measured: lengths mm; which way each bend goes, seen along the tube from its start, is only drawn. */
export type LineSheet = {
  readonly tubeOdMm: number;
  readonly legs: readonly number[];
  readonly bends: readonly SheetBend[];
  readonly coils: readonly SheetCoil[];
  readonly ends: readonly [SheetEnd, SheetEnd];
};

const END: SheetEnd = { flare: 'double', seat: 'cone-out', port: '', nut: '' };
export const FIRST_LINE: LineSheet = {
  tubeOdMm: 4.75,
  legs: [80, 240, 120],
  bends: [
    { angleDeg: 90, radiusMm: null, turn: 'left' },
    { angleDeg: 90, radiusMm: null, turn: 'right' },
  ],
  coils: [],
  ends: [END, END],
};

/** What chapter 14 is asked of a sheet. */
export const lineQuestion = (s: LineSheet): LineRequest => {
  const port = (e: SheetEnd) => ({ seat: e.seat, thread: e.port === '' ? null : e.port });
  const nut = (e: SheetEnd) => (e.nut === '' ? null : { thread: e.nut });
  return {
    tubeOdMm: s.tubeOdMm,
    legs: [...s.legs],
    bends: s.bends.map(({ angleDeg, radiusMm }) => ({ angleDeg, radiusMm })),
    coils: s.coils.map((c) => ({ ...c })),
    flares: [s.ends[0].flare, s.ends[1].flare],
    ports: [port(s.ends[0]), port(s.ends[1])],
    nuts: [nut(s.ends[0]), nut(s.ends[1])],
    rules: null,
  };
};

/** With one leg more, behind a bend; with one less. */
export const withLeg = (s: LineSheet): LineSheet => ({
  ...s,
  legs: [...s.legs, 100],
  bends: [...s.bends, { angleDeg: 90, radiusMm: null, turn: 'left' }],
});
export const withoutLeg = (s: LineSheet): LineSheet => ({
  ...s,
  legs: s.legs.slice(0, -1),
  bends: s.bends.slice(0, -1),
  coils: s.coils.filter((c) => c.leg < s.legs.length - 1),
});

/** The sheet as an address carries it. */
export const lineQuery = (s: LineSheet): string => queryOf({ line: JSON.stringify(s) }, ['line']);
