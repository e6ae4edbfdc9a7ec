import type { UnitKind } from '../family/family-name';
import type { BoreOutcome } from '../judge/outcome';
import type { Exit, Station } from '../station';

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
  /** Which of the shop's branches it is at, null for the first, and which it is on its way to. */
  readonly branch: string | null;
  readonly goesTo: string | null;
};
