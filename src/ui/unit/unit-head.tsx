'use client';

import { sayComplaint } from '@/core/book-in/complaint';
import type { Span } from '@/core/family/geometry';
import type { Lane } from '@/core/family/lane';
import { MATERIAL_WORDS } from '@/core/family/material';
import { sayDia } from '@/core/quantity/say';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import type { Units } from '@/core/quantity/units';
import type { DrawnPart } from '@/core/unit/drawn-parts';
import { sayUnit, tagOf, type UnitRecord } from '@/core/unit/unit-record';
import type { SectionMark } from '../drawing/section-drawing';
import { SectionView } from '../drawing/section-view';
import { Tag } from '../drawing/tag';

/** What heads every page of a unit: its tag and facts, and its section to scale, as it stands now. */
export function UnitHead({
  unit,
  job,
  family,
  parts,
  lanes,
  marks,
  stopAtMm,
  pressed,
  units,
  now,
  station,
}: Pick<UnitRecord, 'unit' | 'job' | 'family'> & {
  readonly parts: readonly DrawnPart[];
  readonly lanes: readonly Lane[];
  readonly marks: readonly SectionMark[];
  readonly stopAtMm: number | null;
  readonly pressed: readonly Span[];
  readonly units: Units;
  readonly now: number;
  readonly station: string;
}) {
  return (
    <section aria-label="Unit" className="grid gap-4 border-b border-line bg-sheet px-4 py-3 md:grid-cols-[15.5rem_1fr]">
      <div>
        <a href="#station" className="sr-only focus:not-sr-only">
          Skip to the work
        </a>
        <Tag text={tagOf(unit)} />
        <h1 className="mt-1.5 text-lg leading-tight font-bold">{sayUnit({ unit, family })}</h1>
        <p className="mt-1 text-ink2">
          {job.machine}
          {unit.position === '' ? '' : `, ${unit.position}`} · {sayComplaint(job.complaints, job.complaintText) || 'no complaint'}
        </p>
        <p className="text-ink2">
          {family.bore === 'none' ? '' : MATERIAL_WORDS[unit.material]}
          {unit.pistonDiaMm === null ? '' : ` · piston ${sayDia(unit.pistonDiaMm, units)} ${units.length}`}
        </p>
        <p className="text-ink2">
          {unit.exit === null ? (
            <>
              promised{' '}
              <b className={unit.dueAt < now ? 'text-red' : 'text-ink'} title={sayFullDate(unit.dueAt)}>
                {sayWhen(unit.dueAt, now)}
              </b>
            </>
          ) : (
            <b className="text-ink">
              {unit.exit} {unit.exitAt === null ? '' : sayWhen(unit.exitAt, now)}
            </b>
          )}{' '}
          · {job.customer}
        </p>
      </div>
      {unit.geometry === null ? (
        <p className="self-center border border-dashed border-line p-8 text-center text-ink2">
          It has no bore: its tray, photos and records are below.
        </p>
      ) : (
        <SectionView
          family={family}
          geometry={unit.geometry}
          units={units}
          lanes={lanes}
          marks={['book-in', 'strip', 'close-up', 'set', 'prove', 'release'].includes(station) ? [] : marks}
          stopAtMm={stopAtMm}
          pressed={pressed}
          parts={parts}
          trayHref={['strip', 'close-up'].includes(station) ? '' : `/units/${tagOf(unit)}/strip`}
          svgHref={`/api/v1/units/${tagOf(unit)}/section.svg`}
        />
      )}
    </section>
  );
}
