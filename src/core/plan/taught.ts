import type { Complaint } from '../book-in/complaint';
import type { UnitKind } from '../family/family-name';
import type { Material } from '../family/material';
import type { Station } from '../station';
import type { UnitRecord } from '../unit/unit-record';
import type { Way } from '../way';

/** What a unit that has left taught of the work: how it went, and how long its stations took, min. */
export type Taught = {
  readonly family: UnitKind;
  readonly material: Material;
  readonly complaints: readonly Complaint[];
  readonly way: Way;
  readonly minutes: { readonly [S in Station]?: number };
  /** What it waited for, in the usual words. */
  readonly waits: readonly string[];
};

/** The way that a unit went, by what its verdicts asked for over time. */
export const wayGone = (r: Pick<UnitRecord, 'unit' | 'family' | 'verdicts' | 'sleevings'>): Way => {
  if (r.family.bore === 'none') return 'no-bore';
  if (r.unit.exit === 'scrapped') return 'scrap';
  if (r.sleevings.length > 0) return 'sleeve';
  return (['hone', 'polish'] as const).find((way) => r.verdicts.some((v) => v.answer.outcome === way)) ?? 'reuse';
};
