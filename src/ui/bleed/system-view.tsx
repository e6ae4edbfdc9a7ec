'use client';

import { useMemo } from 'react';
import { type BleedPlan, volumeOf } from '@/core/bleed/bleed-plan';
import { END_KINDS } from '@/core/bleed/end-kind';
import type { System } from '@/core/bleed/system';
import { type DrawnPlace, drawSystem } from '@/core/bleed/system-drawing';
import { pathTo } from '@/core/bleed/tree';
import { fixed } from '@/core/quantity/figure';
import { sayLength } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';

/** A fall shorter than this has no room for the words beside it, in units of the drawing. */
const SHORT_FALL = 56;

/**
 * A system as it stands, heights to scale: lines with length and volume, the order as numbers; what is full of new fluid is drawn solid, the old dashed.
 * @param filled how many ends of the plan are done
 */
export function SystemView({
  system,
  plan,
  filled,
  picked,
  onPick,
}: {
  readonly system: System;
  readonly plan: BleedPlan;
  readonly filled: number;
  readonly picked?: string | null;
  readonly onPick?: (place: string) => void;
}) {
  const units = useUnits();
  const drawing = useMemo(() => drawSystem(system), [system]);
  const done = plan.order.slice(0, filled).map((s) => s.endId);
  const fresh = new Set(system.ends.filter((e) => done.includes(e.id)).flatMap((e) => pathTo(system.lines, e.at).map((l) => l.id)));
  const crowded = system.lines.length > 9;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing of several parts; no HTML element is one
    <svg
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      className="h-auto w-full min-w-[640px] border border-line bg-sheet"
      role="group"
      aria-label={`${system.name}: ${system.ends.length} bleed screws, ${system.lines.length} lines, ${filled} ends with new fluid`}
    >
      <g stroke="var(--hair)" strokeWidth="1" fontSize="11" fill="var(--ink2)">
        {drawing.ticks.map((t) => (
          <g key={t.dropMm}>
            <path d={`M44 ${t.y}H${drawing.width - 10}`} />
            <text x="40" y={t.y + 4} textAnchor="end" stroke="none">
              {t.dropMm === 0 ? '0' : `${t.dropMm > 0 ? '−' : '+'}${sayLength(Math.abs(t.dropMm), units)}`}
            </text>
          </g>
        ))}
        <text x="8" y="16" stroke="none">
          height, {units.length}
        </text>
      </g>
      <path d={`M56 ${drawing.levelY}H${drawing.width - 10}`} stroke="var(--act)" strokeDasharray="2 4" fill="none" />
      <text x={drawing.width - 12} y={drawing.levelY - 6} textAnchor="end" fontSize="11" fill="var(--act)">
        fluid in the reservoir
      </text>
      <Reservoir levelY={drawing.levelY} outlets={drawing.places.filter((p) => p.isRoot)} renewed={system.renewReservoir} />
      <g fill="none" stroke="var(--ink)">
        {drawing.lines.map((l) => {
          const d = `M${l.points.map((p) => p.join(' ')).join('L')}`;
          return fresh.has(l.id) ? (
            <g key={l.id}>
              <path d={d} strokeWidth="7" />
              <path d={d} strokeWidth="4" stroke="var(--act)" />
            </g>
          ) : (
            <g key={l.id}>
              <path d={d} strokeWidth="5" />
              <path d={d} strokeWidth="3" stroke="var(--sheet)" />
              <path d={d} strokeWidth="1.4" strokeDasharray="5 5" stroke="var(--ink2)" />
            </g>
          );
        })}
      </g>
      {drawing.lines.map((l) => {
        const line = system.lines.find((x) => x.id === l.id);
        const [from, corner, end] = l.points;
        if (line === undefined || from === undefined || corner === undefined || end === undefined) return null;
        // Beside its fall; above its run where the fall is too short for words.
        const isShort = Math.abs(end[1] - corner[1]) < SHORT_FALL;
        const [x, y] = isShort ? [(from[0] + 2 * corner[0]) / 3, corner[1] - 20] : [corner[0] + 7, (corner[1] + end[1]) / 2];
        return (
          <g key={l.id} fontSize="11.5" fill="var(--ink)" style={{ paintOrder: 'stroke' }} stroke="var(--sheet)" strokeWidth="3">
            {!crowded && (
              <text x={x} y={y - 2}>
                {sayLength(line.lengthMm, units)} {units.length}
              </text>
            )}
            <text x={x} y={y + 12} fill="var(--ink2)">
              {fixed(volumeOf(line), 1)} ml
            </text>
          </g>
        );
      })}
      {drawing.places.map((p) => (
        <Place key={p.id} place={p} plan={plan} done={done} isPicked={picked === p.id} onPick={onPick} />
      ))}
    </svg>
  );
}

function Reservoir({
  levelY,
  outlets,
  renewed,
}: {
  readonly levelY: number;
  readonly outlets: readonly DrawnPlace[];
  readonly renewed: boolean;
}) {
  const bottom = Math.max(levelY + 20, ...outlets.map((o) => o.y)) + 14;
  return (
    <g stroke="var(--ink)" strokeWidth="1.5" fill="var(--sheet)">
      <path d={`M60 ${levelY - 18}V${levelY + 16}H112V${levelY - 18}`} />
      <rect x="61" y={levelY} width="50" height="15" fill={renewed ? 'var(--tint)' : 'var(--hair)'} stroke="none" />
      <rect x="56" y={levelY + 16} width="74" height={bottom - levelY - 16} fill="var(--hair)" />
      <text x="58" y={bottom + 14} fontSize="12" stroke="none" fill="var(--ink)">
        master
      </text>
    </g>
  );
}

/** Which in the order an end is; undefined where it is in none. */
const numberOf = (plan: BleedPlan, endId: string): number | undefined => {
  const at = plan.order.findIndex((s) => s.endId === endId);
  return at === -1 ? undefined : at + 1;
};

/** A tee, an outlet, or a body with its screws; picked by pointer or by Enter. */
function Place({
  place,
  plan,
  done,
  isPicked,
  onPick,
}: {
  readonly place: DrawnPlace;
  readonly plan: BleedPlan;
  readonly done: readonly string[];
  readonly isPicked: boolean;
  readonly onPick: ((place: string) => void) | undefined;
}) {
  const { id, x, y, ends } = place;
  const pick = onPick === undefined ? undefined : () => onPick(id);
  const says = ends.map((e) => `${e.id}, number ${numberOf(plan, e.id) ?? 'not given'}, ${END_KINDS[e.kind].label}`).join('; ');
  return (
    <>
      <g
        {...(pick === undefined
          ? {}
          : {
              role: 'button',
              tabIndex: 0,
              'aria-pressed': isPicked,
              'aria-label': says === '' ? id : says,
              onClick: pick,
              onKeyDown: (e: React.KeyboardEvent) => {
                if (e.key !== 'Enter' && e.key !== ' ') return;
                e.preventDefault();
                pick();
              },
            })}
        className={pick === undefined ? undefined : 'cursor-pointer'}
      >
        {pick !== undefined && <rect x={x - 22} y={y - 22} width="44" height="44" fill="transparent" />}
        {isPicked && <rect x={x - 17} y={y - 17} width="34" height="34" fill="var(--tint2)" stroke="var(--act)" strokeWidth="2" />}
        {ends.length === 0 ? (
          <circle cx={x} cy={y} r="5" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
        ) : (
          <rect x={x - 13} y={y - 9} width="26" height="18" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
        )}
        {ends.map((e, i) => (
          <Screw key={e.id} x={x + 9 - i * 18} y={y} sits={e.screwOnTop == null ? 'unknown' : e.screwOnTop ? 'top' : 'low'} />
        ))}
      </g>
      <PlaceWords place={place} plan={plan} done={done} />
    </>
  );
}

/** What stands beside a place: its name, and which in the order its screws are. */
const PlaceWords = ({
  place: { id, x, y, ends },
  plan,
  done,
}: {
  readonly place: DrawnPlace;
  readonly plan: BleedPlan;
  readonly done: readonly string[];
}) => (
  <g className="pointer-events-none">
    {ends.length === 0 && (
      <text x={x + 8} y={y - 8} fontSize="11.5" fill="var(--ink2)">
        {id}
      </text>
    )}
    {ends.map((e, i) => (
      <g key={e.id} textAnchor="middle">
        {numberOf(plan, e.id) !== undefined && (
          <>
            <circle
              cx={x - 26 - i * 24}
              cy={y + 2}
              r="11"
              fill={done.includes(e.id) ? 'var(--act)' : 'var(--sheet)'}
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
            <text x={x - 26 - i * 24} y={y + 6.5} fontSize="13" fontWeight="700" fill={done.includes(e.id) ? 'var(--sheet)' : 'var(--ink)'}>
              {numberOf(plan, e.id)}
            </text>
          </>
        )}
        <text x={x} y={y + 30 + i * 14} fontSize="12" fill="var(--ink)">
          {e.id}
          {e.dropMm == null ? ', height?' : ''}
        </text>
      </g>
    ))}
  </g>
);

/** The bleed screw: on top, low, or a dashed one that nobody has looked at. */
const Screw = ({ x, y, sits }: { readonly x: number; readonly y: number; readonly sits: 'top' | 'low' | 'unknown' }) => (
  <path
    d={sits === 'low' ? `M${x} ${y + 9}v6m-3 0h6` : `M${x} ${y - 9}v-6m-3 0h6`}
    stroke="var(--ink)"
    strokeWidth="2"
    strokeDasharray={sits === 'unknown' ? '2 1.5' : undefined}
  />
);
