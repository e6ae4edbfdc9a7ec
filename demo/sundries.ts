import type { Dims } from '@/core/family/dims';
import type { PartKind } from '@/core/family/part-kind';
import { sayNominal } from '@/core/quantity/say';
import type { NewArticle, NewLot } from './shop-setup';

const inch = (sixteenths: number): number => Math.round(((sixteenths * 25.4) / 16) * 1000) / 1000;

type Row = readonly [name: string, kind: PartKind, dims: Dims, price: number];
const rows = <T>(of: readonly T[], row: (t: T) => Row): readonly Row[] => of.map(row);

/** Sundries as a shop keeps them in small drawers: by kind, each in the sizes that come up. */
const ROWS: readonly Row[] = [
  ...rows([10, 11, 12, 13], (n) => [`cup ${sayNominal(inch(n))}`, 'cup', { boreMm: inch(n), lengthMm: 7 }, 3.4]),
  ...rows([14, 15, 16, 18], (n) => [`cup ${sayNominal(inch(n))}`, 'cup', { boreMm: inch(n), lengthMm: 7 }, 3.9]),
  ...rows([12, 14, 15, 16], (n) => [`cup ${sayNominal(inch(n))}, wheel`, 'cup', { boreMm: inch(n), lengthMm: 6 }, 2.6]),
  ...rows(
    [
      [10, 26],
      [10, 28],
      [10, 30],
      [12, 23],
      [12, 26],
      [12, 30],
      [14, 26],
      [14, 28],
      [14, 30],
      [16, 32],
    ] as const,
    ([id, od]) => [`boot ${id} × ${od}`, 'boot', { idMm: id, odMm: od }, 2.1],
  ),
  ...rows([16, 18, 20, 22, 24, 26], (d) => [`circlip, inside, ${d} mm`, 'circlip', { odMm: d, thickMm: 1.2 }, 0.35]),
  ...rows([1, 1.2, 1.5], (t) => [`circlip ${t} mm thick`, 'circlip', { thickMm: t }, 0.4]),
  ...rows(
    [
      [8, 12],
      [10, 14],
      [10, 16],
      [12, 16],
      [12, 18],
      [14, 18],
    ] as const,
    ([id, od]) => [`copper washer ${id} × ${od}`, 'sealing-washer', { idMm: id, odMm: od, thickMm: 1 }, 0.3],
  ),
  ...rows(
    [
      [10, 14],
      [12, 16],
      [14, 18],
    ] as const,
    ([id, od]) => [`aluminium washer ${id} × ${od}`, 'sealing-washer', { idMm: id, odMm: od, thickMm: 1.5 }, 0.25],
  ),
  ...rows(
    [
      ['M7x1', 25],
      ['M8x1.25', 27],
      ['M8x1.25', 32],
      ['M10x1', 28],
      ['M10x1', 33],
      ['1/4-28', 25],
      ['5/16-24', 30],
      ['3/8-24', 32],
    ] as const,
    ([thread, lengthMm]) => [`bleed screw ${thread} × ${lengthMm}`, 'bleed-screw', { thread, lengthMm, tip: 'cone' }, 1.9],
  ),
  ...rows(['M10x1', 'M10x1.25', 'M12x1', '3/8-24', '7/16-20'], (thread) => [`banjo bolt ${thread}`, 'banjo-bolt', { thread }, 3.2]),
  ...rows([8, 9, 10, 12], (id) => [`reservoir grommet ${id} mm`, 'grommet', { idMm: id, odMm: 18 }, 1.2]),
  ...rows([12, 22, 32, 40, 48, 58], (lengthMm) => [`spring ${lengthMm} mm`, 'spring', { lengthMm }, 1.6]),
  ...rows([1.6, 2, 2.5], (diaMm) => [`split pin ${diaMm} mm`, 'split-pin', { diaMm }, 0.15]),
  ...rows([6, 8], (d) => [`O-ring ${d} × 2`, 'o-ring', { idMm: d, csMm: 2 }, 0.3]),
  ...rows([16, 18, 20], (d) => [`wire ring ${d} mm`, 'wire-ring', { odMm: d }, 0.3]),
  ['wire ring for a boot', 'wire-ring', {}, 0.3],
  ...rows([42.9, 44.5], (d) => [`pressure seal ${d} mm`, 'square-seal', { boreMm: d === 42.9 ? inch(27) : inch(28), csMm: 3.6 }, 4.4]),
  ...rows([49, 51], (d) => [`dust seal ${d} mm`, 'dust-seal', { odMm: d }, 2.8]),
  ['bleed cap', 'bleed-cap', {}, 0.2],
  ['reservoir cap seal 45 mm', 'cap-seal', { odMm: 45 }, 1.4],
  ['end seal, valve master', 'end-seal', {}, 2.2],
  ['protector washer 20 mm', 'protector-washer', { odMm: 20, thickMm: 0.3 }, 0.6],
];

const DAY_MS = 86_400_000;
/** @param some a number from 0 up to below another, the same every time */
export const sundries = (now: number, some: (below: number) => number): readonly (readonly [NewArticle, readonly NewLot[]])[] =>
  ROWS.map(([name, kind, dims, price], i) => {
    const number = `S-${String(i + 1).padStart(3, '0')}`;
    const qty = [0, 4, 10, 20, 24, 50][some(6)] as number;
    const article = { number, type: 'sundry' as const, name, price, leadDays: 1 + some(4), note: '', supersededBy: null, reorderAt: null };
    const items = [{ kind, name, qty: 1, dims }];
    const lot = { code: `D${i + 1}`, qty, at: now - 90 * DAY_MS, expiresAt: now + 1200 * DAY_MS, fault: '' };
    return [{ ...article, items }, qty === 0 ? [] : [lot]];
  });
