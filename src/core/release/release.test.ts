import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { masterTandem } from '../family/anatomy/master-tandem';
import { wheelDouble } from '../family/anatomy/wheel-double';
import { FAMILIES } from '../family/families';
import { type Drawing, geometryAt } from '../family/family';
import { NO_TOUCH } from '../fluid/contact';
import { judgeBore } from '../judge/judge';
import { isRunStep, type RunStep } from '../prove/programme/step';
import { usualSteps } from '../prove/programme/usual';
import type { Run } from '../prove/run';
import { RUN_COVERS } from '../prove/run-covers';
import { STANDARD_RULES } from '../rules/rule-set';
import { putIn } from '../strip/part-news';
import { bareRow, emptyTray } from '../strip/tray';
import type { TrayPart } from '../strip/tray-schema';
import { currentGauging, currentVerdict, factsOf, summaryOf } from '../unit/facts-of';
import { judgeInputOf } from '../unit/judge-input';
import { tagNumber, tagOf, type UnitRecord } from '../unit/unit-record';
import { canonical } from './canonical';
import { sayFitted } from './say-fitted';
import { stateRelease } from './statement';

describe('the canonical text', () => {
  property.prop([fc.dictionary(fc.string(), fc.jsonValue())])('is the same whatever order the fields were put in', (value) => {
    const turned = Object.fromEntries(Object.entries(value).reverse());
    expect(canonical(turned)).toBe(canonical(value));
    expect(JSON.parse(canonical(value))).toEqual(JSON.parse(JSON.stringify(value)));
  });

  test('sorts at every depth, keeps lists as they are, leaves undefined out', () => {
    expect(canonical({ b: [3, { d: 1, c: 2 }], a: undefined, z: null })).toBe('{"b":[3,{"c":2,"d":1}],"z":null}');
  });
});

/** A wheel cylinder gauged twice, cut between, judged, closed up by two people and signed. */
const record = (): UnitRecord => {
  const family = wheelDouble;
  const geometry = geometryAt(family.drawing as Drawing, 22.225);
  const readings = (diaMm: number) => [18, 21, 24, 38, 41, 44].flatMap((xMm) => [0, 45, 90].map((clockDeg) => ({ xMm, clockDeg, diaMm })));
  const gauging = (id: string, at: number, diaMm: number) => ({
    id,
    pot: 1,
    at,
    personId: 'joss',
    bodyTempC: null,
    gaugeTempC: null,
    instrumentId: null,
    override: null,
    readings: readings(diaMm),
  });
  const gaugings = [gauging('g1', 10, 22.236), gauging('g2', 30, 22.28)];
  const unit = {
    id: 'u',
    jobId: 'j',
    tagNo: 412,
    family: 'wheel-double',
    variantId: null,
    position: 'rear left',
    identityMarks: 'DN 22',
    complaints: ['wet-boot'],
    complaintText: 'left side',
    before: [],
    material: 'cast-iron',
    geometry,
    morePots: [],
    pistonDiaMm: 22.18,
    dueAt: 99,
    createdAt: 1,
    version: 9,
    changedAt: 60,
    station: 'release',
    outcome: 'reuse',
    targetDiaMm: null,
    boreChangedAt: 20,
    exit: null,
    exitAt: null,
    comesBackFrom: null,
    branch: null,
    goesTo: null,
    heldAt: null,
  } as const;
  const base = { unit, gaugings };
  const verdict = (id: string, gaugingId: string, at: number, gauged: Pick<UnitRecord, 'unit' | 'gaugings'>) => {
    const input = judgeInputOf({ ...gauged, family: FAMILIES['wheel-double'], tray: [] }, { marks: [], school: null, wallMm: null });
    if (input === undefined) throw new Error('no piston');
    return { id, pot: 1, gaugingId, at, personId: 'joss', answer: judgeBore(input, STANDARD_RULES), overrule: null };
  };
  const before = { unit: { ...unit, boreChangedAt: 0 }, gaugings: gaugings.slice(0, 1) };
  const step = (station: UnitRecord['steps'][number]['station'], at: number, more = {}) => ({
    id: station,
    station,
    at,
    personId: 'joss',
    note: '',
    override: null,
    unmet: [],
    ...more,
  });
  return {
    unit,
    family,
    programme: { version: 0, steps: usualSteps(family) },
    job: {
      id: 'j',
      customer: 'Aldwater Orchards',
      phone: '',
      customerId: 'customer',
      mail: '',
      machine: 'Orchard tractor',
      promisedAt: 99,
    },
    tray: emptyTray(family, (s) => s.id).map((p) => ({
      ...p,
      found: 'present',
      condition: p.kind === 'cup' ? 'hard' : 'good',
      fate: p.kind === 'cup' ? 'replaced' : 'refitted',
      goesIn: putIn({ piece: p.kind === 'cup' ? 'new' : 'same', faces: null }, 50),
    })),
    gaugings,
    marks: [],
    verdicts: [verdict('v1', 'g1', 11, before), verdict('v2', 'g2', 31, base)],
    steps: [
      step('strip', 2),
      step('kit', 40, { override: 'boots to follow', unmet: ['Nothing set aside covers: left boot.'] }),
      step('close-up', 50),
    ],
    setAside: [
      {
        id: 'm',
        articleId: 'k',
        lotId: 'l',
        number: 'K-131',
        name: 'Wheel cylinder',
        lotCode: 'L131',
        expiresAt: null,
        qty: 1,
        at: 40,
        openedAt: null,
        openedBy: null,
        findings: [],
        kept: [],
        spoilt: [],
        items: [{ kind: 'cup', qty: 2, name: 'cup', dims: { boreMm: 22.225 } }],
      },
    ],
    identity: null,
    timers: [],
    runs: [],
    signatures: [
      { id: 's1', personId: 'joss', name: 'Joss', role: 'technician', at: 55 },
      { id: 's2', personId: 'maren', name: 'Maren', role: 'lead', at: 56 },
    ],
    photos: [],
    ticks: [],
    treatments: [
      {
        id: 't1',
        at: 3,
        personId: 'joss',
        method: 'soak-penetrant',
        state: 'seized',
        pressureBar: null,
        minutes: 60,
        result: 'waiting',
        note: '',
        drilling: null,
      },
      {
        id: 't2',
        at: 4,
        personId: 'joss',
        method: 'alcohol',
        state: null,
        pressureBar: null,
        minutes: null,
        result: 'done',
        note: '',
        drilling: null,
      },
      {
        id: 't3',
        at: 5,
        personId: 'joss',
        method: 'rinse',
        state: null,
        pressureBar: null,
        minutes: null,
        result: 'done',
        note: '',
        drilling: null,
      },
      {
        id: 't4',
        at: 6,
        personId: 'joss',
        method: 'looked-again',
        state: null,
        pressureBar: null,
        minutes: null,
        result: 'done',
        note: '',
        drilling: null,
      },
    ],
    findings: [],
    passes: [],
    underlays: [],
    sleevings: [],
    approvals: [],
    quotes: [],
    bench: [],
  };
};

/** A whole run of a step of the usual programme that passed. */
const run = (stepId: string, startedAt: number, more: Partial<Run> = {}): Run => ({
  id: `${stepId}-${startedAt}`,
  startedAt,
  endedAt: startedAt + 1,
  state: 'finished',
  way: 'rig',
  programme: 0,
  step: [...usualSteps(masterTandem), ...usualSteps(wheelDouble)].filter(isRunStep).find((s) => s.id === stepId) as RunStep,
  because: '',
  outcome: 'pass',
  sentence: `${stepId} held.`,
  ...more,
});

describe('what a certificate states', () => {
  const state = (r: UnitRecord) => stateRelease(r, { number: 7, at: 60, nameOf: (id) => id.toUpperCase(), rules: STANDARD_RULES });

  test('the unit, the bore before and after, the verdict, what went in, and who signed', () => {
    const s = state(record());
    expect([s.number, s.tag, s.unit]).toEqual([7, 'SQ-0412', 'Wheel cylinder, double, ⌀ 7/8 in, rear left']);
    expect([s.complaint, s.identityMarks, s.bore?.material]).toEqual(['wet boot · left side', 'DN 22', 'cast iron']);
    expect([s.bore?.before?.maxMm, s.bore?.after?.maxMm, s.bore?.limitDiaMm]).toEqual([
      expect.closeTo(22.236, 9),
      expect.closeTo(22.28, 9),
      22.31,
    ]);
    expect(s.bore?.verdict).toEqual(['The bore can be used as it is.', expect.stringMatching(/^It rests on \d+ readings at \d+ depths?/)]);
    expect(s.fitted[0]).toBe('New: left cup, right cup.');
    // What nobody inspected is not said to be inspected.
    expect(s.fitted).toContain('left piston: the unit’s own, not inspected, recorded as good.');
    expect(s.kits).toEqual(['K-131 Wheel cylinder, lot L131']);
    expect(s.signatures.map((x) => [x.name, x.role])).toEqual([
      ['Joss', 'technician'],
      ['Maren', 'lead'],
    ]);
  });

  test('what was done to it, in the words of who did it', () => {
    const r = record();
    const honed = {
      ...r,
      steps: r.steps.map((s) => (s.station === 'strip' ? { ...s, station: 'hone' as const, note: '220, then 400' } : s)),
    };
    expect(state(honed).work).toEqual([
      'Done, how it ended not noted: soak in penetrant.',
      'Cleaned: alcohol, rinsed out and dried.',
      'Hone: 220, then 400.',
    ]);
  });

  test('attempts to free it as they ended: what did not move is not freed', () => {
    const r = record();
    const tried = (
      id: string,
      method: 'soak-penetrant' | 'low-air' | 'push-fluid' | 'warm',
      result: 'freed' | 'moved' | 'no' | 'stopped',
    ) => ({
      ...(r.treatments[0] as UnitRecord['treatments'][number]),
      id,
      method,
      result,
    });
    const treatments = [
      ...r.treatments.slice(0, 1),
      tried('a', 'soak-penetrant', 'no'),
      tried('b', 'warm', 'stopped'),
      tried('c', 'low-air', 'moved'),
      tried('d', 'push-fluid', 'freed'),
    ];
    expect(state({ ...r, treatments }).work).toEqual([
      'Freed by: hydraulic push with fluid.',
      'Moved a little by: low air into a rag.',
      'Tried, and it did not move: soak in penetrant.',
      'Tried, and stopped: warm the body.',
    ]);
  });

  test('a note that a form left open ends as a sentence', () => {
    const r = record();
    const steps = r.steps.map((s) => (s.station === 'strip' ? { ...s, station: 'sleeve' as const, note: 'Quayside Boring: ' } : s));
    expect(state({ ...r, steps, treatments: [] }).work).toEqual(['Sleeve: Quayside Boring.']);
  });

  test.each<[string, Partial<TrayPart>, string]>([
    [
      'a spring by its figures',
      { name: 'spring', kind: 'spring', checks: { freeMm: 88, newMm: 90, rust: 'none', bend: 'springs back' } },
      'spring: the unit’s own, inspected: 88 mm free against 90 mm new: 2.2 % lost, at most 4 %, rust at the coils none, bend test springs back.',
    ],
    [
      'a clip that was looked at in part',
      { name: 'circlip', kind: 'circlip', checks: { edges: 'sharp' } },
      'circlip: the unit’s own, inspected in part: edges sharp.',
    ],
    [
      'a kind that is only looked at',
      { name: 'stop washer', kind: 'stop-washer' },
      'stop washer: the unit’s own, looked at, recorded as good.',
    ],
    [
      'of which nothing is on record',
      { name: 'stop washer', kind: 'stop-washer', condition: null },
      'stop washer: the unit’s own, not inspected.',
    ],
    [
      'usually replaced, with why it is not new',
      { name: 'boot', kind: 'boot', note: 'none to be had' },
      'boot: the unit’s own, looked at, recorded as good; not new: none to be had.',
    ],
    [
      'broken, on a lead’s word',
      {
        name: 'check valve',
        kind: 'check-valve',
        condition: 'broken',
        checks: { holds: 'leaks' },
        allowed: { name: 'Lena', reason: 'for a display engine' },
      },
      'check valve: the unit’s own, inspected, did not pass: against its way leaks; let back by Lena: for a display engine.',
    ],
  ])('its own part: %s', (_, news, said) => {
    const part = {
      ...bareRow({ id: 'p', slotId: 'p', kind: 'spring', name: 'p', qty: 1 }, 0),
      condition: 'good' as const,
      goesIn: putIn({ piece: 'same', faces: null }, 1),
    };
    expect(sayFitted([{ ...part, ...news }], STANDARD_RULES)).toEqual([said]);
  });

  test('what was overridden, by whom and why', () => {
    expect(state(record()).overrides).toEqual(['Kit: Nothing set aside covers: left boot. Overridden by JOSS: boots to follow']);
  });

  test('what was proved, and as plainly what was not', () => {
    const held = state({ ...record(), runs: [run('low-hold', 51), run('hold', 52)] });
    expect(held.proved).toEqual([
      'By the shop’s programme for wheel cylinder, double, as delivered; on the rig.',
      RUN_COVERS.hold,
      'Hold, 5 bar: low-hold held.',
      'Hold, 80 bar: hold held.',
    ]);
    expect(held.notProved).toEqual([
      'Return of the piston under load, and behaviour when hot.',
      'Three corners in a bore: a gauge of two points does not see them.',
      'Dry stroke; air hold, 0.5 bar; cycles, then hold, 50 strokes, 80 bar; overnight weep, 14 h.',
    ]);
    const not = state({ ...record(), runs: [] });
    expect([not.proved, not.notProved.at(-1)]).toEqual([[], expect.stringMatching(/^Dry stroke; .*hold, 80 bar/)]);
    const failed = state({ ...record(), runs: [run('hold', 52, { outcome: 'fail' })] });
    expect(failed.notProved.at(-1)).toMatch(/hold, 80 bar \(did not pass\)/);
    const tandem = { ...record(), family: masterTandem, programme: { version: 3, steps: usualSteps(masterTandem) } };
    expect(state(tandem).notProved[0]).toBe('Pushrod gap on the machine.');
    expect(state(tandem).notProved.at(-1)).toMatch(/hold, 80 bar, rear; hold, 80 bar, front/);
    expect(state({ ...tandem, runs: [run('hold-rear', 52, { way: 'by-hand' })] }).proved[0]).toBe(
      'By the shop’s programme for tandem master, version 3; hand pump, read by eye.',
    );
  });

  test('cautions for fitting are always on it', () => {
    expect(state(record()).cautions.join(' ')).toMatch(/licensed people.*local rules/);
  });
  test('a gap is a caution only of what has one, and the fluid that ruins is that of the other kind', () => {
    const touch = (fluid: 'dot-4' | 'mineral') => ({
      ...record(),
      bench: [{ kind: 'touch', id: 't', at: 1, personId: 'joss', ...NO_TOUCH, fluid }],
    });
    const cautions = (r: unknown) => state(r as UnitRecord).cautions.join(' ');
    expect(cautions(record())).not.toMatch(/pushrod gap/);
    expect(cautions({ ...record(), family: masterTandem })).toMatch(/pushrod gap/);
    expect(cautions(touch('dot-4'))).toMatch(/A mineral oil of any kind ruins/);
    expect(cautions(touch('mineral'))).toMatch(/Any other brake fluid ruins/);
    expect(cautions({ ...record(), family: FAMILIES.linkage, tray: [] })).not.toMatch(/ruins/);
  });
});

describe('what decides a unit’s route', () => {
  test('readings and verdicts from before the bore was cut count no more', () => {
    const r = record();
    expect([currentGauging(r)?.id, currentVerdict(r)?.id]).toEqual(['g2', 'v2']);
    const cutAgain = { ...r, unit: { ...r.unit, boreChangedAt: 35 } };
    expect([currentGauging(cutAgain), currentVerdict(cutAgain)]).toEqual([undefined, undefined]);
    expect(factsOf(cutAgain)).toMatchObject({ ungauged: ['the bore'], unjudged: ['the bore'] });
  });

  test('a run counts when it was finished after the unit was closed up; the last one decides', () => {
    const hold = (runs: UnitRecord['runs']) => factsOf({ ...record(), runs }).proof.find((p) => p.name === 'hold, 80 bar')?.stands;
    const ended = (at: number, state: 'finished' | 'aborted', outcome: 'pass' | 'fail' | null) => run('hold', at, { state, outcome });
    expect(hold([ended(45, 'finished', 'pass')])).toBe('open');
    expect(hold([ended(51, 'finished', 'pass')])).toBe('pass');
    expect(hold([ended(51, 'finished', 'pass'), ended(53, 'finished', 'fail')])).toBe('fail');
    expect(hold([ended(51, 'finished', 'pass'), ended(53, 'aborted', null)])).toBe('pass');
    expect(hold([run('low-hold', 52)])).toBe('open');
  });

  test('what nothing set aside covers is named', () => {
    const r = record();
    expect(factsOf(r).uncovered).toEqual([]);
    const boot = { ...r, tray: r.tray.map((p) => (p.slotId === 'left-boot' ? { ...p, fate: 'replaced' as const } : p)) };
    expect(factsOf(boot).uncovered).toEqual(['left boot']);
    expect(factsOf({ ...boot, setAside: [] }).uncovered).toBeNull();
  });

  test('the rack’s summary keeps the last verdict while a new one is awaited', () => {
    const r = record();
    expect(summaryOf({ ...r, unit: { ...r.unit, boreChangedAt: 35 } })).toMatchObject({ outcome: 'reuse', targetDiaMm: null });
  });
});

test.each([
  ['SQ-0412', 412],
  ['sq0412', 412],
  ['412', 412],
  [' 0412 ', 412],
  ['SQ-', undefined],
  ['boot', undefined],
])('the tag %s is unit %s', (text, number) => expect(tagNumber(text)).toBe(number));

test('a tag has four figures or more', () => expect([tagOf({ tagNo: 7 }), tagOf({ tagNo: 12345 })]).toEqual(['SQ-0007', 'SQ-12345']));
