import { and, eq, isNull, ne } from 'drizzle-orm';
import { BEFORE } from '@/core/book-in/before';
import { boreSizesMm } from '@/core/family/pots';
import { familyOf } from '@/core/family/variant-schema';
import { may } from '@/core/people/role';
import { sayFullDate } from '@/core/quantity/say-time';
import { fail, ok, type Result } from '@/core/result';
import { emptyTray } from '@/core/strip/tray';
import type { Unit, UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, type Decide, refused, type WithIt } from '../engine/change-unit';
import type { Db, Tx } from '../engine/connection';
import { drop, type Edit, put } from '../engine/edit';
import { jobs, units } from '../tables';
import { boresEntered, type Entered, familyEntered, IN_THE_PAST, newJob } from './book-in';

/**
 * Puts right what was entered at the counter, on the record: what was there before stands in the history. Customer, machine and promise are
 * the job's: its other units in the shop follow. Refused where something has been worked out from what would change.
 */
export async function correct(db: Db, change: Change, e: Entered): Promise<Result<Changed, ChangeError>> {
  if (!may(change.person.role, 'correct')) return refused('The counter or a lead corrects what was entered.');
  let [jobWas, jobIs] = ['', ''];
  const corrected: Decide = async (record, at, tx) => {
    // Asked here, where the same correction sent again has been told from a new one.
    if (sayCorrection(record, e) === '') return refused('Nothing is otherwise than it was entered.');
    const shape = shapeOf(record, e);
    if (!shape.ok) return refused(shape.error);
    const { job, unit } = record;
    const same = job.customer === e.customer && job.phone === e.phone && job.machine === e.machine && job.promisedAt === e.promisedAt;
    if (e.promisedAt !== job.promisedAt && e.promisedAt < at) return refused(IN_THE_PAST);
    [jobWas, jobIs] = [unit.jobId, same ? unit.jobId : await newJob(tx, change.eventId, e, at)];
    const dueAt = e.promisedAt === job.promisedAt ? unit.dueAt : e.promisedAt;
    const { position, identityMarks, complaints, complaintText, before = unit.before } = e;
    const told = { jobId: jobIs, dueAt, position, identityMarks, complaints, complaintText, before };
    return ok([...shape.value.tray, put('units', { ...shape.value.unit, ...told })]);
  };
  return changeUnit(db, change, corrected, async (tx) => (jobWas === jobIs ? [] : othersOf(tx, change, e, jobWas, jobIs)));
}

/** The other units of a job, in the shop, go to the job as it is now. */
const othersOf = async (tx: Tx, change: Change, e: Entered, jobWas: string, jobIs: string): Promise<readonly WithIt[]> => {
  const others = await tx
    .select({ id: units.id, dueAt: units.dueAt, promisedAt: jobs.promisedAt })
    .from(units)
    .innerJoin(jobs, eq(units.jobId, jobs.id))
    .where(and(eq(units.jobId, jobWas), ne(units.id, change.unitId), isNull(units.exit)));
  return others.map((other) => ({
    change: { ...change, unitId: other.id, eventId: `${change.eventId}-${other.id}`, version: null },
    decide: ({ unit }) => ok([put('units', { ...unit, jobId: jobIs, dueAt: unit.dueAt === other.promisedAt ? e.promisedAt : unit.dueAt })]),
  }));
};

/** What a correction says, for the history: each thing that was otherwise. */
export const sayCorrection = ({ job, unit, family }: UnitRecord, e: Entered): string => {
  const label = familyOf(e.family, e.variant?.variant ?? null).label;
  const pairs: readonly (readonly [string, string, string])[] = [
    ['customer', job.customer, e.customer],
    ['telephone', job.phone, e.phone],
    ['machine', job.machine, e.machine],
    ['where', unit.position, e.position],
    ['marks', unit.identityMarks, e.identityMarks],
    ['family', family.label, label],
    ['material', unit.material, e.material],
    ['bore', sayBores(boreSizesMm(unit)), sayBores(boresIn(e))],
    ['complaint', unit.complaints.join(', '), e.complaints.join(', ')],
    ['in their words', unit.complaintText, e.complaintText],
    ['known of it', unit.before.map((b) => BEFORE[b].label).join(', '), (e.before ?? unit.before).map((b) => BEFORE[b].label).join(', ')],
    ['promised', sayFullDate(job.promisedAt), sayFullDate(e.promisedAt)],
  ];
  return pairs.flatMap(([what, was, is]) => (was === is ? [] : [`${what}: ${was || 'nothing'} → ${is || 'nothing'}`])).join('; ');
};

const boresIn = ({ nominalMm, morePotsMm = [] }: Entered): readonly number[] => (nominalMm === null ? [] : [nominalMm, ...morePotsMm]);
const sayBores = (sizesMm: readonly number[]): string => sizesMm.join(' and ');

/** The unit and its tray made anew where its family, its bores or its material was another. */
const shapeOf = (record: UnitRecord, e: Entered): Result<{ readonly unit: Unit; readonly tray: readonly Edit[] }, string> => {
  const { unit } = record;
  const { morePotsMm = [] } = e;
  const variantId = e.variant?.id ?? null;
  const otherFamily = unit.family !== e.family || unit.variantId !== variantId || unit.morePots.length !== morePotsMm.length;
  const otherBore = sayBores(boreSizesMm(unit)) !== sayBores(boresIn(e)) || unit.material !== e.material;
  if (otherBore && record.gaugings.length > 0)
    return fail('It has been gauged: its bore and its material are corrected by a lead who reopens Gauge first, and then gauged again.');
  if (!otherFamily && !otherBore) return ok({ unit, tray: [] });
  const begun = record.tray.some((p) => p.found !== null) || record.ticks.length > 0 || record.steps.some((s) => s.station === 'strip');
  if (otherFamily && begun) return fail('It has been begun to strip as another family: hand it back unrepaired, and book it in anew.');
  const family = familyEntered(e);
  const shaped = { ...unit, family: e.family, variantId, material: e.material, ...boresEntered(family, e, unit.boreChangedAt) };
  if (!otherFamily) return ok({ unit: shaped, tray: [] });
  const tray = emptyTray(family, (slot) => `${unit.id}-${slot.id}`);
  const kept = new Set(tray.map((p) => p.id));
  return ok({
    unit: shaped,
    tray: [
      ...record.tray.filter((p) => !kept.has(p.id)).map((p) => drop('parts', p.id)),
      ...tray.map((p) => put('parts', { ...p, unitId: unit.id })),
    ],
  });
};
