import type { BenchRecord } from '../bench/bench-record';
import type { Finding } from '../book-in/finding';
import type { Job } from '../book-in/job';
import type { Family } from '../family/family';
import type { UnitKind } from '../family/family-name';
import type { Geometry } from '../family/geometry';
import type { Material } from '../family/material';
import type { Gauging } from '../gauge/gauging';
import type { BorePass } from '../hone/bore-pass';
import type { Identity } from '../identify/identity';
import type { Approval } from '../judge/approval';
import type { MarkRecord } from '../judge/mark-record';
import type { BoreOutcome } from '../judge/outcome';
import type { SavedVerdict } from '../judge/saved-verdict';
import type { Underlay } from '../judge/underlay';
import type { SetAside } from '../kit/set-aside';
import type { Signature } from '../people/signature';
import type { Programme } from '../prove/programme/step';
import type { Run } from '../prove/run';
import { sayNominal } from '../quantity/say';
import type { Sleeving } from '../sleeve/sleeving';
import type { Station } from '../station';
import type { GuideTick } from '../strip/guide-tick';
import type { TrayPart } from '../strip/tray-door';
import type { Treatment } from '../strip/treatment';
import type { Photo } from './photo';
import type { Timer } from './timer';

export const EXITS = ['released', 'scrapped', 'returned'] as const;
export type Exit = (typeof EXITS)[number];

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
  /** Where it is, or was when it left. */
  readonly station: Station;
  readonly outcome: BoreOutcome | null;
  readonly targetDiaMm: number | null;
  readonly boreChangedAt: number;
  readonly exit: Exit | null;
  readonly exitAt: number | null;
  /** The unit that it was when it was here before. */
  readonly comesBackFrom: string | null;
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
