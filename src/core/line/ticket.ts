import type { Line } from './line';
import type { LineSheet } from './line-sheet';

/** A mark on the cut tube, mm from its start. */
export type TicketMark = { readonly atMm: number; readonly what: string; readonly of: 'end' | 'flare' | 'bend' | 'coil' };
/** A stretch of the strip on paper, mm of the tube. */
export type TicketPiece = { readonly fromMm: number; readonly toMm: number; readonly marks: readonly TicketMark[] };

const sum = (all: readonly number[]): number => all.reduce((total, x) => total + x, 0);

/** Every mark of a tube before it is bent, in order along it. A coil is laid in the middle of its leg's straight. */
export const ticketMarks = (sheet: LineSheet, line: Line): readonly TicketMark[] => {
  const takes = line.rulesUsed.flareTakesMm;
  const flared = (end: 0 | 1): boolean => sheet.ends[end].flare !== 'none';
  const bends = line.bendStartsMm.flatMap((start, i): readonly TicketMark[] => [
    { atMm: start, what: `bend ${i + 1}, ${sheet.bends[i]?.angleDeg ?? 0}° ${sheet.bends[i]?.turn ?? ''}`, of: 'bend' },
    { atMm: start + (line.arcsMm[i] ?? 0), what: `end of bend ${i + 1}`, of: 'bend' },
  ]);
  const coils = sheet.legs.flatMap((_, leg): readonly TicketMark[] => {
    const own = sheet.coils.flatMap((c, i) => (c.leg === leg ? [i] : []));
    const start = leg === 0 ? (flared(0) ? takes : 0) : (line.bendStartsMm[leg - 1] ?? 0) + (line.arcsMm[leg - 1] ?? 0);
    const first = start + (line.straightsMm[leg] ?? 0) / 2;
    return own.flatMap((i, n): readonly TicketMark[] => {
      const from = first + sum(own.slice(0, n).map((k) => line.coilsMm[k] ?? 0));
      return [
        { atMm: from, what: `coil, ${sheet.coils[i]?.turns ?? 0} turns on ⌀ ${sheet.coils[i]?.coreMm ?? 0}`, of: 'coil' },
        { atMm: from + (line.coilsMm[i] ?? 0), what: 'end of coil', of: 'coil' },
      ];
    });
  });
  return [
    { atMm: 0, what: 'start', of: 'end' } as const,
    ...(flared(0) ? [{ atMm: takes, what: 'the flare takes this', of: 'flare' } as const] : []),
    ...bends,
    ...coils,
    ...(flared(1) ? [{ atMm: line.cutMm - takes, what: 'the flare takes this', of: 'flare' } as const] : []),
    { atMm: line.cutMm, what: 'cut here', of: 'end' } as const,
  ].sort((a, b) => a.atMm - b.atMm);
};

/** The strip in pieces as long as paper is wide; a mark on a joint stands on both. */
export const ticketPieces = (marks: readonly TicketMark[], cutMm: number, pieceMm: number): readonly TicketPiece[] =>
  Array.from({ length: Math.max(1, Math.ceil(cutMm / pieceMm)) }, (_, i) => {
    const [fromMm, toMm] = [i * pieceMm, Math.min(cutMm, (i + 1) * pieceMm)];
    return { fromMm, toMm, marks: marks.filter((m) => m.atMm >= fromMm && m.atMm <= toMm) };
  });
