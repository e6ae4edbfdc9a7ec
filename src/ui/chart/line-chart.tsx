'use client';

import {
  CartesianGrid,
  Label,
  Line,
  LineChart as Lines,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';

/** A line of a chart: solid, or dashed to be told from the others without colour. */
export type Series = {
  readonly name: string;
  readonly dash: string;
  readonly points: readonly { readonly x: number; readonly y: number }[];
};
export type Axis = { readonly name: string; readonly say: (value: number) => string };
/** A level drawn across, or a band between two. */
export type Level = { readonly text: string; readonly from: number; readonly to?: number; readonly look: 'limit' | 'allowed' };

/** Lines over a figure, each told apart by its dashes and its name. @param title what it shows, for those who do not see it */
export function LineChart({
  title,
  series,
  x,
  y,
  levels = [],
  height = 260,
}: {
  readonly title: string;
  readonly series: readonly Series[];
  readonly x: Axis;
  readonly y: Axis;
  readonly levels?: readonly Level[];
  readonly height?: number;
}) {
  const tick = { fill: 'var(--ink2)', fontSize: 12 };
  return (
    <figure role="img" aria-label={title} className="min-w-0 overflow-hidden border border-line bg-sheet p-2">
      <ResponsiveContainer width="100%" height={height} initialDimension={{ width: 720, height }}>
        <Lines margin={{ top: 12, right: 16, bottom: 18, left: 12 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--hair)" />
          <XAxis
            dataKey="x"
            type="number"
            domain={['dataMin', 'dataMax']}
            tick={tick}
            stroke="var(--line)"
            tickFormatter={x.say}
            allowDuplicatedCategory={false}
          >
            <Label value={x.name} position="bottom" offset={0} fill="var(--ink2)" fontSize={12} />
          </XAxis>
          <YAxis type="number" tick={tick} stroke="var(--line)" tickFormatter={y.say} width={58} domain={['auto', 'auto']}>
            <Label value={y.name} angle={-90} position="insideLeft" fill="var(--ink2)" fontSize={12} style={{ textAnchor: 'middle' }} />
          </YAxis>
          <Tooltip
            isAnimationActive={false}
            formatter={(value) => y.say(Number(value))}
            labelFormatter={(value) => `${x.name}: ${x.say(Number(value))}`}
            contentStyle={{ background: 'var(--sheet)', border: '1px solid var(--line)', color: 'var(--ink)' }}
          />
          {levels.map((l) =>
            l.to === undefined ? (
              <ReferenceLine
                key={l.text}
                y={l.from}
                stroke={l.look === 'limit' ? 'var(--red)' : 'var(--act)'}
                ifOverflow="extendDomain"
                label={{
                  value: l.text,
                  position: 'insideBottomRight',
                  fill: l.look === 'limit' ? 'var(--red)' : 'var(--act)',
                  fontSize: 12,
                }}
              />
            ) : (
              <ReferenceArea
                key={l.text}
                y1={l.from}
                y2={l.to}
                fill="var(--tint2)"
                ifOverflow="extendDomain"
                label={{ value: l.text, position: 'insideTopRight', fill: 'var(--act)', fontSize: 12 }}
              />
            ),
          )}
          {series.map((s) => (
            <Line
              key={s.name}
              data={[...s.points]}
              dataKey="y"
              name={s.name}
              type="linear"
              stroke="var(--ink)"
              strokeWidth={1.8}
              strokeDasharray={s.dash}
              dot={false}
              isAnimationActive={false}
            />
          ))}
        </Lines>
      </ResponsiveContainer>
      {series.length > 1 && (
        <figcaption className="flex flex-wrap gap-x-5 text-[13px]">
          {series.map((s) => (
            <span key={s.name} className="inline-flex items-center gap-2">
              <svg width="34" height="6" aria-hidden="true">
                <path d="M0 3H34" stroke="var(--ink)" strokeWidth="1.8" strokeDasharray={s.dash} />
              </svg>
              {s.name}
            </span>
          ))}
        </figcaption>
      )}
    </figure>
  );
}

/** Dashes for the first lines of a chart, told apart at a glance. */
export const DASHES = ['', '8 4', '2 3', '10 3 2 3', '4 2 1 2 1 2', '14 6'] as const;
