'use client';

import type { Geometry } from '@/core/family/geometry';
import { SHAPE_WORDS } from '@/core/gauge/shape';
import { sayDia, sayLength } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';
import { Word } from '../unit/word';
import { Figure } from './gauge-fields';
import { OpenDepths } from './open-depths';
import type { Grid } from './use-grid';

/** What the readings say while they are typed: the form, what does not belong, what is still open, what cannot be read. */
export function BoreSoFar({ grid, bore }: { readonly grid: Grid; readonly bore: Geometry }) {
  const units = useUnits();
  const { form, suspects, corners, read, open } = grid;
  return (
    <>
      <h2 className="head mb-2">THE BORE SO FAR</h2>
      {form === undefined ? (
        <p className="text-ink2">The form shows with the first reading.</p>
      ) : (
        <dl className="grid grid-cols-[1fr_auto] gap-y-1">
          <Figure name="widest" value={sayDia(form.maxMm, units)} unit={units.length} />
          <Figure name="narrowest" value={sayDia(form.minMm, units)} unit={units.length} />
          <Figure
            name={<Word of="ovality">ovality, most</Word>}
            value={form.ovalityMaxMm === null ? '–' : sayDia(form.ovalityMaxMm, units)}
            unit={units.length}
          />
          <Figure name={<Word of="taper" />} value={sayDia(form.taperMm, units)} unit={units.length} />
          <Figure
            name="shape"
            value={`${SHAPE_WORDS[form.shape]}${form.taperToward === null ? '' : `, wider to the ${form.taperToward} end`}`}
            unit=""
          />
          <Figure name="gauge, ±" value={sayDia(form.expandedUncertaintyMm, units)} unit={units.length} />
          <Figure name="like" value={form.nominalCandidates.map((c) => c.label).join(', ') || 'no usual size'} unit="" />
        </dl>
      )}
      {suspects.size > 0 && (
        <p className="mt-2 text-amber">
          {suspects.size === 1 ? 'One reading does' : `${suspects.size} readings do`} not belong with the rest: gauge again where it is
          ringed.
        </p>
      )}
      {corners.map((c) => (
        <p key={c.xMm} className="mt-2 text-amber">
          At {sayLength(c.xMm, units)} {units.length} the readings do not fit an oval: the bore may have corners, which two points do not
          measure.
        </p>
      ))}
      {form !== undefined && <OpenDepths form={form} bore={bore} onAdd={open ? grid.addDepths : undefined} />}
      {read.faults.map((f) => (
        <p key={f} className="mt-1 text-red">
          {f}
        </p>
      ))}
    </>
  );
}
