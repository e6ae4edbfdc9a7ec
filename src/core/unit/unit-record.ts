import type { Judgement } from '../bore/judge';
import type { Mark } from '../bore/mark';
import type { Material } from '../bore/material';
import type { Reading } from '../bore/reading';
import type { WorkedFamily } from '../family/family';
import type { Geometry } from '../family/geometry';
import type { KitItem } from '../kit/need';
import type { HoldTest } from '../prove/hold-test';
import type { Station } from '../route/station';
import type { TrayPart } from '../strip/tray-door';
import type { Complaint } from './complaint';

export type Exit = 'released' | 'scrapped' | 'returned';

/** A unit itself. Times in ms since 1970, lengths in mm. */
export type Unit = {
  readonly id: string;
  readonly jobId: string;
  readonly tagNo: number;
  readonly family: WorkedFamily;
  readonly position: string;
  readonly identityMarks: string;
  readonly material: Material;
  readonly geometry: Geometry;
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
  readonly readings: readonly Reading[];
};
/** A mark as the shop keeps it: the judged mark, its tag on the map, and a note. */
export type MarkRecord = Mark & { readonly name: string; readonly note: string };
export type SavedVerdict = {
  readonly id: string;
  readonly gaugingId: string | null;
  readonly at: number;
  readonly personId: string;
  readonly answer: Judgement;
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
export type SetAside = {
  readonly moveId: string;
  readonly kitId: string;
  readonly number: string;
  readonly name: string;
  readonly qty: number;
  readonly items: readonly (KitItem & { readonly name: string })[];
};
export type Timer = {
  readonly id: string;
  readonly label: string;
  readonly startedAt: number;
  readonly endsAt: number;
  readonly personId: string;
  readonly doneAt: number | null;
};
export type Run = {
  readonly id: string;
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly state: 'running' | 'finished' | 'aborted' | 'broken';
  readonly targetBar: number;
  readonly because: string;
  readonly outcome: HoldTest['outcome'] | null;
};
export type Signature = {
  readonly id: string;
  readonly personId: string;
  readonly name: string;
  readonly role: string;
  readonly at: number;
};
export type Photo = { readonly id: string; readonly caption: string; readonly at: number };

/** Everything on record about a unit but its events and traces. Lists are oldest first. */
export type UnitRecord = {
  readonly unit: Unit;
  readonly job: Job;
  readonly tray: readonly TrayPart[];
  readonly gaugings: readonly Gauging[];
  readonly marks: readonly MarkRecord[];
  readonly verdicts: readonly SavedVerdict[];
  readonly steps: readonly Step[];
  readonly setAside: readonly SetAside[];
  readonly timers: readonly Timer[];
  readonly runs: readonly Run[];
  readonly signatures: readonly Signature[];
  readonly photos: readonly Photo[];
};

/** What stands on a unit's tag: the shop's letters and four figures or more. */
export const tagOf = (unit: Pick<Unit, 'tagNo'>): string => `SQ-${String(unit.tagNo).padStart(4, '0')}`;
export const tagNumber = (tag: string): number | undefined => {
  const digits = /^(?:sq-?)?0*(\d{1,9})$/i.exec(tag.trim())?.[1];
  return digits === undefined ? undefined : Number(digits);
};
