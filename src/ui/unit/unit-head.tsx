'use client';

import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { sayComplaint } from '@/core/book-in/complaint';
import { isPiston } from '@/core/family/carrier';
import { MATERIAL_WORDS } from '@/core/family/material';
import { sayDia } from '@/core/quantity/say';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { EXIT_WORDS } from '@/core/station';
import { sayUnit, tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { type DrawnBore, Sections, SectionView } from '../drawing/section-view';
import { Tag } from '../drawing/tag';
import { keep } from '../shell/keep';
import { LETTER } from '../shell/keys';
import { useUnits } from '../shell/units-context';
import { useStation } from './station-context';

/** What heads every page of a unit: its tag and facts, and its section to scale, as it stands now. */
export function UnitHead({
  unit,
  job,
  family,
  bores,
  stopAtMm,
  station,
  start,
}: Pick<UnitRecord, 'unit' | 'job' | 'family'> & {
  readonly bores: readonly DrawnBore[];
  readonly stopAtMm: number | null;
  readonly station: string;
  /** How it is shown until the person says otherwise with `h`. */
  readonly start: 'open' | 'folded';
}) {
  const units = useUnits();
  const { now } = useStation();
  const [shown, setShown] = useState(start);
  const turn = (): void => {
    const next = shown === 'open' ? 'folded' : 'open';
    setShown(next);
    keep('head', next);
  };
  useHotkeys('h', turn, LETTER, [shown]);
  const fold = (
    <button
      type="button"
      className="min-h-[44px] font-bold whitespace-nowrap text-act"
      aria-expanded={shown === 'open'}
      title="h"
      onClick={turn}
    >
      {shown === 'open' ? 'Less' : 'More'}
    </button>
  );
  const promised =
    unit.exit === null ? (
      <>
        promised{' '}
        <b className={unit.dueAt < now ? 'text-red' : 'text-ink'} title={sayFullDate(unit.dueAt)}>
          {sayWhen(unit.dueAt, now)}
        </b>
      </>
    ) : (
      <b className="text-ink">
        {EXIT_WORDS[unit.exit]} {unit.exitAt === null ? '' : sayWhen(unit.exitAt, now)}
      </b>
    );
  const where = `${job.machine}${unit.position === '' ? '' : `, ${unit.position}`}`;
  if (shown === 'folded')
    return (
      <section aria-label="Unit" className="flex flex-wrap items-center gap-x-4 border-b border-line bg-sheet px-4">
        <a href="#station" className="sr-only focus:not-sr-only">
          Skip to the work
        </a>
        <Tag text={tagOf(unit)} />
        <h1 className="font-bold">{sayUnit({ unit, family })}</h1>
        <p className="text-ink2">
          {where} · {promised}
        </p>
        {bores.length > 0 && (
          <span className="section-thin ml-auto w-56 max-md:hidden" aria-hidden>
            <Sections bores={bores.map((b) => ({ ...b, name: '', lanes: [], marks: [] }))} view="together" trayHref={null} />
          </span>
        )}
        <span className={bores.length === 0 ? 'ml-auto' : 'max-md:ml-auto'}>{fold}</span>
      </section>
    );
  return (
    <section aria-label="Unit" className="grid gap-4 border-b border-line bg-sheet px-4 py-3 md:grid-cols-[15.5rem_1fr]">
      <div>
        <a href="#station" className="sr-only focus:not-sr-only">
          Skip to the work
        </a>
        <Tag text={tagOf(unit)} />
        <h1 className="mt-1.5 text-lg leading-tight font-bold">{sayUnit({ unit, family })}</h1>
        <p className="mt-1 text-ink2">
          {where} · {sayComplaint(unit.complaints, unit.complaintText) || 'no complaint'}
        </p>
        <p className="text-ink2">
          {family.bore === 'none' ? '' : MATERIAL_WORDS[unit.material]}
          {unit.pistonDiaMm === null
            ? ''
            : ` · ${family.slots.filter(isPiston).length > 1 ? 'thinnest piston' : 'piston'} ${sayDia(unit.pistonDiaMm, units)} ${units.length}`}
        </p>
        <p className="text-ink2">
          {promised} · {job.customer}
        </p>
        {fold}
      </div>
      {bores.length === 0 ? (
        <p className="self-center border border-dashed border-line p-8 text-center text-ink2">
          It has no bore: its tray, photos and records are below.
        </p>
      ) : (
        <SectionView
          bores={
            ['book-in', 'strip', 'close-up', 'set', 'prove', 'release'].includes(station) ? bores.map((b) => ({ ...b, marks: [] })) : bores
          }
          stopAtMm={stopAtMm}
          trayHref={['strip', 'close-up'].includes(station) ? '' : `/units/${tagOf(unit)}/strip`}
          svgHref={`/api/v1/units/${tagOf(unit)}/section.svg`}
        />
      )}
    </section>
  );
}
