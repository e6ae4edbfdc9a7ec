import { whenOnClock } from '@/core/locale';
import { isoDay } from '@/core/quantity/say-time';
import type { FileProblem } from '@/core/schema/file-problem';
import type { CsvTable, Dialect } from './read-table';
import { numberIn } from './read-table';

type Row = CsvTable['rows'][number];

/** Reads the cells of a table one by one and keeps everything that is wrong with them, each with its line and column. */
export class RowReader {
  readonly problems: FileProblem[] = [];

  constructor(
    readonly columns: readonly string[],
    private readonly dialect: Dialect,
  ) {}

  wrong(row: Pick<Row, 'line'>, column: string, message: string): undefined {
    this.problems.push({ line: row.line, column, message });
    return undefined;
  }

  /** Text as it stands; empty where the column is not there. @param need say so when it is empty */
  text(row: Row, column: string, most: number, need: 'needed' | 'may-be-empty' = 'may-be-empty'): string {
    const value = row.cells[column] ?? '';
    if (value === '' && need === 'needed') this.wrong(row, column, 'is empty');
    if (value.length > most) this.wrong(row, column, `is longer than ${most} characters`);
    return value;
  }

  /** A number within bounds; null where the cell is empty. */
  number(row: Row, column: string, [least, most]: readonly [number, number], kind: 'whole' | 'any' = 'any'): number | null {
    const cell = row.cells[column] ?? '';
    if (cell === '') return null;
    const value = numberIn(cell, this.dialect);
    if (value === undefined) this.wrong(row, column, `“${cell}” is not a number`);
    else if (!(value >= least && value <= most)) this.wrong(row, column, `${cell} is not between ${least} and ${most}`);
    else if (kind === 'whole' && !Number.isInteger(value)) this.wrong(row, column, `${cell} is not a whole number`);
    else return value;
    return null;
  }

  /** One of a few words. @returns undefined when it is none of them, which is told */
  oneOf<T extends string>(row: Row, column: string, words: readonly T[]): T | undefined {
    const cell = row.cells[column] ?? '';
    return (
      words.find((w) => w === cell) ??
      this.wrong(
        row,
        column,
        cell === '' ? 'is empty' : `“${cell}” is none of those known${words.length <= 16 ? `: ${words.join(', ')}` : ''}`,
      )
    );
  }

  /** Words with a space, bar or semicolon between them. */
  list(row: Row, column: string): readonly string[] {
    return (row.cells[column] ?? '').split(/[|;]|\s+/).filter((w) => w !== '');
  }

  /** A day as `2027-05-31`; its last moment, ms. Null where the cell is empty. */
  day(row: Row, column: string): number | null {
    const cell = row.cells[column] ?? '';
    if (cell === '') return null;
    const [, year, month, date] = /^(\d{4})-(\d{2})-(\d{2})$/.exec(cell) ?? [];
    const at = whenOnClock(Number(year), Number(month) - 1, Number(date), 23, 59).getTime() + 59_000;
    return year !== undefined && isoDay(at) === cell ? at : (this.wrong(row, column, `“${cell}” is not a day such as 2027-05-31`) ?? null);
  }
}
