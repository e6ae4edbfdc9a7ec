import { fixed, plain, rewritten } from '../quantity/figure';
import { FLARES } from './flare';
import type { Line } from './line';
import type { LineSheet } from './line-sheet';
import { ticketMarks } from './ticket';

/** A line as text, to be taken along; mm. */
export const lineAsText = (sheet: LineSheet, line: Line): string =>
  [
    `Tube ⌀ ${plain(sheet.tubeOdMm)} mm, cut to ${fixed(line.cutMm, 1)} mm`,
    ...ticketMarks(sheet, line).map((m) => `${fixed(m.atMm, 1)} mm: ${m.what}`),
    ...sheet.ends.map((e, i) => `${i === 0 ? 'Start' : 'End'}: ${FLARES[e.flare].label}${e.nut === '' ? '' : `, nut ${e.nut}`}`),
    ...line.warnings.map((w) => `Mind: ${rewritten(w.text)}`),
  ].join('\n');
