import { FLARES } from './flare';
import type { Line } from './line';
import type { LineSheet } from './line-sheet';
import { ticketMarks } from './ticket';

/** A line as text, to be taken along; mm. */
export const lineAsText = (sheet: LineSheet, line: Line): string =>
  [
    `Tube ⌀ ${sheet.tubeOdMm} mm, cut to ${line.cutMm.toFixed(1)} mm`,
    ...ticketMarks(sheet, line).map((m) => `${m.atMm.toFixed(1)} mm: ${m.what}`),
    ...sheet.ends.map((e, i) => `${i === 0 ? 'Start' : 'End'}: ${FLARES[e.flare].label}${e.nut === '' ? '' : `, nut ${e.nut}`}`),
    ...line.warnings.map((w) => `Mind: ${w.text}`),
  ].join('\n');
