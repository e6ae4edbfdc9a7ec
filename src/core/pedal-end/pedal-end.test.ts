import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { IMPERIAL, METRIC } from '../quantity/units';
import { STANDARD_RULES } from '../rules/rule-set';
import { checkValveFound, PEDAL_ANSWERS, pedalFound, rodTipText } from './booster';
import { holeAnswer, holeProblems } from './hole';
import { sayVacuumHold, vacuumHold, vacuumMeaning } from './vacuum';

const falling = (from: number, perS: number, seconds: readonly number[]) => seconds.map((tS) => ({ tS, kPa: from - perS * tS }));
const hold = (...args: Parameters<typeof falling>) => vacuumHold(falling(...args), STANDARD_RULES);

describe('a hold of vacuum', () => {
  test.each<[string, Parameters<typeof falling>, string, number | null]>([
    ['falls 0.2 kPa a second: 3 kPa in 15 s', [67, 0.2, [0, 5, 10, 15, 20]], 'holds', 3],
    ['exactly at the limit', [67, 0.22, [0, 15]], 'holds', 3.3],
    ['past it', [67, 0.25, [0, 10, 20]], 'leaks', 3.75],
    ['read for too short a time', [67, 1, [0, 14]], 'too-short', null],
    ['read once', [67, 0, [0]], 'too-short', null],
    ['never drawn', [30, 0, [0, 30]], 'no-vacuum', null],
    ['rising counts as none lost', [60, -0.1, [0, 20]], 'holds', -1.5],
  ])('%s', (_, args, outcome, drop) => {
    const answer = hold(...args);
    expect(answer.outcome).toBe(outcome);
    if (drop === null) expect(answer.dropKPa).toBeNull();
    else expect(answer.dropKPa).toBeCloseTo(drop, 9);
  });

  property.prop([fc.double({ min: 0, max: 2, noNaN: true }), fc.shuffledSubarray([0, 3, 6, 9, 12, 18], { minLength: 6 })])(
    'does not care in which order it was read',
    (perS, times) => {
      const [a, b] = [
        hold(67, perS, times),
        hold(
          67,
          perS,
          [...times].sort((x, y) => x - y),
        ),
      ];
      expect(a.outcome).toBe(b.outcome);
      expect(a.dropKPa).toBeCloseTo(b.dropKPa ?? 0, 9);
    },
  );

  test('a pair of holds says where to look', () => {
    const [good, bad] = [hold(67, 0.1, [0, 20]), hold(67, 1, [0, 20])];
    expect(vacuumMeaning(good, bad)).toMatch(/the diaphragm/);
    expect(vacuumMeaning(bad, good)).toMatch(/^It leaks with the rod at rest: check valve/);
    expect(vacuumMeaning(good, good)).toMatch(/^It holds both ways/);
    expect([vacuumMeaning(good, undefined), vacuumMeaning(undefined, bad)]).toEqual([undefined, undefined]);
    expect(sayVacuumHold(bad, 3.3)).toBe('It loses 15.0 kPa in 15 s, at most 3.3 kPa: it leaks.');
  });
});

describe('a booster by hand', () => {
  test('a blocked check valve is told before one that leaks', () => {
    expect(checkValveFound({ holds: 'leaks', passes: 'blocked' }).text).toMatch(/lets no air through/);
    expect(checkValveFound({ holds: 'leaks', passes: 'passes' }).text).toMatch(/leaks back/);
    expect(checkValveFound({ holds: 'holds', passes: 'passes' }).verdict).toBe('good');
  });
  test('only a pedal that sinks a little is as it should be', () => {
    expect(PEDAL_ANSWERS.filter((a) => pedalFound(a).verdict === 'good')).toEqual(['sinks-a-little']);
    expect(pedalFound('sinks-to-floor').text).toMatch(/hydraulics and not the booster/);
  });
  test('a longer tip makes the gap smaller by as much', () => {
    expect(rodTipText({ oldMm: 12, newMm: 12.6 }, METRIC)).toMatch(/0\.60 mm further out than the old one: the gap is smaller/);
    expect(rodTipText({ oldMm: 12.6, newMm: 12 }, IMPERIAL)).toMatch(/0\.024 in less far out than the old one: the gap is larger/);
    expect(rodTipText({ oldMm: 12, newMm: 12.004 }, METRIC)).toMatch(/as it was/);
  });
});

describe('a hole and its pin', () => {
  test('play and ovality against the shop’s rules, and what they cost at the pedal', () => {
    const worn = holeAnswer({ longMm: 8.6, shortMm: 8.3, pinMm: 7.9 }, 5, STANDARD_RULES, METRIC);
    expect([worn.playMm, worn.ovalMm, worn.lostPedalMm].map((mm) => Number(mm?.toFixed(9)))).toEqual([0.7, 0.3, 3.5]);
    expect(worn.verdict).toBe('worn');
    expect(worn.reasons.slice(0, 3)).toEqual([
      'The pin plays 0.70 mm in it, at most 0.25 mm.',
      'It is oval by 0.30 mm, at most 0.15 mm.',
      'The play costs 3.50 mm at the pedal.',
    ]);
    const good = holeAnswer({ longMm: 8.25, shortMm: 8.1, pinMm: 8 }, null, STANDARD_RULES, METRIC);
    expect([good.verdict, good.lostPedalMm, good.reasons.length]).toEqual(['good', null, 2]);
  });
  test('what cannot be is refused, each with its reason', () => {
    expect(holeProblems({ longMm: 8, shortMm: 8.2, pinMm: 8.5 }).length).toBe(2);
    expect(holeProblems({ longMm: 8.2, shortMm: 8, pinMm: 8.01 })).toEqual([]);
  });
});
