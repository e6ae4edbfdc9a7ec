import { expect, test } from 'vitest';
import { type PastRun, rigHealth } from './rig-health';

const run = (news: Partial<PastRun> = {}): PastRun => ({ at: 0, state: 'finished', because: '', rmsBar: 0.02, spikes: 0, ...news });
const say = (runs: readonly PastRun[]): string =>
  rigHealth(runs, (bar) => `${bar.toFixed(3)} bar`)
    .map((l) => `${l.look === 'amber' ? '!' : ''}${l.text}`)
    .join(' ');

test('a rig that never ran says nothing of itself', () => expect(rigHealth([], String)).toEqual([]));
test('runs are counted by how they ended, and what broke them off is named once', () => {
  const told = say([
    run(),
    run({ state: 'aborted', because: 'let down by hand' }),
    ...['no line', 'no line'].map((because) => run({ state: 'broken', because })),
  ]);
  expect(told).toContain('Of its last 4 runs 1 came to its end, 1 was let down early, 2 broke off.');
  expect(told).toContain('!What broke off: no line.');
});
test('scatter is held against what it was, from ten holds on each side', () => {
  const holds = (n: number, rmsBar: number) => Array.from({ length: n }, () => run({ rmsBar }));
  expect(say(holds(5, 0.02))).toContain('scatters by 0.020 bar about a fit.');
  expect(say([...holds(10, 0.03), ...holds(10, 0.02)])).toContain('scatters by 0.030 bar about a fit; it was 0.020 bar before. Whether');
  expect(say([...holds(10, 0.05), ...holds(10, 0.02)])).toContain(
    '!Its gauge scatters by 0.050 bar about a fit; it was 0.020 bar before. Look at its plug',
  );
});
test('runs without a hold have no scatter, samples that stood out are counted, and truth is not claimed', () => {
  const told = say([run({ rmsBar: null, spikes: 2 }), run({ rmsBar: null, spikes: 1 })]);
  expect(told).not.toContain('scatters');
  expect(told).toContain('3 samples stood out alone');
  expect(told).toContain('only another gauge on the same port can tell');
});
