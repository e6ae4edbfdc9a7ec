'use client';

import type { Reading } from '@/core/gauge/reading';
import { type ReadMarks, readMarks } from '@/csv/marks-csv';
import { readReadings } from '@/csv/readings-csv';
import { CsvBox } from '../field/csv-box';

export const ReadingsBox = ({ onTake }: { readonly onTake: (rows: readonly Reading[]) => void }) => (
  <CsvBox what="readings" columns="xMm,clockDeg,diaMm" read={readReadings} onTake={onTake} />
);

export const MarksBox = ({ onTake }: { readonly onTake: (rows: ReadMarks['rows']) => void }) => (
  <CsvBox
    what="marks"
    columns="id,kind,x0Mm,x1Mm,clock0Deg,clock1Deg,depthUm,depthUncertaintyUm,cleaned,note"
    read={readMarks}
    onTake={onTake}
  />
);
