import { expect, test } from 'vitest';
import { BOOK_COLUMN_NAMES, type BookLine, bookColumnsIn, bookRow, columnsAddress, USUAL_COLUMNS } from './book-columns';

const LINE: BookLine = {
  id: 'u',
  tagNo: 7,
  family: 'wheel-double',
  familyLabel: 'Wheel cylinder, double',
  station: 'release',
  outcome: 'hone',
  targetDiaMm: 22.28,
  dueAt: 0,
  exit: 'released',
  exitAt: Date.UTC(2026, 4, 5, 9),
  position: 'front left',
  machine: 'Baler',
  customer: 'Hollow Farm',
  complaint: 'wet boot',
  branch: null,
  goesTo: null,
  material: 'cast-iron',
  way: 'hone',
  backAt: null,
  school: 'hone-to-limit',
  marginMm: 0.0261,
  confidence: 0.9987,
  rulesVersion: 3,
  programme: 1,
  rig: 'failed',
};

test('an address names columns in any order, and what there is not is left out; none that there is: the usual ones', () => {
  expect(bookColumnsIn('left,nothing,machine')).toEqual(['machine', 'left']);
  for (const odd of [undefined, '', 'nothing', ['machine'], '__proto__,constructor']) expect(bookColumnsIn(odd)).toBe(USUAL_COLUMNS);
  expect(bookColumnsIn(columnsAddress(BOOK_COLUMN_NAMES))).toEqual(BOOK_COLUMN_NAMES);
});

test('a file has the tag and what was picked, in words and figures; what is not known is empty', () => {
  expect(bookRow(LINE, 'SQ-0007', ['bore', 'marginMm', 'confidence', 'rig', 'left', 'back'])).toEqual({
    tag: 'SQ-0007',
    bore: 'honed',
    marginMm: '0.0261',
    confidence: '99.87',
    rig: 'failed first',
    left: '2026-05-05',
    back: '',
  });
  const bare = {
    ...LINE,
    marginMm: null,
    confidence: null,
    rulesVersion: null,
    programme: null,
    rig: null,
    school: null,
    targetDiaMm: null,
  };
  const row = bookRow(bare, 'SQ-0007', BOOK_COLUMN_NAMES);
  expect(['marginMm', 'confidence', 'rules', 'programme', 'rig', 'school', 'targetDiaMm'].map((c) => row[c])).toEqual(Array(7).fill(''));
});
