'use client';

import {
  Area,
  CartesianGrid,
  ComposedChart,
  Label,
  LabelList,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';

export type Point = { readonly x: number; readonly y: number };
/** A line of a chart, told from the others without colour by its dashes, or by dots alone. */
export type Series = {
  readonly name: string;
  readonly dash: string;
  readonly points: readonly Point[];
  /** The measurement stands out; what is held against it, and what was before, do not. */
  readonly look?: 'line' | 'line-and-dots' | 'dots' | 'steps' | 'fit' | 'limit' | 'faint';
};
/** A range along the axis: what is not known more finely. */
export type Band = {
  readonly name: string;
  readonly points: readonly { readonly x: number; readonly low: number; readonly high: number }[];
};
/** @param span what it goes over, where that is more than its points */
export type Axis = { readonly name: string; readonly say: (value: number) => string; readonly span?: readonly [number, number] };
/** A level drawn across, or a band between two. */
export type Level = { readonly text: string; readonly from: number; readonly to?: number; readonly look: 'limit' | 'allowed' | 'plain' };

const COLOURS: { readonly [L in NonNullable<Series['look']>]: string } = {
  line: 'var(--ink)',
  'line-and-dots': 'var(--act)',
  dots: 'var(--ink)',
  steps: 'var(--ink)',
  fit: 'var(--act)',
  limit: 'var(--red)',
  faint: 'var(--line)',
};
const LEVELS: { readonly [L in Level['look']]: string } = { limit: 'var(--red)', allowed: 'var(--act)', plain: 'var(--ink2)' };
const TICK = { fill: 'var(--ink2)', fontSize: 12 };

/** Points that are few enough to carry their figures. */
const FIGURED = 12;

/** Lines over a figure, each told apart by its dashes and its name, and the same as a table. @param title what it shows, for those who do not see it */
export function LineChart({
  title,
  series,
  bands = [],
  x,
  y,
  levels = [],
  height = 260,
}: {
  readonly title: string;
  readonly series: readonly Series[];
  readonly bands?: readonly Band[];
  readonly x: Axis;
  readonly y: Axis;
  readonly levels?: readonly Level[];
  readonly height?: number;
}) {
  return (
    <figure className="min-w-0 border border-line bg-sheet p-2">
      <div role="img" aria-label={title} className="overflow-hidden">
        <ResponsiveContainer width="100%" height={height} initialDimension={{ width: 720, height }}>
          <ComposedChart margin={{ top: 12, right: 16, bottom: 18, left: 12 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--hair)" />
            <XAxis
              dataKey="x"
              type="number"
              domain={x.span === undefined ? ['dataMin', 'dataMax'] : [...x.span]}
              allowDataOverflow={false}
              tick={TICK}
              stroke="var(--line)"
              tickFormatter={x.say}
              allowDuplicatedCategory={false}
            >
              <Label value={x.name} position="bottom" offset={0} fill="var(--ink2)" fontSize={12} />
            </XAxis>
            <YAxis type="number" tick={TICK} stroke="var(--line)" tickFormatter={y.say} width={62} domain={['auto', 'auto']}>
              <Label value={y.name} angle={-90} position="insideLeft" fill="var(--ink2)" fontSize={12} style={{ textAnchor: 'middle' }} />
            </YAxis>
            <Tooltip
              isAnimationActive={false}
              formatter={(value) => (Array.isArray(value) ? value.map((v) => y.say(Number(v))).join(' to ') : y.say(Number(value)))}
              labelFormatter={(value) => `${x.name}: ${x.say(Number(value))}`}
              contentStyle={{ background: 'var(--sheet)', border: '1px solid var(--line)', color: 'var(--ink)' }}
            />
            {levels.map((l) => {
              const label = {
                value: l.text,
                position: l.look === 'plain' ? ('insideTopRight' as const) : ('insideBottomRight' as const),
                fill: LEVELS[l.look],
                fontSize: 12,
              };
              return l.to === undefined ? (
                <ReferenceLine
                  key={l.text}
                  y={l.from}
                  stroke={LEVELS[l.look]}
                  strokeDasharray={l.look === 'plain' ? '1 3' : undefined}
                  ifOverflow="extendDomain"
                  label={label}
                />
              ) : (
                <ReferenceArea
                  key={l.text}
                  y1={l.from}
                  y2={l.to}
                  fill="var(--tint2)"
                  ifOverflow="extendDomain"
                  label={{ ...label, position: 'insideTopRight' }}
                />
              );
            })}
            {bands.map((b) => (
              <Area
                key={b.name}
                data={b.points.map((p) => ({ x: p.x, range: [p.low, p.high] }))}
                dataKey="range"
                name={b.name}
                type="linear"
                stroke="none"
                fill="var(--act)"
                fillOpacity={0.16}
                isAnimationActive={false}
              />
            ))}
            {series.map((s) => {
              const look = s.look ?? 'line';
              return (
                <Line
                  key={s.name}
                  data={[...s.points]}
                  dataKey="y"
                  name={s.name}
                  type={look === 'steps' ? 'stepAfter' : 'linear'}
                  stroke={look === 'dots' ? 'none' : COLOURS[look]}
                  strokeWidth={look === 'faint' ? 1 : 1.8}
                  strokeDasharray={s.dash}
                  dot={
                    look === 'dots' || look === 'line-and-dots'
                      ? { r: look === 'dots' ? 1.4 : 3, fill: COLOURS[look], stroke: 'none' }
                      : false
                  }
                  isAnimationActive={false}
                >
                  {look === 'line-and-dots' && s.points.length <= FIGURED && (
                    <LabelList dataKey="y" position="top" offset={8} fontSize={12} fill="var(--ink)" formatter={(v) => y.say(Number(v))} />
                  )}
                </Line>
              );
            })}
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="flex flex-wrap items-start justify-between gap-x-5 text-[13px]">
        <span className="flex flex-wrap gap-x-5">
          {(series.length > 1 || bands.length > 0) &&
            series.map((s) => (
              <span key={s.name} className="inline-flex items-center gap-2">
                <svg width="34" height="6" aria-hidden="true">
                  <path
                    d="M0 3H34"
                    stroke={COLOURS[s.look ?? 'line']}
                    strokeWidth="1.8"
                    strokeDasharray={s.look === 'dots' ? '2 6' : s.dash}
                  />
                </svg>
                {s.name}
              </span>
            ))}
          {bands.map((b) => (
            <span key={b.name} className="inline-flex items-center gap-2">
              <span className="inline-block h-3 w-8 bg-act opacity-20" />
              {b.name}
            </span>
          ))}
        </span>
        <Figures series={series} x={x} y={y} />
      </figcaption>
    </figure>
  );
}

/** Rows of the table that a person can read. */
const MOST_ROWS = 120;

/** The same as a table: for those who do not see the chart, and those who want its figures. */
function Figures({ series, x, y }: { readonly series: readonly Series[]; readonly x: Axis; readonly y: Axis }) {
  const at = [...new Set(series.flatMap((s) => s.points.map((p) => p.x)))].sort((a, b) => a - b);
  const every = Math.max(1, Math.ceil(at.length / MOST_ROWS));
  return (
    <details className="min-w-0">
      <summary className="min-h-9 cursor-pointer font-bold text-act">As a table</summary>
      {every > 1 && (
        <p className="text-ink2">
          Every {every}th of {at.length}.
        </p>
      )}
      <Scroll label="The figures of the chart" className="max-h-72">
        <table className="border-collapse">
          <TableHead names={[x.name, ...series.map((s) => `${s.name}, ${y.name}`)]} />
          <tbody>
            {at
              .filter((_, i) => i % every === 0)
              .map((v) => (
                <tr key={v}>
                  <th scope="row" className="cell text-left font-normal">
                    {x.say(v)}
                  </th>
                  {series.map((s) => {
                    const point = s.points.find((p) => p.x === v);
                    return (
                      <td key={s.name} className="cell">
                        {point === undefined ? '' : y.say(point.y)}
                      </td>
                    );
                  })}
                </tr>
              ))}
          </tbody>
        </table>
      </Scroll>
    </details>
  );
}
