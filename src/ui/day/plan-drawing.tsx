'use client';

import { type KeyboardEvent, useState } from 'react';
import type { DayFacts } from '@/core/plan/day-facts';
import { type DayPlan, lateUnits, type Stretch } from '@/core/plan/day-plan';
import { sayBlock } from '@/core/plan/say-next';
import { type Axis, axisOf, ticksOf, xOf } from '@/core/plan/time-axis';
import { sayWhen } from '@/core/quantity/say-time';
import { Choices } from '../field/choices';
import { Go } from '../shell/go';
import { type Row, rowsByBench, rowsByUnit } from './rows';

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;
/** A lane with a block of two lines, and with one of one. */
const LANE_PX = { bench: 40, unit: 26 };
const LABEL_PX = 104;

/** How much time the drawing shows, in hours that somebody is there. */
const SPANS = {
  day: { text: '10 h', hours: 10, everyHours: 1 },
  two: { text: '2 days', hours: 19, everyHours: 2 },
  week: { text: 'week', hours: 44, everyHours: 4 },
} as const;
type Span = keyof typeof SPANS;

/** The plan as a drawing: a line for each person, bench and what waits, or for each unit; nights folded, now marked, what will be late in red. */
export function PlanDrawing({
  plan,
  facts,
  by,
  now,
}: {
  readonly plan: DayPlan;
  readonly facts: DayFacts;
  readonly by: 'benches' | 'units';
  readonly now: number;
}) {
  const [span, setSpan] = useState<Span>('day');
  const [skip, setSkip] = useState(0);
  const { hours, everyHours } = SPANS[span];
  const open = facts.people.flatMap((p) =>
    p.shifts.map((s) => ({ from: facts.now + s.fromMin * MINUTE_MS, to: facts.now + s.toMin * MINUTE_MS })),
  );
  const first = Math.floor((facts.now - HOUR_MS / 2) / HOUR_MS) * HOUR_MS;
  // Begun before now, so that what somebody is at stands whole.
  const begins = skip === 0 ? first : (axisOf([{ from: first, to: facts.now + 1 }, ...open], first, skip * 60).at(-1)?.to ?? first);
  const axis = axisOf([{ from: first, to: facts.now + 1 }, ...open], begins, hours * 60);
  const rows = by === 'benches' ? rowsByBench(plan, facts, axis) : rowsByUnit(plan, axis);
  const late = new Set(lateUnits(plan).map((u) => u.unit.tag));
  const end = axis.at(-1)?.to;
  if (end === undefined)
    return (
      <p className="border border-line bg-sheet p-4">
        Nobody is at work in the next weeks: nothing can be planned. Hours stand under Shop.
      </p>
    );
  return (
    <section aria-label="The plan, drawn" className="min-w-0 border border-line bg-sheet">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair px-3 py-1">
        <span className="text-[13px] text-ink2">
          {sayWhen(begins, now)} to {sayWhen(end, now)}
        </span>
        <span className="ml-auto inline-flex gap-2">
          <button type="button" className="btn-quiet" disabled={skip === 0} onClick={() => setSkip(Math.max(0, skip - hours / 2))}>
            Earlier
          </button>
          <button type="button" className="btn-quiet" onClick={() => setSkip(skip + hours / 2)}>
            Later
          </button>
        </span>
        <Choices
          label="How much is shown"
          value={span}
          onPick={setSpan}
          options={Object.entries(SPANS).map(([value, { text }]) => ({ value: value as Span, text }))}
        />
      </div>
      <Lines rows={rows} axis={axis} everyHours={everyHours} late={late} facts={facts} now={now} />
    </section>
  );
}

type LinesProps = {
  readonly rows: readonly Row[];
  readonly axis: Axis;
  readonly everyHours: number;
  readonly late: ReadonlySet<string>;
  readonly facts: DayFacts;
  readonly now: number;
};
function Lines({ rows, axis, everyHours, late, facts, now }: LinesProps) {
  /** The one block that Tab comes to; arrows go from it. */
  const [at, setAt] = useState<string>();
  const nameOf = (id: string): string => facts.people.find((p) => p.id === id)?.name ?? id;
  const keyOf = (row: Row, { tag, ops: [first] }: Stretch): string => `${row.key} ${tag} ${first.op.id}`;
  const all = rows.flatMap((r) => r.lanes.flat().map((op) => keyOf(r, op)));
  const stop = at !== undefined && all.includes(at) ? at : all[0];
  const nowX = xOf(axis, facts.now);
  return (
    <div className="overflow-x-auto">
      {/* biome-ignore lint/a11y/noStaticElementInteractions: arrows move between the links in it */}
      <div className="relative min-w-[640px]" onKeyDown={move}>
        <div aria-hidden className="flex h-7 border-b border-line text-[12px] text-ink2">
          <div className="shrink-0" style={{ width: LABEL_PX }} />
          <div className="relative min-w-0 flex-1">
            {ticksOf(axis, now, everyHours)
              .filter((t) => Math.abs(t.x - nowX) > NEAR_NOW)
              .map((t) => (
                <span key={t.x} className="absolute top-1.5 whitespace-nowrap pl-1" style={{ left: percent(t.x) }}>
                  {t.text}
                </span>
              ))}
            {nowX > 0 && (
              <span className="absolute top-1.5 bg-sheet px-0.5 font-bold text-red" style={{ left: percent(nowX) }}>
                {sayWhen(facts.now, facts.now).replace('today ', '')}
              </span>
            )}
          </div>
        </div>
        {rows.map((row, i) => {
          const lanePx = row.kind === 'unit' ? LANE_PX.unit : LANE_PX.bench;
          return (
            <div
              key={row.key}
              className={`flex ${i > 0 && rows[i - 1]?.kind !== row.kind ? 'border-t-2 border-line' : i > 0 ? 'border-t border-hair' : ''}`}
            >
              <div
                className={`shrink-0 px-2 text-[13px] ${row.kind === 'unit' ? 'py-1' : 'py-2.5'} ${row.kind === 'person' ? 'font-bold' : ''} ${late.has(row.key) ? 'font-bold text-red' : ''}`}
                style={{ width: LABEL_PX }}
              >
                {row.label}
              </div>
              <ul aria-label={row.label} className="relative min-w-0 flex-1" style={{ minHeight: row.lanes.length * lanePx + 4 }}>
                <Ground axis={axis} everyHours={everyHours} now={now} />
                {row.lanes.flatMap((lane, n) =>
                  lane.map((op) => {
                    const key = keyOf(row, op);
                    return (
                      <Block
                        key={key}
                        op={op}
                        look={late.has(op.tag) ? 'late' : op.stands === 'started' && op.personId !== null ? 'started' : op.ops[0].op.kind}
                        short={row.kind === 'unit' ? 'unit' : 'bench'}
                        axis={axis}
                        top={n * lanePx + 4}
                        height={lanePx - 6}
                        says={sayBlock(op, now, nameOf)}
                        tabIndex={key === stop ? 0 : -1}
                        onFocus={() => setAt(key)}
                      />
                    );
                  }),
                )}
                {row.next !== undefined && (
                  <li className="absolute inset-y-0 right-1 flex items-center text-[12px] text-ink2">goes on {sayWhen(row.next, now)}</li>
                )}
              </ul>
            </div>
          );
        })}
        {nowX > 0 && (
          <div aria-hidden className="pointer-events-none absolute inset-y-0 right-0" style={{ left: LABEL_PX }}>
            <div className="absolute inset-y-0 w-0.5 bg-red" style={{ left: percent(nowX) }} />
          </div>
        )}
      </div>
    </div>
  );
}

/** An hour nearer than this to now gives way to it. */
const NEAR_NOW = 0.05;
const percent = (x: number): string => `${(x * 100).toFixed(3)}%`;

/** Hours as lines, nights as bands. */
function Ground({ axis, everyHours, now }: { readonly axis: Axis; readonly everyHours: number; readonly now: number }) {
  return (
    <li aria-hidden>
      {ticksOf(axis, now, everyHours).map((t) => (
        <span key={t.x} className="absolute inset-y-0 w-px bg-hair" style={{ left: percent(t.x) }} />
      ))}
      {axis
        .filter((s) => s.kind === 'folded')
        .map((s) => (
          <span
            key={s.from}
            title="nobody is there"
            className="absolute inset-y-0 bg-ground"
            style={{ left: percent(s.x0), width: percent(s.x1 - s.x0) }}
          />
        ))}
    </li>
  );
}

const LOOKS = {
  work: 'border-act bg-tint2 text-ink',
  started: 'border-act bg-act text-on-act',
  late: 'border-2 border-red bg-sheet text-red',
  wait: 'border-amber text-ink',
} as const;
/** Waits are hatched: nobody stands there. */
const HATCHED = 'repeating-linear-gradient(135deg, transparent 0 5px, color-mix(in srgb, var(--amber) 22%, transparent) 5px 6px)';

function Block({
  op,
  look,
  short,
  axis,
  top,
  height,
  says,
  tabIndex,
  onFocus,
}: {
  readonly op: Stretch;
  readonly look: keyof typeof LOOKS;
  /** In a unit's own line its tag need not stand. */
  readonly short: 'unit' | 'bench';
  readonly axis: Axis;
  readonly top: number;
  readonly height: number;
  readonly says: string;
  readonly tabIndex: 0 | -1;
  readonly onFocus: () => void;
}) {
  const [x0, x1] = [xOf(axis, op.startAt), xOf(axis, op.endAt)];
  return (
    <li className="@container absolute" style={{ left: percent(x0), width: `max(6px, calc(${percent(x1 - x0)} - 2px))`, top, height }}>
      <Go
        data-block
        href={`/units/${op.tag}/${op.ops[0].op.station}`}
        title={says}
        aria-label={says}
        tabIndex={tabIndex}
        onFocus={onFocus}
        className={`block size-full overflow-hidden border px-1 leading-tight whitespace-nowrap ${LOOKS[look]}`}
        style={op.ops[0].op.kind === 'wait' ? { backgroundImage: HATCHED } : undefined}
      >
        {/* Four figures of a tag take so much; half of one tells nothing. */}
        <b className="hidden truncate text-[12px] @min-[38px]:block">
          {short === 'unit' ? op.words : op.tag.slice(op.tag.lastIndexOf('-') + 1)}
        </b>{' '}
        {short === 'bench' && <span className="hidden truncate text-[11px] @min-[38px]:block">{op.words}</span>}
      </Go>
    </li>
  );
}

/** Arrows go from block to block: along a line, and to the nearest of the line above or below. */
const move = (e: KeyboardEvent<HTMLElement>): void => {
  const from = document.activeElement;
  if (!(from instanceof HTMLElement) || from.dataset.block === undefined) return;
  const all = [...e.currentTarget.querySelectorAll<HTMLElement>('[data-block]')];
  const line = from.closest('ul');
  const inLine = all.filter((b) => b.closest('ul') === line);
  const place = inLine.indexOf(from);
  const to = (): HTMLElement | undefined => {
    switch (e.key) {
      case 'ArrowRight':
        return inLine[place + 1];
      case 'ArrowLeft':
        return inLine[place - 1];
      case 'ArrowDown':
      case 'ArrowUp': {
        const lines = [...new Set(all.map((b) => b.closest('ul')))];
        const next = lines[lines.indexOf(line) + (e.key === 'ArrowDown' ? 1 : -1)];
        const middle = from.getBoundingClientRect().left;
        return all
          .filter((b) => b.closest('ul') === next && next !== undefined)
          .toSorted((a, b) => Math.abs(a.getBoundingClientRect().left - middle) - Math.abs(b.getBoundingClientRect().left - middle))[0];
      }
      default:
        return undefined;
    }
  };
  const next = to();
  if (next === undefined) return;
  e.preventDefault();
  next.focus();
};
