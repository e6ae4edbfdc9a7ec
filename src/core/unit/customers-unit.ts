import { tagOf, type UnitRecord } from './unit-record';

/** A unit as its customer knows it: `wheel cylinder, rear left`. */
export const customersUnit = ({
  unit,
  family,
  job,
}: Pick<UnitRecord, 'unit' | 'family' | 'job'>): { readonly unit: string; readonly machine: string; readonly tag: string } => ({
  unit: `${family.label.toLowerCase()}${unit.position === '' ? '' : `, ${unit.position}`}`,
  machine: job.machine,
  tag: tagOf(unit),
});
