import { judgeSeen, type Seen, WET_NAMES } from '@/core/prove/programme/seen';
import { isStanding, standingWait, standsMs } from '@/core/prove/programme/standing';
import { isSeenStep, type SeenStep } from '@/core/prove/programme/step';
import { suspectsOf } from '@/core/prove/programme/suspects';
import { saySpan } from '@/core/quantity/say-time';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { routeOfUnit } from '@/core/unit/facts-of';
import { failedNow, openStanding, provableSince, stepsFor } from '@/core/unit/proving';
import type { UnitRecord } from '@/core/unit/unit-record';
import { takenOutEdits } from '../close-up/forgotten';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { benchEdit } from '../unit/bench';
import { reopenEdits } from '../unit/sign-off';
import { endOfWait, waitEdit } from '../unit/waits';

const seenStepOf = (record: UnitRecord, stepId: string): Result<SeenStep, ChangeError> => {
  const notNow = whyNotNow('prove', routeOfUnit(record));
  if (notNow.length > 0) return refused(...notNow);
  const step = stepsFor(record).find((s) => s.id === stepId);
  if (step === undefined) return refused('Its programme has no such step.');
  return isSeenStep(step) ? ok(step) : refused('That step is run, not seen.');
};

/** Notes what was seen or read at a step, judged by its figures. A unit that stood for it waits no more. */
export const noteSeen = (db: Db, change: Change, s: Seen & { readonly stepId: string }): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const step = seenStepOf(record, s.stepId);
    if (!step.ok) return step;
    if (step.value.kind === 'dry-stroke') {
      if (s.answer === null) return refused('Say how it strokes.');
      return ok([benchEdit(record, change, at, { kind: 'stroked', returns: s.answer === 'good' ? 'by-itself' : 'sticks' })]);
    }
    const standing = openStanding(record, s.stepId);
    const result = judgeSeen(step.value, s);
    if (result === undefined) return refused(step.value.kind === 'sink' ? 'Read the rod before and after.' : 'Say what was seen.');
    if (step.value.kind === 'weep') {
      if (standing === undefined) return refused('Set it on paper first, with a photo of the dry paper.');
      if (result.outcome === 'pass' && at < standing.endsAt) return refused(`It has ${saySpan(standing.endsAt - at)} to stand yet.`);
      if (!hasPhoto(record, s.stepId, 'in', standing.at)) return refused('Take a photo of the paper as it is now first.');
    }
    const data = { kind: 'proof', stepId: s.stepId, programme: record.programme.version, ...result, wet: s.wet } as const;
    const waited = standing === undefined ? [] : await endOfWait(tx, record.unit.id, waitId(standing.id), at);
    return ok([benchEdit(record, change, at, data), ...waited]);
  });

/** Leaves a unit standing for a step: from now on its time runs, and rings. */
export const startStanding = (
  db: Db,
  change: Change,
  s: { readonly stepId: string; readonly startMm: number | null },
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) => {
    const found = seenStepOf(record, s.stepId);
    if (!found.ok) return found;
    const step = found.value;
    if (!isStanding(step)) return refused('Nothing stands at that step.');
    if (openStanding(record, s.stepId) !== undefined) return refused('It stands already.');
    if (step.kind === 'weep' && !hasPhoto(record, s.stepId, 'out', provableSince(record) ?? at))
      return refused('Take a photo of the unit on its dry paper first.');
    if (step.kind === 'sink' && s.startMm === null) return refused('Read where the rod stands first.');
    const endsAt = at + standsMs(step);
    return ok([
      benchEdit(record, change, at, { kind: 'standing', stepId: s.stepId, endsAt, startMm: s.startMm }),
      waitEdit(change, at, { id: waitId(change.eventId), label: standingWait(step), endsAt }),
    ]);
  });

const waitId = (standingId: string): string => `${standingId}-wait`;

const hasPhoto = (record: UnitRecord, stepId: string, phase: 'out' | 'in', since: number): boolean =>
  record.photos.some((p) => p.onKind === 'proof' && p.onId === stepId && p.phase === phase && p.at >= since);

/**
 * A failed step leads back to what is suspected: where parts are, they come out at Close up with all that stands in their way; else its station opens again, and all after it.
 * Whoever proves may do that, to what the failure names; for anything else there is a lead.
 * @param what the suspect in its words
 */
export const reopenAfterFail = (db: Db, change: Change, what: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record) => {
    const now = failedNow(record);
    if (now === undefined) return refused('No step of its programme fails now.');
    const named = [null, ...WET_NAMES].flatMap((wet) => suspectsOf(record.family, now.step, wet)).find((s) => s.what === what);
    if (named === undefined) return refused('What failed does not lead there; a lead can reopen any station.');
    if (named.reopens === null) return refused('Nothing of the unit is opened for that: put it right, and run the step again.');
    const parts = record.tray.filter((p) => p.goesIn !== null && named.slots.includes(p.slotId));
    return named.reopens === 'close-up' && parts.length > 0
      ? ok(takenOutEdits(record, record.tray, parts))
      : reopenEdits(record, named.reopens);
  });
