import type { VacuumSample } from '../pedal-end/vacuum';
import type { Query } from '../schema/sheet';

/** Figures of the sheet of a hole and its pin. */
export const HOLE_FIELDS = ['longMm', 'shortMm', 'pinMm', 'ratio'] as const;

/** Readings that an address carries, at most. */
const MOST = 60;

/** A vacuum hold as an address carries it: `0:67,5:66.8,…` in seconds and kPa. A long log is thinned to what fits. */
export const samplesQuery = (samples: readonly VacuumSample[]): string => {
  const every = Math.max(1, Math.ceil(samples.length / MOST));
  const thinned = samples.filter((_, i) => i % every === 0 || i === samples.length - 1);
  return thinned.length === 0 ? '' : `samples=${thinned.map((s) => `${s.tS}:${Math.round(s.kPa * 100) / 100}`).join(',')}`;
};

export const samplesOf = (query: Query): readonly VacuumSample[] =>
  (query.samples ?? '')
    .split(',')
    .slice(0, MOST + 1)
    .flatMap((pair) => {
      const [tS, kPa] = pair.split(':').map(Number);
      return pair !== '' && tS !== undefined && kPa !== undefined && tS >= 0 && tS <= 86_400 && kPa >= 0 && kPa <= 105 ? [{ tS, kPa }] : [];
    });
