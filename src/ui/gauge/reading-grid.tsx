'use client';

import type { Geometry } from '@/core/family/geometry';
import { isSameDepth } from '@/core/gauge/station';
import { standsInPort } from '@/core/gauge/suggest-grid';
import { sayDia } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';
import { Scroll } from '../unit/scroll';
import type { Grid } from './use-grid';

/** The grid itself: depths down, clock across, and what each depth comes to. @param onLast Enter in the last cell */
export function ReadingGrid({ grid, bore, onLast }: { readonly grid: Grid; readonly bore: Geometry; readonly onLast: () => void }) {
  const units = useUnits();
  const { draft, setDraft, read, form, suspects, open } = grid;
  /** Where a port takes the gauge's foot: nothing can be read there. */
  const inPort = (row: number, clockDeg: number): boolean => {
    const xMm = read.depthsMm[row];
    return xMm !== undefined && standsInPort(bore, { xMm, clockDeg });
  };
  return (
    <Scroll label="Readings">
      <table ref={grid.table} className="w-full border-collapse bg-sheet">
        <thead>
          <tr>
            <th scope="col" className="th">
              Depth, {units.length}
            </th>
            {draft.clocks.map((c) => (
              <th key={c} scope="col" className="th">
                {c}°
              </th>
            ))}
            <th scope="col" className="th text-right">
              Mean
            </th>
            <th scope="col" className="th text-right">
              Ovality
            </th>
          </tr>
        </thead>
        <tbody>
          {draft.depths.map((depth, row) => {
            const station = form?.stations.find((s) => isSameDepth(s.xMm, read.depthsMm[row] ?? NaN));
            return (
              <tr key={row}>
                <td className="cell py-px">
                  <input
                    className="field w-20"
                    aria-label={`Depth ${row + 1}`}
                    disabled={!open}
                    value={depth}
                    onChange={(e) => setDraft({ ...draft, depths: draft.depths.map((d, i) => (i === row ? e.target.value : d)) })}
                  />
                </td>
                {draft.clocks.map((clock, column) => {
                  const key = `${row}-${column}`;
                  return (
                    <td key={key} className="cell py-px">
                      <input
                        data-cell={key}
                        size={7}
                        className={`field min-w-22 tabular-nums ${suspects.has(key) ? 'outline-2 -outline-offset-2 outline-amber' : ''}`}
                        aria-label={`${depth} ${units.length} at ${clock}°${suspects.has(key) ? ', gauge again' : ''}`}
                        aria-invalid={grid.read.wrong.has(key)}
                        title={suspects.has(key) ? 'Gauge again' : undefined}
                        placeholder={inPort(row, clock) ? 'port' : undefined}
                        inputMode="decimal"
                        disabled={!open}
                        value={draft.cells[key] ?? ''}
                        onChange={(e) => setDraft({ ...draft, cells: { ...draft.cells, [key]: e.target.value } })}
                        onKeyDown={(e) => {
                          if (e.key !== 'Enter') return;
                          e.preventDefault();
                          if (!grid.advance(row, column)) onLast();
                        }}
                      />
                    </td>
                  );
                })}
                <td className="cell py-px text-right">{station === undefined ? '' : sayDia(station.meanMm, units)}</td>
                <td className="cell py-px text-right text-ink2">
                  {station?.ovalityMm == null ? '' : `${station.method === 'two-point' ? '≥ ' : ''}${sayDia(station.ovalityMm, units)}`}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Scroll>
  );
}
