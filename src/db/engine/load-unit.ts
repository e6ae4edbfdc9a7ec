import { asc, eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import { BenchDataDoor } from '@/core/bench/bench-door';
import { type BenchRecord, newestOf } from '@/core/bench/bench-record';
import { COMPLAINT_NAMES } from '@/core/book-in/complaint';
import { DimsDoor } from '@/core/family/dims-door';
import { GeometryDoor } from '@/core/family/geometry-door';
import { familyOf, VariantDoor } from '@/core/family/variant-door';
import type { BorePass } from '@/core/hone/bore-pass';
import { GritDoor } from '@/core/hone/hone-door';
import { MeasuredDoor } from '@/core/identify/identify-door';
import type { Identity } from '@/core/identify/identity';
import type { Judgement } from '@/core/judge/judge';
import { MARK_KINDS } from '@/core/judge/mark';
import type { MarkRecord } from '@/core/judge/mark-record';
import { overruled } from '@/core/judge/overrule';
import { OverruleDoor } from '@/core/judge/overrule-door';
import type { SavedVerdict } from '@/core/judge/saved-verdict';
import type { Underlay } from '@/core/judge/underlay';
import { FixedPoints } from '@/core/judge/underlay-door';
import { BagItems, Findings, Kept } from '@/core/kit/bag-door';
import type { SetAside } from '@/core/kit/set-aside';
import { RunStepDoor } from '@/core/prove/programme/step-door';
import type { Run } from '@/core/prove/run';
import { STATIONS } from '@/core/station';
import type { GuideTick } from '@/core/strip/guide-tick';
import { type TrayPart, TrayPartDoor } from '@/core/strip/tray-door';
import { provableSince } from '@/core/unit/proving';
import type { Step, Unit, UnitRecord } from '@/core/unit/unit-record';
import { programmeAt, programmeInForce } from '../prove/programmes';
import type { Reader } from './connection';
import type { Row } from './event-payload';
import { prepared } from './prepared';

const Complaints = z.array(z.enum(COMPLAINT_NAMES));
const Texts = z.array(z.string());
const MarkKindDoor = z.enum(MARK_KINDS);
const StationDoor = z.enum(STATIONS);
/** What we computed and stored ourselves: its form is checked where the route and the screens rest on it. */
const JudgementDoor = z.looseObject({
  outcome: z.enum(['reuse', 'polish', 'hone', 'sleeve', 'scrap', 'undecided']),
  targetDiaMm: z.number().nullable(),
  toDo: z.array(z.looseObject({ text: z.string() })),
});

const unitQuery = prepared((db: Reader) =>
  db.query.units
    .findFirst({
      where: (u) => eq(u.id, sql.placeholder('unitId')),
      with: {
        job: { with: { customer: true } },
        variant: { columns: { variant: true } },
        parts: { orderBy: (p) => asc(p.seq) },
        gaugings: {
          orderBy: (g) => asc(g.at),
          with: { readings: { columns: { xMm: true, clockDeg: true, diaMm: true }, orderBy: (r) => asc(r.seq) } },
        },
        marks: { orderBy: (m) => asc(m.name) },
        verdicts: { orderBy: (v) => asc(v.at) },
        steps: { orderBy: (s) => asc(s.at) },
        bags: { orderBy: (b) => asc(b.at) },
        identities: true,
        timers: { columns: { rungAt: false }, orderBy: (t) => asc(t.startedAt) },
        runs: { columns: { samples: false, analysis: false }, orderBy: (r) => asc(r.startedAt) },
        signatures: { orderBy: (s) => asc(s.at) },
        photos: { orderBy: (p) => asc(p.at) },
        guideTicks: { orderBy: (t) => asc(t.at) },
        treatments: { orderBy: (t) => asc(t.at) },
        findings: { orderBy: (f) => asc(f.at) },
        honePasses: { orderBy: (p) => asc(p.at) },
        underlays: true,
        sleevings: { orderBy: (s) => asc(s.sentAt) },
        approvals: { orderBy: (a) => asc(a.at) },
        benchRecords: { orderBy: (b) => asc(b.at) },
      },
    })
    .prepare(),
);

/** Everything on record about a unit but its events and traces, and the programme that it is proved by; undefined when there is no such unit. */
export async function loadUnit(db: Reader, unitId: string): Promise<UnitRecord | undefined> {
  const row = await unitQuery(db).execute({ unitId });
  if (row === undefined) return undefined;
  const {
    job,
    parts,
    gaugings,
    marks,
    verdicts,
    steps,
    bags,
    identities,
    timers,
    runs,
    signatures,
    photos,
    variant,
    guideTicks,
    treatments,
    findings,
    honePasses,
    underlays,
    sleevings,
    approvals,
    benchRecords,
    ...unit
  } = row;
  const record = {
    unit: toUnit(unit),
    job: {
      id: job.id,
      customer: job.customer.name,
      phone: job.customer.phone,
      machine: job.machine,
      complaints: Complaints.parse(job.complaints),
      complaintText: job.complaintText,
      promisedAt: job.promisedAt,
    },
    family: familyOf(unit.family, variant === null ? null : VariantDoor.parse(variant.variant)),
    tray: parts.map(toPart),
    gaugings,
    marks: marks.map(toMark),
    verdicts: verdicts.map(toVerdict),
    steps: steps.map(toStep),
    setAside: bags.map(toSetAside),
    identity: identities.map(toIdentity).at(-1) ?? null,
    timers,
    runs: runs.map(toRun),
    signatures,
    photos,
    ticks: guideTicks.map(toTick),
    treatments,
    findings,
    passes: honePasses.map(toPass),
    underlay: underlays.map(toUnderlay).at(-1) ?? null,
    sleevings,
    approvals,
    bench: benchRecords.map(toBench),
  };
  const begun = begunBy(record);
  const programme = await (begun === undefined ? programmeInForce(db, unit.family) : programmeAt(db, unit.family, begun));
  return { ...record, programme };
}

/** Version of the programme that the proving of a unit was begun by, as it is closed up now; undefined: nobody has begun. */
export const begunBy = (r: Pick<UnitRecord, 'steps' | 'tray' | 'runs' | 'bench'>): number | undefined => {
  const since = provableSince(r);
  if (since === undefined) return undefined;
  const run = r.runs.findLast((x) => x.startedAt >= since);
  const seen = newestOf(r.bench, 'proof', since);
  return run !== undefined && run.startedAt >= (seen?.at ?? 0) ? run.programme : seen?.programme;
};

export const toRun = ({ id, startedAt, endedAt, state, way, programme, step, because, outcome, sentence }: RunRow): Run => ({
  id,
  startedAt,
  endedAt,
  state,
  way,
  programme,
  step: RunStepDoor.parse(step),
  because,
  outcome,
  sentence,
});
type RunRow = Omit<Row<'runs'>, 'samples' | 'analysis'>;

export const toUnit = (row: Row<'units'>): Unit => ({ ...row, geometry: GeometryDoor.nullable().parse(row.geometry) });
export const toTick = ({ unitId: _, ...tick }: Row<'guideTicks'>): GuideTick => ({ ...tick, dims: DimsDoor.parse(tick.dims) });
export const toPass = ({ unitId: _, material: __, ...pass }: Row<'honePasses'>): BorePass => ({ ...pass, grit: GritDoor.parse(pass.grit) });
export const toUnderlay = ({ unitId: _, points, ...u }: Row<'underlays'>): Underlay => ({ ...u, points: FixedPoints.parse(points) });
export const toSetAside = ({ unitId: _, ...bag }: Row<'bags'>): SetAside => ({
  ...bag,
  items: BagItems.parse(bag.items),
  findings: Findings.parse(bag.findings),
  kept: Kept.parse(bag.kept),
  spoilt: Kept.parse(bag.spoilt),
});
export const toIdentity = ({ unitId: _, ...i }: Row<'identities'>): Identity => ({ ...i, measured: MeasuredDoor.parse(i.measured) });
export const toPart = ({ unitId: _, ...part }: Row<'parts'>): TrayPart => TrayPartDoor.parse(part);
export const toBench = ({ id, at, personId, data }: Row<'benchRecords'>): BenchRecord => ({
  ...BenchDataDoor.parse(data),
  id,
  at,
  personId,
});
export const toMark = ({ unitId: _, ...m }: Row<'marks'>): MarkRecord => ({ ...m, kind: MarkKindDoor.parse(m.kind) });
export const toStep = ({ unitId: _, ...s }: Row<'steps'>): Step => ({
  ...s,
  station: StationDoor.parse(s.station),
  unmet: Texts.parse(s.unmet),
});
export const toVerdict = (v: Row<'verdicts'>): SavedVerdict => {
  const overrule = OverruleDoor.nullable().parse(v.overrule);
  return {
    id: v.id,
    gaugingId: v.gaugingId,
    at: v.at,
    personId: v.personId,
    answer: overruled(JudgementDoor.parse(v.answer) as unknown as Judgement, overrule),
    overrule,
  };
};
