'use client';

import type { VacuumSample } from '@/core/pedal-end/vacuum';
import { readVacuum } from '@/csv/vacuum-csv';
import { CsvBox } from '../field/csv-box';

/** A vacuum gauge’s log, pasted or from a file. */
export const VacuumBox = ({ onTake }: { readonly onTake: (rows: readonly VacuumSample[]) => void }) => (
  <CsvBox what="readings" columns="tS,kPa" read={readVacuum} onTake={onTake} />
);
