import { benchOf } from '@/core/bench/bench-record';
import { HoleFold } from '@/ui/pedal-end/hole-fold';
import type { AtStation } from '../_station/station-page';

/** Holes that a pin runs in, of units that have such parts. */
export const Holes = ({ at }: { readonly at: AtStation }) => {
  const parts = at.record.tray.filter((p) => (p.kind === 'clevis' || p.kind === 'lever') && p.found !== 'absent');
  if (!at.atWork || parts.length === 0) return null;
  return <HoleFold parts={parts} saved={benchOf(at.record.bench, 'hole')} />;
};
