import type { Dims } from '@/core/family/dims';
import { fail, ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { guideFor } from '@/core/strip/guide';
import { routeOfUnit } from '@/core/unit/facts-of';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { drop, put } from '../engine/edit';

/** What is said of a step of the strip guide: done, done and the unit had no such part, or not done after all; with its note and what was measured. */
export type StepNews = {
  readonly stepId: string;
  readonly outcome: 'done' | 'absent' | 'open';
  readonly note: string;
  readonly dims: Dims;
};

/** Ticks a step of the strip guide, or takes the tick back. What comes out with it is on the tray from then on. */
export const tellStep = (db: Db, change: Change, s: StepNews): Promise<Result<Changed, ChangeError>> => {
  const tickId = `${change.unitId}-step-${s.stepId}`;
  return changeUnit(db, { ...change, restsOn: [tickId] }, (record, at) => {
    const notNow = whyNotNow('strip', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    const step = guideFor(record.family, record.tray, record.ticks).find((g) => g.id === s.stepId);
    if (step === undefined) return fail({ code: 'refused', reasons: ['There is no such step in this unit’s guide.'] });
    if (s.outcome === 'open') return ok([drop('guideTicks', tickId)]);
    const known = record.ticks.find((t) => t.id === tickId);
    const told = record.tray.filter(
      (p) => step.slots.includes(p.slotId) && (s.outcome === 'absent' || (known === undefined && p.found === null)),
    );
    return ok([
      put('guideTicks', {
        id: tickId,
        unitId: record.unit.id,
        stepId: s.stepId,
        at: known?.at ?? at,
        personId: known?.personId ?? change.person.id,
        note: s.note,
        dims: s.dims,
      }),
      ...told.map((p) =>
        put('parts', {
          ...p,
          ...(s.outcome === 'absent'
            ? { found: 'absent' as const, condition: null, faces: null, fate: null }
            : { found: 'present' as const }),
          unitId: record.unit.id,
        }),
      ),
    ]);
  });
};
