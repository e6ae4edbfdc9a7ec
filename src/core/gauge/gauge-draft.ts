import type { Geometry } from '../family/geometry';
import type { Material } from '../family/material';
import { fixed, plain, upTo } from '../quantity/figure';
import { parseLength, parseTemperature } from '../quantity/parse';
import { tempIn } from '../quantity/say';
import { MM_PER_INCH, type Units } from '../quantity/units';
import type { Rules } from '../rules/rule-set';
import { gaugeBore } from './gauge';
import type { Gauging } from './gauging';
import type { Reading } from './reading';
import type { SentReading } from './sent-reading';
import { isSameDepth } from './station';
import { furtherDepths, GRID_CLOCKS, standsInPort } from './suggest-grid';

/** What is typed, as text; bare numbers are in the units that it says. */
export type Draft = {
  readonly length: Units['length'];
  readonly temperature: Units['temperature'];
  readonly depths: readonly string[];
  /** Clock positions across, degrees. */
  readonly clocks: readonly number[];
  readonly cells: Readonly<Record<string, string>>;
  readonly bodyTemp: string;
  readonly gaugeTemp: string;
};

/** Readings as the grid holds them: a row a depth, a column a clock position; the same place gauged again gets a row of its own. */
export const gridOf = (readings: readonly Reading[], units: Units): Pick<Draft, 'depths' | 'clocks' | 'cells'> => {
  const clocks = [...new Set(readings.map((r) => r.clockDeg))].sort((a, b) => a - b);
  const rows: { readonly xMm: number; readonly taken: Map<number, number> }[] = [];
  for (const r of [...readings].sort((a, b) => a.xMm - b.xMm)) {
    const row = rows.find((x) => Math.abs(x.xMm - r.xMm) < 1e-9 && !x.taken.has(r.clockDeg));
    if (row === undefined) rows.push({ xMm: r.xMm, taken: new Map([[r.clockDeg, r.diaMm]]) });
    else row.taken.set(r.clockDeg, r.diaMm);
  }
  const figure = (mm: number): string => figureIn(mm, units);
  return {
    clocks,
    depths: rows.map((r) => figure(r.xMm)),
    cells: Object.fromEntries(
      rows.flatMap((r, i) => clocks.flatMap((c, j) => (r.taken.has(c) ? [[`${i}-${j}`, diaFigure(r.taken.get(c) as number, units)]] : []))),
    ),
  };
};

type GridRead = {
  readonly readings: readonly Reading[];
  readonly keys: readonly string[];
  /** Cells whose text is no length. */
  readonly unread: readonly string[];
  readonly depthsMm: readonly (number | undefined)[];
  readonly bodyTempC: number | null;
  readonly gaugeTempC: number | null;
  readonly faults: readonly string[];
};

/** A draft typed in other units keeps its figures: each bare number gets the unit that it was meant in. */
export const inUnits = (draft: Draft, units: Units): Draft => {
  if (draft.length === units.length && draft.temperature === units.temperature) return draft;
  const meant = (text: string, unit: string): string => (/^\s*[\d.,]+\s*$/.test(text) ? `${text.trim()} ${unit}` : text);
  return {
    length: units.length,
    temperature: units.temperature,
    depths: draft.depths.map((d) => meant(d, draft.length)),
    clocks: draft.clocks,
    cells: Object.fromEntries(Object.entries(draft.cells).map(([key, text]) => [key, meant(text, draft.length)])),
    bodyTemp: meant(draft.bodyTemp, draft.temperature),
    gaugeTemp: meant(draft.gaugeTemp, draft.temperature),
  };
};

/** What has been typed, in mm; every cell that cannot be read is told. */
export const readGrid = (draft: Draft, units: Units): GridRead => {
  const faults: string[] = [];
  const unread: string[] = [];
  const length = (text: string, where: string): number | undefined => {
    if (text.trim() === '') return undefined;
    const read = parseLength(text, units.length);
    if (!read.ok) faults.push(`${where}: “${text}” is not a length.`);
    return read.ok ? read.value : undefined;
  };
  const temperature = (text: string, where: string): number | null => {
    if (text.trim() === '') return null;
    const read = parseTemperature(text, units.temperature);
    if (!read.ok) faults.push(`${where}: “${text}” is not a temperature.`);
    return read.ok ? read.value : null;
  };
  const depthsMm = draft.depths.map((d, i) => length(d, `Depth ${i + 1}`));
  const found = depthsMm.flatMap((xMm, row) =>
    draft.clocks.flatMap((clockDeg, column) => {
      const key = `${row}-${column}`;
      const text = draft.cells[key] ?? '';
      const diaMm = length(text, `${draft.depths[row]} at ${clockDeg}°`);
      if (diaMm === undefined) {
        if (text.trim() !== '') unread.push(key);
        return [];
      }
      if (xMm === undefined) faults.push(`Row ${row + 1} has readings but no depth.`);
      return xMm === undefined ? [] : [{ key, reading: { xMm, clockDeg, diaMm } }];
    }),
  );
  return {
    readings: found.map((f) => f.reading),
    keys: found.map((f) => f.key),
    unread,
    depthsMm,
    bodyTempC: temperature(draft.bodyTemp, 'Body'),
    gaugeTempC: temperature(draft.gaugeTemp, 'Gauge'),
    faults: [...new Set(faults)],
  };
};

/** The draft with what a gauge sent: where it says, or in the next cell that is empty. A depth or clock that the grid lacks is added. */
export const withSent = (draft: Draft, sent: readonly SentReading[], units: Units): Draft => {
  let filled = draft;
  for (const reading of sent) filled = withOne(filled, reading, units);
  return filled;
};

const withOne = (d: Draft, r: SentReading, units: Units): Draft => {
  const text = figureIn(r.diaMm, units);
  if (r.xMm == null || r.clockDeg == null) {
    const places = d.depths.flatMap((_, i) => d.clocks.map((__, j) => `${i}-${j}`));
    const empty = places.find((key) => (d.cells[key] ?? '').trim() === '');
    return empty === undefined ? d : { ...d, cells: { ...d.cells, [empty]: text } };
  }
  const depths = d.depths.some((t) => near(t, r.xMm as number, units)) ? d.depths : [...d.depths, figureIn(r.xMm, units)];
  const clocks = d.clocks.includes(r.clockDeg) ? d.clocks : [...d.clocks, r.clockDeg];
  const row = depths.findIndex((t) => near(t, r.xMm as number, units));
  return { ...d, depths, clocks, cells: { ...d.cells, [`${row}-${clocks.indexOf(r.clockDeg)}`]: text } };
};

/** The draft with rows for depths that it has none for, empty; mm. */
export const withDepths = (d: Draft, depthsMm: readonly number[], units: Units): Draft => ({
  ...d,
  depths: [...d.depths, ...depthsMm.filter((x) => !d.depths.some((t) => near(t, x, units))).map((x) => figureIn(x, units))],
});

/** The draft with a gauging's readings in it, and empty cells for the depths named; a place gauged across two clocks is offered the others. */
export const goneOn = (
  d: Draft,
  before: Pick<Gauging, 'readings' | 'bodyTempC' | 'gaugeTempC'>,
  depthsMm: readonly number[],
  units: Units,
): Draft => {
  const text = (c: number | null): string => (c === null ? '' : plain(tempIn(c, units)));
  const taken = gridOf(before.readings, units);
  const clocks = taken.clocks.length > 2 ? taken.clocks : [...taken.clocks, ...GRID_CLOCKS.filter((c) => !taken.clocks.includes(c))];
  return withDepths({ ...d, ...taken, clocks, bodyTemp: text(before.bodyTempC), gaugeTemp: text(before.gaugeTempC) }, depthsMm, units);
};

/** The first cell that waits for a reading and can have one, of the rows at these depths first. */
export const firstToFill = (
  d: Draft,
  depthsMm: readonly number[],
  bore: Pick<Geometry, 'ports' | 'nominalMm'>,
  units: Units,
): string | undefined => {
  const empty = d.depths.flatMap((text, row) => {
    const read = parseLength(text, units.length);
    return d.clocks.flatMap((clockDeg, column) => {
      const key = `${row}-${column}`;
      const taken = (d.cells[key] ?? '').trim() !== '' || (read.ok && standsInPort(bore, { xMm: read.value, clockDeg }));
      return taken ? [] : [{ key, asked: depthsMm.some((x) => near(text, x, units)) }];
    });
  });
  return (empty.find((c) => c.asked) ?? empty[0])?.key;
};

/** The cell after one, past those where a port takes the gauge's foot; undefined after the last. @param depthsMm by rows, as far as they can be read */
export const cellAfter = (
  { depths, clocks }: Pick<Draft, 'depths' | 'clocks'>,
  [row, column]: readonly [number, number],
  depthsMm: readonly (number | undefined)[],
  bore: Pick<Geometry, 'ports' | 'nominalMm'>,
): string | undefined =>
  depths
    .flatMap((_, i) => clocks.map((clockDeg, j) => ({ key: `${i}-${j}`, at: { xMm: depthsMm[i], clockDeg } })))
    .slice(row * clocks.length + column + 1)
    .find(({ at: { xMm, clockDeg } }) => xMm === undefined || !standsInPort(bore, { xMm, clockDeg }))?.key;

/**
 * A gauging gone on from: its readings, rows for what its lanes still lack and for depths that were asked for, and the cell where the next reading goes:
 * one that waits, else one that is to be read again.
 * @param also depths asked for besides, mm
 */
export const goneOnFrom = (
  typed: Draft,
  before: Gauging,
  {
    bore,
    material,
    rules,
    also,
  }: { readonly bore: Geometry; readonly material: Material; readonly rules: Rules; readonly also: readonly number[] },
  units: Units,
): { readonly draft: Draft; readonly cell: string } => {
  const found = gaugeBore({ ...before, material }, rules);
  const wanted = [...new Set([...furtherDepths(bore, found, rules), ...also])].sort((a, b) => a - b);
  const draft = goneOn(typed, before, wanted, units);
  const suspect = before.readings[found.suspects[0]?.index ?? -1];
  const { readings, keys } = readGrid(draft, units);
  const again =
    keys[readings.findIndex((r) => suspect !== undefined && r.clockDeg === suspect.clockDeg && isSameDepth(r.xMm, suspect.xMm))];
  return { draft, cell: firstToFill(draft, wanted, bore, units) ?? again ?? '0-0' };
};

/** 19.06 as a gauge that reads to 0.001 mm shows it. */
const diaFigure = (mm: number, units: Units): string => {
  const [exact, shown] = [figureIn(mm, units), fixed(inLength(mm, units), units.length === 'mm' ? 3 : 4)];
  return exact.length > shown.length ? exact : shown;
};
const inLength = (mm: number, { length }: Units): number => (length === 'mm' ? mm : mm / MM_PER_INCH);
const figureIn = (mm: number, units: Units): string => upTo(inLength(mm, units), 7);
const near = (text: string, mm: number, units: Units): boolean => {
  const read = parseLength(text, units.length);
  return read.ok && Math.abs(read.value - mm) < 0.05;
};
