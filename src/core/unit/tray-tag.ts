import type { UnitKind } from '../family/family-name';
import type { BoreOutcome } from '../judge/outcome';
import type { Station } from '../station';
import type { Exit } from './unit-record';

/** What a tray on the rack shows of its unit. */
export type TrayTag = {
  readonly id: string;
  readonly tagNo: number;
  readonly family: UnitKind;
  readonly familyLabel: string;
  readonly station: Station;
  readonly outcome: BoreOutcome | null;
  readonly targetDiaMm: number | null;
  readonly dueAt: number;
  readonly exit: Exit | null;
  readonly exitAt: number | null;
  readonly position: string;
  readonly machine: string;
  readonly customer: string;
  readonly complaint: string;
};
