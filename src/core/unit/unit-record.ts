import type { Complaint } from '../book-in/complaint';
import type { Family } from '../family/family';
import type { UnitKind } from '../family/family-name';
import type { Geometry } from '../family/geometry';
import type { Material } from '../family/material';
import type { Reading } from '../gauge/reading';
import type { HonePass } from '../hone/cutting-rate';
import type { Drive, Tool } from '../hone/drive';
import type { Measured } from '../identify/feature';
import type { Judgement } from '../judge/judge';
import type { Mark } from '../judge/mark';
import type { Overrule } from '../judge/overrule';
import type { FixedPoint } from '../judge/underlay';
import type { BagFinding, Taken } from '../kit/bag';
import type { Dims } from '../kit/need';
import type { Programme, RunStep } from '../prove/programme/step';
import type { RunAnalysis } from '../prove/run-analysis';
import { sayNominal } from '../quantity/say';
import type { Station } from '../route/station';
import type { BagItem } from '../store/article';
import type { TrayPart } from '../strip/tray-door';
import type { MethodName, StuckState, TreatmentResult } from '../strip/treatment';
import type { BenchRecord } from './bench-record';

export type Exit = 'released' | 'scrapped' | 'returned';

/** A unit itself. Times in ms since 1970, lengths in mm. */
export type Unit = {
  readonly id: string;
  readonly jobId: string;
  readonly tagNo: number;
  readonly family: UnitKind;
  /** The shop's variant of the family; null for the standard one. */
  readonly variantId: string | null;
  readonly position: string;
  readonly identityMarks: string;
  readonly material: Material;
  /** Null where there is no bore. */
  readonly geometry: Geometry | null;
  /** Measured at strip; null until then. */
  readonly pistonDiaMm: number | null;
  readonly dueAt: number;
  readonly createdAt: number;
  readonly version: number;
  readonly changedAt: number;
  readonly station: string;
  readonly outcome: string | null;
  readonly targetDiaMm: number | null;
  readonly boreChangedAt: number;
  readonly exit: Exit | null;
  readonly exitAt: number | null;
  /** The unit that it was when it was here before. */
  readonly comesBackFrom: string | null;
};

export type Job = {
  readonly id: string;
  readonly customer: string;
  readonly phone: string;
  readonly machine: string;
  readonly complaints: readonly Complaint[];
  readonly complaintText: string;
  readonly promisedAt: number;
};
export type Gauging = {
  readonly id: string;
  readonly at: number;
  readonly personId: string;
  readonly bodyTempC: number | null;
  readonly gaugeTempC: number | null;
  /** Null where it was not said. */
  readonly instrumentId: string | null;
  /** A lead's reason for a gauge whose ring check was overdue. */
  readonly override: string | null;
  readonly readings: readonly Reading[];
};
/** A mark as the shop keeps it: the judged mark, its tag on the map, and a note. */
export type MarkRecord = Mark & { readonly name: string; readonly note: string };
export type SavedVerdict = {
  readonly id: string;
  readonly gaugingId: string | null;
  readonly at: number;
  readonly personId: string;
  /** As it counts: what a lead decided stands in it, and it says so. */
  readonly answer: Judgement;
  readonly overrule: Overrule | null;
};
export type Step = {
  readonly id: string;
  readonly station: Station;
  readonly at: number;
  readonly personId: string;
  readonly note: string;
  readonly override: string | null;
  readonly unmet: readonly string[];
};
/** A bag set aside for a unit: what the catalogue says is in it, and what was found once it was opened. */
export type SetAside = {
  /** That of its stock move. */
  readonly id: string;
  readonly articleId: string;
  readonly lotId: string;
  readonly number: string;
  readonly name: string;
  readonly lotCode: string;
  readonly expiresAt: number | null;
  readonly qty: number;
  readonly items: readonly BagItem[];
  readonly at: number;
  readonly openedAt: number | null;
  readonly openedBy: string | null;
  readonly findings: readonly BagFinding[];
  /** Pieces that were kept as sundries, by the item's place. */
  readonly kept: readonly Taken[];
  /** Pieces that were spoilt on their way in. */
  readonly spoilt: readonly Taken[];
};
/** Which fitment a unit is taken to be, and what was measured to tell. */
export type Identity = {
  readonly id: string;
  readonly fitmentId: string;
  readonly label: string;
  readonly measured: Measured;
  readonly at: number;
  readonly personId: string;
};
export type Timer = {
  readonly id: string;
  readonly label: string;
  /** Who goes and looks when it rings; `personId` started it. */
  readonly ownerId: string;
  readonly startedAt: number;
  readonly endsAt: number;
  readonly personId: string;
  readonly doneAt: number | null;
};
/** How a run was made: on the rig, read by eye beside a hand pump, or from what a logger wrote. */
export const RUN_WAYS = { rig: 'on the rig', 'by-hand': 'hand pump, read by eye', logger: 'hand pump, by a logger' } as const;
export type RunWay = keyof typeof RUN_WAYS;
/** A run of one step of a programme; the step as it was then. */
export type Run = {
  readonly id: string;
  readonly startedAt: number;
  readonly endedAt: number | null;
  /** `interrupted`: the server stopped in the middle of it. */
  readonly state: 'running' | 'finished' | 'aborted' | 'broken' | 'interrupted';
  readonly way: RunWay;
  readonly programme: number;
  readonly step: RunStep;
  readonly because: string;
  readonly outcome: RunAnalysis['outcome'] | null;
  readonly sentence: string;
};
export type Signature = {
  readonly id: string;
  readonly personId: string;
  readonly name: string;
  readonly role: string;
  readonly at: number;
};
/** A picture, on the unit as a whole or on one part, guide step or mark of it; as it came out or as it went in. */
export type Photo = {
  readonly id: string;
  readonly caption: string;
  readonly at: number;
  readonly onKind: PhotoSubject['kind'];
  readonly onId: string;
  readonly phase: 'out' | 'in';
};
/** What a picture is of: the unit, a part of it, a step of its strip guide, a mark, or a step of its proving. */
export const PHOTO_KINDS = ['unit', 'part', 'step', 'mark', 'proof'] as const;
export type PhotoSubject = { readonly kind: (typeof PHOTO_KINDS)[number]; readonly id: string };

/** A step of the strip guide that was done, with what was noted and measured at it. */
export type GuideTick = {
  readonly id: string;
  readonly stepId: string;
  readonly at: number;
  readonly personId: string;
  readonly note: string;
  readonly dims: Dims;
};
/** Something done to the body: an attempt to free it, or a cleaning. */
export type Treatment = {
  readonly id: string;
  readonly at: number;
  readonly personId: string;
  readonly method: MethodName;
  /** How the unit stood before it, where it was stuck. */
  readonly state: StuckState | null;
  readonly pressureBar: number | null;
  readonly minutes: number | null;
  readonly result: TreatmentResult;
  readonly note: string;
};
/** A pass over the bore: with what, how long and how fast, and what the narrowest place in the lanes measured before and after. */
export type BorePass = HonePass & {
  readonly id: string;
  readonly at: number;
  readonly personId: string;
  readonly tool: Tool;
  readonly drive: Drive;
  readonly note: string;
};
/** A photo under the bore map: where four of its points, 0 to 1 from its upper left, lie in the bore. */
export type Underlay = { readonly id: string; readonly photoId: string; readonly points: readonly FixedPoint[] };
/** A body that was sent out to be sleeved. */
export type Sleeving = {
  readonly id: string;
  readonly shop: string;
  readonly material: Material;
  /** Thinnest wall when it went, mm. */
  readonly wallMm: number;
  readonly sentAt: number;
  readonly promisedAt: number;
  readonly backAt: number | null;
  readonly personId: string;
  readonly note: string;
};
/** What the customer was asked about a judgement, and what was answered. */
export type Approval = {
  readonly id: string;
  readonly verdictId: string;
  readonly at: number;
  readonly personId: string;
  /** Added to the price, in the shop's money. */
  readonly price: number;
  readonly promisedAt: number;
  readonly text: string;
  readonly answer: 'yes' | 'no' | null;
  readonly answeredAt: number | null;
  readonly answeredTo: string | null;
};
/** A test that was made, or a cause that was confirmed or ruled out. */
export type Finding = {
  readonly id: string;
  readonly at: number;
  readonly personId: string;
  readonly about: 'test' | 'cause';
  readonly name: string;
  readonly answer: 'yes' | 'no';
};

/** Everything on record about a unit but its events and traces. Lists are oldest first. */
export type UnitRecord = {
  readonly unit: Unit;
  readonly job: Job;
  /** The family as this unit has it: standard, or the shop's variant. */
  readonly family: Family;
  /** How it is proved: the shop’s newest for its family, or the one that its proving was begun by. */
  readonly programme: Programme;
  readonly tray: readonly TrayPart[];
  readonly gaugings: readonly Gauging[];
  readonly marks: readonly MarkRecord[];
  readonly verdicts: readonly SavedVerdict[];
  readonly steps: readonly Step[];
  readonly setAside: readonly SetAside[];
  readonly identity: Identity | null;
  readonly timers: readonly Timer[];
  readonly runs: readonly Run[];
  readonly signatures: readonly Signature[];
  readonly photos: readonly Photo[];
  readonly ticks: readonly GuideTick[];
  readonly treatments: readonly Treatment[];
  readonly findings: readonly Finding[];
  readonly passes: readonly BorePass[];
  readonly underlay: Underlay | null;
  readonly sleevings: readonly Sleeving[];
  readonly approvals: readonly Approval[];
  readonly bench: readonly BenchRecord[];
};

/** What a unit is, in one line: its family, and its bore where it has one. */
export const sayUnit = (r: Pick<UnitRecord, 'family' | 'unit'>): string =>
  r.unit.geometry === null ? r.family.label : `${r.family.label}, ⌀ ${sayNominal(r.unit.geometry.nominalMm)}`;

/** What stands on a unit's tag: the shop's letters and four figures or more. */
export const tagOf = (unit: Pick<Unit, 'tagNo'>): string => `SQ-${String(unit.tagNo).padStart(4, '0')}`;
export const tagNumber = (tag: string): number | undefined => {
  const digits = /^(?:sq-?)?0*(\d{1,9})$/i.exec(tag.trim())?.[1];
  return digits === undefined ? undefined : Number(digits);
};
