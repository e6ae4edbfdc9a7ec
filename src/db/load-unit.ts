import { asc, eq, inArray, sum } from 'drizzle-orm';
import { z } from 'zod';
import type { Judgement } from '@/core/bore/judge';
import { MARK_KINDS } from '@/core/bore/mark';
import { GeometryDoor } from '@/core/family/geometry-door';
import { DimsDoor } from '@/core/kit/kit-door';
import { STATIONS } from '@/core/route/station';
import { TrayPartDoor } from '@/core/strip/tray-door';
import { COMPLAINT_NAMES } from '@/core/unit/complaint';
import type { Gauging, SetAside, UnitRecord } from '@/core/unit/unit-record';
import type { Reader } from './connection';
import { customers, gaugings, jobs, kitItems, kits, marks, parts, photos, readings, rigRuns, signatures, steps, stockMoves, timers, units, verdicts } from './tables';

const Complaints = z.array(z.enum(COMPLAINT_NAMES));
const Texts = z.array(z.string());
/** What we computed and stored ourselves: its form is checked where the route and the screens rest on it. */
const JudgementDoor = z.looseObject({ outcome: z.enum(['reuse', 'polish', 'hone', 'sleeve', 'scrap', 'undecided']), targetDiaMm: z.number().nullable(), toDo: z.array(z.looseObject({ text: z.string() })) });

/** Everything on record about a unit but its events and traces; undefined when there is no such unit. */
export async function loadUnit(db: Reader, unitId: string): Promise<UnitRecord | undefined> {
  const [row] = await db.select().from(units).innerJoin(jobs, eq(units.jobId, jobs.id)).innerJoin(customers, eq(jobs.customerId, customers.id)).where(eq(units.id, unitId));
  if (row === undefined) return undefined;
  const { units: unit, jobs: job, customers: customer } = row;
  const trayRows = await db.select().from(parts).where(eq(parts.unitId, unitId)).orderBy(asc(parts.seq));
  const verdictRows = await db.select().from(verdicts).where(eq(verdicts.unitId, unitId)).orderBy(asc(verdicts.at));
  const stepRows = await db.select().from(steps).where(eq(steps.unitId, unitId)).orderBy(asc(steps.at));
  const markRows = await db.select().from(marks).where(eq(marks.unitId, unitId)).orderBy(asc(marks.name));
  const runRows = await db
    .select({ id: rigRuns.id, startedAt: rigRuns.startedAt, endedAt: rigRuns.endedAt, state: rigRuns.state, targetBar: rigRuns.targetBar, because: rigRuns.because, outcome: rigRuns.outcome })
    .from(rigRuns)
    .where(eq(rigRuns.unitId, unitId))
    .orderBy(asc(rigRuns.startedAt));
  return {
    unit: { ...unit, geometry: GeometryDoor.parse(unit.geometry) },
    job: { id: job.id, customer: customer.name, phone: customer.phone, machine: job.machine, complaints: Complaints.parse(job.complaints), complaintText: job.complaintText, promisedAt: job.promisedAt },
    tray: trayRows.map(({ unitId: _, seq: __, ...part }) => TrayPartDoor.parse(part)),
    gaugings: await loadGaugings(db, unitId),
    marks: markRows.map(({ unitId: _, ...m }) => ({ ...m, kind: z.enum(MARK_KINDS).parse(m.kind) })),
    verdicts: verdictRows.map((v) => ({ id: v.id, gaugingId: v.gaugingId, at: v.at, personId: v.personId, answer: JudgementDoor.parse(v.answer) as unknown as Judgement })),
    steps: stepRows.map(({ unitId: _, ...s }) => ({ ...s, station: z.enum(STATIONS).parse(s.station), unmet: Texts.parse(s.unmet) })),
    setAside: await loadSetAside(db, unitId),
    timers: await db.select().from(timers).where(eq(timers.unitId, unitId)).orderBy(asc(timers.startedAt)),
    runs: runRows,
    signatures: await db.select().from(signatures).where(eq(signatures.unitId, unitId)).orderBy(asc(signatures.at)),
    photos: await db.select({ id: photos.id, caption: photos.caption, at: photos.at }).from(photos).where(eq(photos.unitId, unitId)).orderBy(asc(photos.at)),
  };
}

const loadGaugings = async (db: Reader, unitId: string): Promise<readonly Gauging[]> => {
  const sets = await db.select().from(gaugings).where(eq(gaugings.unitId, unitId)).orderBy(asc(gaugings.at));
  if (sets.length === 0) return [];
  const rows = await db.select().from(readings).where(inArray(readings.gaugingId, sets.map((s) => s.id))).orderBy(asc(readings.seq));
  return sets.map(({ unitId: _, ...s }) => ({ ...s, readings: rows.filter((r) => r.gaugingId === s.id).map(({ xMm, clockDeg, diaMm }) => ({ xMm, clockDeg, diaMm })) }));
};

const loadSetAside = async (db: Reader, unitId: string): Promise<readonly SetAside[]> => {
  const moves = await db.select().from(stockMoves).innerJoin(kits, eq(stockMoves.kitId, kits.id)).where(eq(stockMoves.unitId, unitId)).orderBy(asc(stockMoves.at));
  if (moves.length === 0) return [];
  const items = await db.select().from(kitItems).where(inArray(kitItems.kitId, moves.map((m) => m.kits.id))).orderBy(asc(kitItems.seq));
  return moves.map(({ stock_moves: move, kits: kit }) => ({
    moveId: move.id,
    kitId: kit.id,
    number: kit.number,
    name: kit.name,
    qty: -move.qty,
    items: items.filter((i) => i.kitId === kit.id).map(({ kind, qty, name, dims }) => ({ kind, qty, name, dims: DimsDoor.parse(dims) })),
  }));
};

/** Pieces of a kit on hand. */
export const onHand = async (db: Reader, kitId: string): Promise<number> => {
  const [row] = await db.select({ qty: sum(stockMoves.qty) }).from(stockMoves).where(eq(stockMoves.kitId, kitId));
  return Number(row?.qty ?? 0);
};
