import { MATERIAL_WORDS, type Material } from '../family/material';
import { upTo } from '../quantity/figure';
import { isoDay } from '../quantity/say-time';
import { EXIT_WORDS } from '../station';
import type { TrayTag } from '../unit/tray-tag';
import { sayGroup } from './grouping';

/** A unit that left, with what the Book goes by. Times in ms since 1970; null: not known, or not so. */
export type BookLine = TrayTag & {
  readonly material: Material;
  readonly way: string;
  readonly backAt: number | null;
  readonly school: string | null;
  readonly marginMm: number | null;
  readonly confidence: number | null;
  readonly rulesVersion: number | null;
  readonly programme: number | null;
  readonly rig: string | null;
};

type Info = {
  readonly label: string;
  /** As a cell says it, and a file where that is no other; empty where nothing is known. */
  readonly say: (line: BookLine) => string | number;
};
const day = (at: number | null): string => (at === null ? '' : isoDay(at));
const group = (by: 'way' | 'school' | 'rig', stored: string | null): string => (stored === null ? '' : sayGroup(by, stored));

/** What a line of the Book can show beside its tag. */
export const BOOK_COLUMNS = {
  family: { label: 'Kind', say: (l) => l.familyLabel },
  machine: { label: 'Machine', say: (l) => l.machine },
  position: { label: 'Where on it', say: (l) => l.position },
  customer: { label: 'Customer', say: (l) => l.customer },
  complaint: { label: 'Complaint', say: (l) => l.complaint },
  material: { label: 'Metal', say: (l) => MATERIAL_WORDS[l.material] },
  bore: { label: 'Bore', say: (l) => group('way', l.way) },
  targetDiaMm: { label: 'Target, mm', say: (l) => l.targetDiaMm ?? '' },
  school: { label: 'School', say: (l) => group('school', l.school) },
  marginMm: { label: 'To spare at Judge, mm', say: (l) => (l.marginMm === null ? '' : upTo(l.marginMm, 4)) },
  confidence: { label: 'Confidence, %', say: (l) => (l.confidence === null ? '' : upTo(l.confidence * 100, 2)) },
  rules: { label: 'Rules', say: (l) => l.rulesVersion ?? '' },
  programme: { label: 'Proof programme', say: (l) => l.programme ?? '' },
  rig: { label: 'The proof', say: (l) => group('rig', l.rig) },
  how: { label: 'How it left', say: (l) => (l.exit === null ? '' : EXIT_WORDS[l.exit]) },
  left: { label: 'Left', say: (l) => day(l.exitAt) },
  back: { label: 'Came back', say: (l) => day(l.backAt) },
} as const satisfies { readonly [name: string]: Info };
export type BookColumn = keyof typeof BOOK_COLUMNS;
export const BOOK_COLUMN_NAMES = Object.keys(BOOK_COLUMNS) as readonly BookColumn[];
/** What is shown where nobody picked. */
export const USUAL_COLUMNS: readonly BookColumn[] = ['family', 'machine', 'customer', 'complaint', 'bore', 'how', 'left'];

/** Columns as an address names them, in the order of the Book; the usual ones where it names none that there is. */
export const bookColumnsIn = (asked: unknown): readonly BookColumn[] => {
  const named = typeof asked === 'string' ? asked.split(',') : [];
  const found = BOOK_COLUMN_NAMES.filter((c) => named.includes(c));
  return found.length === 0 ? USUAL_COLUMNS : found;
};
export const columnsAddress = (columns: readonly BookColumn[]): string => columns.join(',');

/** A line as a file has it: its tag, and what is picked. */
export const bookRow = (line: BookLine, tag: string, columns: readonly BookColumn[]): Readonly<Record<string, string | number>> => ({
  tag,
  ...Object.fromEntries(columns.map((c) => [c, BOOK_COLUMNS[c].say(line)])),
});
