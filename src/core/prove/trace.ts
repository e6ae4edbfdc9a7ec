/** One sample of a held pressure; time in s, pressure in bar. */
export type TracePoint = { readonly tS: number; readonly pBar: number };
/** One sample while pressurising: fluid pushed in, ml, and the pressure it made, bar. */
export type FillPoint = { readonly mlIn: number; readonly pBar: number };
