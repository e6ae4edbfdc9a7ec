import type { SentReading } from '@/core/gauge/sent-reading';

type Listener = (readings: readonly SentReading[]) => void;

declare global {
  // One a process, also when a bundler makes two copies of this module.
  var eddrinGauges: Map<string, Set<Listener>> | undefined;
}

const listeners = (): Map<string, Set<Listener>> => {
  globalThis.eddrinGauges ??= new Map();
  return globalThis.eddrinGauges;
};

/** Hears what a gauge posts, until the returned function is called. */
export const followGauge = (instrumentId: string, listener: Listener): (() => void) => {
  const all = listeners();
  const mine = all.get(instrumentId) ?? new Set();
  all.set(instrumentId, mine.add(listener));
  return () => void mine.delete(listener);
};

/** Passes a gauge's readings to the pages that have its grid open. @returns how many heard them: with none they go nowhere, and the gauge is told */
export const tellReadings = (instrumentId: string, readings: readonly SentReading[]): number => {
  const mine = listeners().get(instrumentId) ?? new Set();
  for (const listener of mine) listener(readings);
  return mine.size;
};
