import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { type BenchRecord, benchOf, newestOf } from '../bench/bench-record';
import { type BenchData, BenchDataSchema, type BenchKind } from '../bench/bench-schema';
import { FINISH_NAMES } from '../finish/finish';
import { NO_TOUCH } from '../fluid/contact';
import { PEDAL_ANSWERS } from '../pedal-end/booster';
import { REMEDY_NAMES } from '../pedal-end/hole';
import { FastenedSchema } from '../strip/tray-schema';

const hole = { longMm: 8.6, shortMm: 8.3, pinMm: 7.9 };
const gap = {
  way: 'depths',
  sheet: { standOff: 4.8, socket: 12.9, edge: 20, reading: 12.6, oneLeftHanded: true },
  gapMm: 0.7,
  expandedUncertaintyMm: 0.08,
  verdict: 'ok',
  windowMinMm: 0.4,
  windowMaxMm: 1.1,
} as const;

/** One sound record of each kind. */
const SOUND: { readonly [K in BenchKind]: Extract<BenchData, { readonly kind: K }> } = {
  touch: { kind: 'touch', ...NO_TOUCH, fluid: 'dot-4', swell: { beforeMm: 8, afterMm: 8.1 } },
  finish: { kind: 'finish', finish: 'paint-air', endsAt: 1000, plugs: 4, note: 'grey', curedAt: null },
  stroked: { kind: 'stroked', returns: 'by-itself' },
  joined: {
    kind: 'joined',
    otherTag: 'SQ-0012',
    screws: 4,
    screwsAre: 'new',
    fastened: { how: 'torque', nm: 95, hand: 'right', source: 'workshop manual, brakes' },
  },
  gap: { kind: 'gap', ...gap },
  'check-valve': { kind: 'check-valve', holds: 'holds', passes: 'passes' },
  vacuum: {
    kind: 'vacuum',
    rod: 'pressed',
    samples: [
      { tS: 0, kPa: 67 },
      { tS: 20, kPa: 66 },
    ],
    outcome: 'holds',
    dropKPa: 0.75,
    seconds: 20,
    limitKPa: 3.3,
  },
  'rod-tip': { kind: 'rod-tip', oldMm: 12, newMm: 12.6 },
  pedal: { kind: 'pedal', answer: 'stays' },
  standing: { kind: 'standing', stepId: 'weep', endsAt: 5000, startMm: null },
  proof: { kind: 'proof', stepId: 'weep', programme: 0, outcome: 'fail', text: 'Wet.', wet: 'screws' },
  hole: { kind: 'hole', partId: 'p', before: hole, pedalRatio: 5, remedy: 'bushed', after: hole, note: '' },
};
const KINDS = Object.keys(SOUND) as readonly BenchKind[];

/** Paths of everything that a schema finds wrong. */
const wrongIn = (data: unknown): readonly string[] => {
  const read = BenchDataSchema.safeParse(data);
  return read.success ? [] : read.error.issues.map((i) => i.path.join('.'));
};

describe('what is kept of a bench', () => {
  test.each(KINDS)('%s: a sound record goes through as it is, and comes back from its column the same', (kind) => {
    expect(BenchDataSchema.parse(SOUND[kind])).toEqual(SOUND[kind]);
    expect(BenchDataSchema.parse(JSON.parse(JSON.stringify(SOUND[kind])))).toEqual(SOUND[kind]);
  });

  test.each(KINDS)('%s: nothing beside its own fields, and none of them left out', (kind) => {
    expect(BenchDataSchema.safeParse({ ...SOUND[kind], colour: 'red' }).success).toBe(false);
    for (const field of Object.keys(SOUND[kind]).filter((f) => f !== 'kind')) {
      const { [field as 'kind']: _, ...rest } = SOUND[kind];
      expect([field, BenchDataSchema.safeParse(rest).success]).toEqual([field, false]);
    }
  });

  test.each<[BenchKind, object, readonly string[]]>([
    ['touch', { fluid: 'petrol', rubber: 'cork', lubricant: 'butter' }, ['fluid', 'rubber', 'lubricant']],
    ['touch', { swell: { beforeMm: 0, afterMm: -1 } }, ['swell.beforeMm', 'swell.afterMm']],
    ['finish', { endsAt: 1.5, plugs: -1 }, ['endsAt', 'plugs']],
    ['stroked', { returns: 'perhaps' }, ['returns']],
    ['gap', { verdict: 'fine', way: 'by-eye' }, ['way', 'verdict']],
    ['gap', { sheet: { socket: '12.9', reading: 1e9 } }, ['sheet.socket', 'sheet.reading']],
    ['check-valve', { holds: true }, ['holds']],
    ['vacuum', { samples: [{ tS: 0, kPa: 67 }] }, ['samples']],
    [
      'vacuum',
      {
        samples: [
          { tS: -1, kPa: 67 },
          { tS: 1, kPa: 900 },
        ],
      },
      ['samples.0.tS', 'samples.1.kPa'],
    ],
    ['rod-tip', { oldMm: 0, newMm: Number.NaN }, ['oldMm', 'newMm']],
    ['pedal', { answer: 'sings' }, ['answer']],
    ['hole', { before: { ...hole, longMm: -1 }, pedalRatio: 0, remedy: 'glued' }, ['before.longMm', 'pedalRatio', 'remedy']],
  ])('%s: %o is refused, everything wrong at once', (kind, more, paths) => {
    expect(wrongIn({ ...SOUND[kind], ...more })).toEqual(paths);
  });

  test('a kind that there is none of is refused by its kind', () => {
    expect(wrongIn({ kind: 'weather', rain: true })).toEqual(['kind']);
    expect(BenchDataSchema.safeParse('touch').success).toBe(false);
  });

  test('every finish, every answer of a pedal and every remedy can be kept', () => {
    for (const finish of FINISH_NAMES) expect(wrongIn({ ...SOUND.finish, finish })).toEqual([]);
    for (const answer of PEDAL_ANSWERS) expect(wrongIn({ ...SOUND.pedal, answer })).toEqual([]);
    for (const remedy of REMEDY_NAMES) expect(wrongIn({ ...SOUND.hole, remedy })).toEqual([]);
  });
});

describe('how a screw was tightened', () => {
  test.each([
    [{ how: 'torque', nm: 9, hand: 'left', source: '' }, true],
    [{ how: 'by-feel', hand: 'right', reason: 'no figure in the manual' }, true],
    [{ how: 'torque', nm: 0, hand: 'right', source: '' }, false],
    [{ how: 'torque', nm: 9, hand: 'up', source: '' }, false],
    [{ how: 'torque', hand: 'right', source: '' }, false],
    [{ how: 'by-feel', hand: 'right', reason: ' ' }, false],
    [{ how: 'hammer' }, false],
  ])('%o: %s', (fastened, sound) => expect(FastenedSchema.safeParse(fastened).success).toBe(sound));
});

describe('which of several counts', () => {
  const record = (id: string, at: number, data: BenchData): BenchRecord => ({ ...data, id, at, personId: 'tess' });
  const bench = [
    record('a', 10, SOUND.gap),
    record('b', 20, SOUND.stroked),
    record('c', 30, { ...SOUND.gap, verdict: 'too-tight' }),
    record('d', 40, SOUND.pedal),
  ];

  test('the newest of its kind, made at a time or after', () => {
    expect(newestOf(bench, 'gap')?.id).toBe('c');
    expect([newestOf(bench, 'gap', 30)?.id, newestOf(bench, 'gap', 31), newestOf(bench, 'touch')]).toEqual(['c', undefined, undefined]);
    expect(benchOf(bench, 'gap').map((g) => g.verdict)).toEqual(['ok', 'too-tight']);
  });

  property.prop([fc.array(fc.record({ at: fc.nat(100), kind: fc.constantFrom(...KINDS) }), { maxLength: 30 }), fc.nat(100)])(
    'never one made before, never of another kind, and one if there is any',
    (made, since) => {
      const list = [...made].sort((a, b) => a.at - b.at).map((m, i) => record(String(i), m.at, SOUND[m.kind]));
      for (const kind of KINDS) {
        const newest = newestOf(list, kind, since);
        const fit = list.filter((b) => b.kind === kind && b.at >= since);
        expect(newest).toBe(fit.at(-1));
      }
    },
  );
});
