import { expect, test } from 'vitest';
import { type Passage, staysAt, staysOf, whereDaysGo } from './where-days-go';

const HOUR = 3_600_000;
const at = (hours: number): number => hours * HOUR;
/** Open from 8 to 16 each day. */
const open = (from: number, until: number): number => {
  let hours = 0;
  for (let h = from / HOUR; h < until / HOUR - 1e-9; h += 0.25) if (h % 24 >= 8 && h % 24 < 16) hours += 0.25;
  return hours;
};
const passage = (more: Partial<Passage> = {}): Passage => ({
  tagNo: 1,
  bookedInAt: at(8),
  exitAt: at(24 + 12),
  dueAt: at(48),
  steps: [
    { station: 'strip', at: at(10) },
    { station: 'clean', at: at(24 + 9) },
    { station: 'gauge', at: at(24 + 10) },
  ],
  minutes: { strip: 30, clean: 60, gauge: 60 },
  waits: [
    { from: at(11), until: at(13) },
    { from: at(12), until: at(14) },
  ],
  ...more,
});

test('a stay is what was worked, what waited, and what only lay there, in hours that the shop is open', () => {
  // Clean: 10 to 16 and 8 to 9 the next day are 7 h; 1 worked, 11 to 14 waited, the rest lay.
  expect(staysOf(passage(), open)).toEqual([
    { station: 'strip', workH: 0.5, waitH: 0, queueH: 1.5 },
    { station: 'clean', workH: 1, waitH: 3, queueH: 3 },
    { station: 'gauge', workH: 1, waitH: 0, queueH: 0 },
  ]);
  // Nothing is ever more than the stay itself.
  const short = staysOf(passage({ minutes: { strip: 999 }, waits: [{ from: 0, until: at(999) }] }), open);
  expect(short[0]).toEqual({ station: 'strip', workH: 2, waitH: 0, queueH: 0 });
  expect(short[1]).toEqual({ station: 'clean', workH: 0, waitH: 7, queueH: 0 });
});

test('of many units the bottleneck is where most lies, over all of them; on time, flow and throughput by counting', () => {
  const all = [
    passage(),
    passage({ tagNo: 2, exitAt: at(24 * 8), dueAt: at(24 * 7) }),
    passage({ tagNo: 3, exitAt: at(24 * 15), steps: [{ station: 'strip', at: at(24 + 16) }] }),
  ];
  const go = whereDaysGo(all, open);
  // Strip lay 1.5 h twice and 12.5 h once (of 16 half an hour worked, three waited), Clean 3 h twice.
  expect([go?.bottleneck?.station, go?.bottleneck?.queueH.toFixed(3)]).toEqual(['strip', (15.5 / 3).toFixed(3)]);
  expect([go?.units, go?.onTime]).toEqual([3, 1]);
  expect(go?.medianDays).toBeCloseTo(8 - 8 / 24, 9);
  expect(go?.perWeek).toBeCloseTo(3 / ((15 * 24 - 36) / 168), 9);
  expect(whereDaysGo([], open)).toBeNull();
  expect(whereDaysGo([passage()], open)?.perWeek).toBeNull();
});

test('a station’s figures are those of the stays behind it, the longest first; who passes twice is one unit of two stays', () => {
  const twice = passage({ tagNo: 7, steps: [...passage().steps, { station: 'gauge', at: at(24 + 15) }] });
  const all = [passage(), twice];
  const share = whereDaysGo(all, open)?.stations.find((s) => s.station === 'gauge');
  const stays = staysAt(all, 'gauge', open);
  expect([share?.units, share?.stays, stays.map((s) => s.tagNo)]).toEqual([2, 3, [7, 1, 7]]);
  const mean = (of: 'workH' | 'waitH' | 'queueH'): number => stays.reduce((sum, s) => sum + s[of], 0) / stays.length;
  expect([share?.workH, share?.waitH, share?.queueH]).toEqual([mean('workH'), mean('waitH'), mean('queueH')]);
  expect(staysAt(all, 'hone', open)).toEqual([]);
});
