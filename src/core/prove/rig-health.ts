import { median } from '../statistics/summary';

/** A run as the rig's page lists it. @param rmsBar what the fit of a hold left over, bar; null for runs without one */
export type PastRun = {
  readonly at: number;
  readonly state: 'finished' | 'aborted' | 'broken' | 'interrupted';
  readonly because: string;
  readonly rmsBar: number | null;
  readonly spikes: number;
};

/** Holds that a figure of scatter is taken from. */
const HOLDS = 10;
/** A gauge that scatters so many times as much as it did is worth a look. */
const WORSE = 2;

/**
 * How the rig is, by its own runs: how many came to their end and what stopped the others, and how far its gauge scatters about a fit,
 * now against before. It says nothing of whether the gauge reads true: that takes another gauge.
 * @param runs the newest first
 * @param say a pressure in the person's unit
 */
export function rigHealth(
  runs: readonly PastRun[],
  say: (bar: number) => string,
): readonly { readonly text: string; readonly look: 'plain' | 'amber' }[] {
  if (runs.length === 0) return [];
  const ended = runs.filter((r) => r.state === 'finished').length;
  const stopped = runs.filter((r) => r.state === 'broken' || r.state === 'interrupted');
  const early = runs.length - ended - stopped.length;
  const counts = [
    `Of its last ${runs.length} ${runs.length === 1 ? 'run' : 'runs'} ${ended} came to ${ended === 1 ? 'its' : 'their'} end`,
    ...(early > 0 ? [`${early} ${early === 1 ? 'was' : 'were'} let down early`] : []),
    ...(stopped.length > 0 ? [`${stopped.length} broke off`] : []),
  ];
  const whys = [...new Set(stopped.map((r) => r.because).filter((b) => b !== ''))];
  const scatter = runs.flatMap((r) => (r.rmsBar === null ? [] : [r.rmsBar]));
  const [now, before] = [scatter.slice(0, HOLDS), scatter.slice(HOLDS)];
  const [nowBar, beforeBar] = [median(now), before.length < HOLDS ? undefined : median(before)];
  const worse = beforeBar !== undefined && nowBar > WORSE * beforeBar;
  const spikes = runs.reduce((n, r) => n + r.spikes, 0);
  return [
    { text: `${counts.join(', ')}.`, look: 'plain' },
    ...(whys.length === 0 ? [] : [{ text: `What broke off: ${whys.join('; ')}.`, look: 'amber' as const }]),
    ...(now.length === 0
      ? []
      : [
          {
            text: `Its gauge scatters by ${say(nowBar)} about a fit${beforeBar === undefined ? '' : `; it was ${say(beforeBar)} before`}.${worse ? ' Look at its plug, its cable, and for air in the hose.' : ''}`,
            look: worse ? ('amber' as const) : ('plain' as const),
          },
        ]),
    ...(spikes === 0
      ? []
      : [{ text: `${spikes} ${spikes === 1 ? 'sample' : 'samples'} stood out alone and did not count.`, look: 'plain' as const }]),
    { text: 'Whether it reads true only another gauge on the same port can tell.', look: 'plain' },
  ];
}
