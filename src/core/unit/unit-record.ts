import type { BenchRecord } from '../bench/bench-record';
import type { Before } from '../book-in/before';
import type { Complaint } from '../book-in/complaint';
import type { Finding } from '../book-in/finding';
import type { Job } from '../book-in/job';
import type { Underlay } from '../bore-map/underlay';
import type { Family } from '../family/family';
import type { UnitKind } from '../family/family-name';
import type { Geometry } from '../family/geometry';
import type { Material } from '../family/material';
import { boreSizesMm } from '../family/pots';
import type { Gauging } from '../gauge/gauging';
import type { BorePass } from '../hone/bore-pass';
import type { Identity } from '../identify/identity';
import type { Approval } from '../judge/approval';
import type { MarkInPot } from '../judge/mark-record';
import type { BoreOutcome } from '../judge/outcome';
import type { SavedVerdict } from '../judge/saved-verdict';
import type { SetAside } from '../kit/set-aside';
import { locale } from '../locale';
import type { Signature } from '../people/signature';
import type { Programme } from '../prove/programme/step';
import type { Run } from '../prove/run';
import { sayNominal } from '../quantity/say';
import type { Quote } from '../quote/quote';
import { PRACTICE_LETTERS, practiceJobOf, practiceTagNo } from '../shop/practice-tag';
import type { Sleeving } from '../sleeve/sleeving';
import type { Exit, Station } from '../station';
import type { GuideTick } from '../strip/guide-tick';
import type { TrayPart } from '../strip/tray-schema';
import type { Treatment } from '../strip/treatment';
import type { Photo } from './photo';
import type { Pot } from './pot-schema';
import type { Timer } from './timer';

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
  readonly complaints: readonly Complaint[];
  readonly complaintText: string;
  readonly before: readonly Before[];
  readonly material: Material;
  /** Null where there is no bore. */
  readonly geometry: Geometry | null;
  /** Bores beside that one: the second and third pot of a caliper half, which differ in size and are judged each for itself. */
  readonly morePots: readonly Pot[];
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
  /** Which of the shop's branches it is at; null: the first. */
  readonly branch: string | null;
  /** The branch that it is on its way to; nothing is done to it before it is received there. */
  readonly goesTo: string | null;
  /** When it was booked in, the plan had it ready by then at 9 in 10; null where it was not asked. */
  readonly heldAt: number | null;
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
  readonly marks: readonly MarkInPot[];
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
  readonly underlays: readonly Underlay[];
  readonly sleevings: readonly Sleeving[];
  readonly approvals: readonly Approval[];
  readonly quotes: readonly Quote[];
  readonly bench: readonly BenchRecord[];
};

/** What a unit is, in one line: its family, and its bores where it has any. */
export const sayUnit = ({ family, unit }: Pick<UnitRecord, 'family' | 'unit'>): string => {
  const sizes = boreSizesMm(unit).map(sayNominal);
  const of = sizes.length < 2 ? '' : `${sizes.length} pots, `;
  return sizes.length === 0 ? family.label : `${family.label}, ${of}⌀ ${[...new Set(sizes)].join(' and ')}`;
};

/** What stands on a unit's tag: the shop's letters and four figures or more. */
export const tagOf = ({ tagNo }: Pick<Unit, 'tagNo'>): string => {
  const job = practiceJobOf(tagNo);
  return job === undefined
    ? `${locale().tagPrefixes[0]}-${String(tagNo).padStart(4, '0')}`
    : `${PRACTICE_LETTERS}-${String(job).padStart(4, '0')}`;
};
/** The number in a tag as somebody types it, with letters that the shop uses or used, or without; a practice unit’s with its own. */
export const tagNumber = (tag: string): number | undefined => {
  const [, letters, digits] = /^(?:([a-z]+)-?)?0*(\d{1,9})$/i.exec(tag.trim()) ?? [];
  if (digits !== undefined && letters?.toUpperCase() === PRACTICE_LETTERS) return practiceTagNo(Number(digits));
  return digits === undefined || (letters !== undefined && !locale().tagPrefixes.includes(letters.toUpperCase()))
    ? undefined
    : Number(digits);
};
