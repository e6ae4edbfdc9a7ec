import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../../family/families';
import { type Drawing, geometryAt } from '../../family/family';
import type { UnitKind } from '../../family/family-name';
import { METRIC } from '../../quantity/units';
import { programmeCautions, programmeFaults } from './check';
import { benchFill } from './fill-strokes';
import { figureOf, newStep, withFigure } from './new-step';
import { sayDoing, sayStep } from './say-step';
import { ANSWERS, judgeSeen, type Seen } from './seen';
import { FIGURES, isRunStep, isSeenStep, type SeenStep, STEP_KINDS, STEPS, type Step, type StepOf } from './step';
import { RunStepSchema, StepSchema, StepsSchema } from './step-schema';
import { suspectsOf } from './suspects';
import { usualSteps, workingChambers } from './usual';

const HELD = (Object.keys(FAMILIES) as UnitKind[]).filter((k) => FAMILIES[k].proof === 'rig');
const tandem = FAMILIES['master-tandem'];
const wheel = FAMILIES['wheel-double'];
const steps = usualSteps(tandem);
const stepOf = <K extends Step['kind']>(kind: K, of: readonly Step[] = steps): StepOf<K> => of.find((s) => s.kind === kind) as StepOf<K>;

describe('the usual programmes', () => {
  test.each(HELD)('%s: sound, in an order that endangers least first, every step with why and what a failure means', (kind) => {
    const usual = usualSteps(FAMILIES[kind]);
    expect(programmeFaults(FAMILIES[kind], usual)).toEqual([]);
    expect(programmeCautions(usual)).toEqual([]);
    expect(StepsSchema.parse(JSON.parse(JSON.stringify(usual)))).toEqual(usual);
    expect(usual.at(-1)?.kind).toBe('weep');
  });

  test('a tandem has each circuit held alone, a master its port tried, what has no bore is only held', () => {
    expect(steps.filter((s) => s.kind === 'hold' && s.chamber !== null).map((s) => s.chamber)).toEqual(['rear', 'front']);
    expect(workingChambers(tandem)).toEqual(['rear', 'front']);
    expect(steps.filter((s) => s.need === 'must').map((s) => s.id)).toEqual([
      'dry-stroke',
      'low-hold',
      'port',
      'port-front',
      'hold-rear',
      'hold-front',
    ]);
    expect(steps.filter((s) => s.kind === 'port').map((s) => s.chamber)).toEqual(['rear', 'front']);
    expect(
      usualSteps(FAMILIES['master-single'])
        .filter((s) => s.kind === 'port')
        .map((s) => [s.id, s.chamber]),
    ).toEqual([['port', null]]);
    expect(usualSteps(FAMILIES['hard-line']).map((s) => s.kind)).toEqual(['air-hold', 'hold', 'weep']);
    expect(usualSteps(FAMILIES['master-single']).map((s) => s.kind)).toContain('residual');
    expect([usualSteps(FAMILIES.booster), usualSteps(FAMILIES.linkage)]).toEqual([[], []]);
  });
});

describe('the schema of a step', () => {
  const hold = stepOf('hold');
  test.each<[string, object, string]>([
    ['a figure out of its range', { ...hold, targetBar: 500 }, 'targetBar'],
    ['one that its kind has not', { ...hold, hours: 14 }, ''],
    ['one that is missing', { ...hold, holdS: undefined }, 'holdS'],
    ['no figure at all where one must be', { ...hold, rampS: null }, 'rampS'],
    ['a kind that there is none of', { ...hold, kind: 'prayer' }, 'kind'],
  ])('%s is refused by its path', (_, step, path) => {
    const read = StepSchema.safeParse(step);
    expect(read.success).toBe(false);
    expect(read.error?.issues.map((i) => i.path.join('.'))).toContain(path);
  });
  test('a limit may be left to the rules; a run is of a step that makes a trace', () => {
    expect(StepSchema.safeParse({ ...hold, limitMlPerMin: null }).success).toBe(true);
    expect([RunStepSchema.safeParse(hold).success, RunStepSchema.safeParse(stepOf('weep')).success]).toEqual([true, false]);
    expect(STEP_KINDS.filter((kind) => STEPS[kind].by === 'both')).toEqual(['port']);
    expect([isRunStep(stepOf('port')), isSeenStep(stepOf('port')), isSeenStep(hold)]).toEqual([true, true, false]);
  });
});

describe('what is wrong with a programme', () => {
  const [low, rear] = [steps.find((s) => s.id === 'low-hold') as Step, steps.find((s) => s.id === 'hold-rear') as Step];
  test.each<[string, readonly Step[], RegExp]>([
    ['nothing that must be done', [{ ...low, need: 'may' }], /proved by nothing/],
    ['a chamber of another family', [{ ...low, chamber: 'side' }], /there is no chamber “side”/],
    ['two of one name', [low, { ...rear, id: low.id }], /has the name of another/],
    ['a figure out of range', [{ ...low, holdS: 3 } as Step], /Step 1, hold, 5 bar: hold lies between 15 and 1800 s/],
    ['no reason', [{ ...low, why: ' ' }], /say why it is done/],
    ['air that would burst it', [low, { ...stepOf('air-hold'), targetBar: 6 }], /bursts what it does not prove/],
    [
      'a valve that keeps more than it may',
      [low, { ...newStep(tandem, 'residual', 'r'), why: 'w', means: 'm', keepsMinBar: 2 } as Step],
      /at least lies below/,
    ],
  ])('%s', (_, list, words) => expect(programmeFaults(tandem, list).join(' ')).toMatch(words));

  test('more pressure before less is told, and kept if it is wanted', () => {
    expect(programmeCautions([rear, low])).toEqual([
      'Step 2, hold, 5 bar comes after Step 1, hold, 80 bar, rear: less pressure first tells more and endangers less.',
    ]);
    expect(programmeFaults(tandem, [rear, low])).toEqual([]);
  });

  test('a new step starts as the family has it, or with figures of its own; what its kind has not is not taken', () => {
    for (const kind of STEP_KINDS) {
      const step = newStep(wheel, kind, 'mine');
      expect([step.id, StepSchema.safeParse(step).success]).toEqual(['mine', true]);
    }
    const hold = newStep(wheel, 'hold', 'mine');
    expect(figureOf(withFigure(hold, 'holdS', 40), 'holdS')).toBe(40);
    expect([withFigure(hold, 'hours', 3), withFigure(hold, 'holdS', null)]).toEqual([hold, hold]);
    expect(figureOf(withFigure({ ...hold, limitMlPerMin: 0.1 } as Step, 'limitMlPerMin', null), 'limitMlPerMin')).toBeNull();
    expect(figureOf(hold, 'hours')).toBeUndefined();
  });

  property.prop([fc.constantFrom(...HELD), fc.array(fc.constantFrom(...STEP_KINDS), { minLength: 1, maxLength: 8 })])(
    'whatever steps are put together, each is worded and its figures stand in the words of its faults',
    (kind, kinds) => {
      const list = kinds.map((k, i) => newStep(FAMILIES[kind], k, `s${i}`));
      for (const step of list) {
        expect(sayStep(step, METRIC)).toMatch(new RegExp(`^${STEPS[step.kind].label}`));
        expect(sayDoing(step, METRIC).length).toBeGreaterThan(20);
        const broken = STEPS[step.kind].figures.map((f) => withFigure(step, f, FIGURES[f].max * 2));
        for (const b of broken) expect(programmeFaults(FAMILIES[kind], [b]).join()).toMatch(/lies between/);
      }
    },
  );
});

describe('what was seen', () => {
  const seen = (more: Partial<Seen>): Seen => ({ answer: null, readings: null, wet: null, note: '', ...more });
  test.each<[string, SeenStep, Partial<Seen>, string | undefined, RegExp]>([
    ['dry paper', stepOf('weep'), { answer: 'good' }, 'pass', /^Dry\.$/],
    [
      'wet paper',
      stepOf('weep'),
      { answer: 'bad', wet: 'screws', note: 'at the stop screw' },
      'fail',
      /^Wet\. Wet: at a screw.* at the stop/,
    ],
    ['a drop', stepOf('port'), { answer: 'good', wet: 'screws' }, 'pass', /^A drop is seen\.$/],
    ['a rod that stays', stepOf('sink'), { readings: [12.3, 12.8] }, 'pass', /sank by 0\.50 mm in 60 s; 0\.5 mm is allowed/],
    ['a rod that sinks', stepOf('sink'), { readings: [12.3, 12.81] }, 'fail', /0\.51 mm/],
    ['air that stays', stepOf('air-hold'), { readings: [0.5, 0.45] }, 'pass', /fell from 0\.50 to 0\.45 bar/],
    ['air that goes, whatever was answered', stepOf('air-hold'), { readings: [0.5, 0.44], answer: 'good' }, 'fail', /0\.05 bar is allowed/],
    ['a rod nobody read', stepOf('sink'), { answer: 'good' }, undefined, /^$/],
    ['nothing', stepOf('bench-fill'), {}, undefined, /^$/],
  ])('%s', (_, step, answer, outcome, words) => {
    const result = judgeSeen(step, seen(answer));
    expect([result?.outcome, words.test(result?.text ?? '')]).toEqual([outcome, true]);
  });
  test('every step that is seen has its question and two answers', () => {
    for (const kind of STEP_KINDS) if (STEPS[kind].by !== 'run') expect(ANSWERS[kind as SeenStep['kind']].ask).toMatch(/\?$/);
  });
});

describe('where a failure leads', () => {
  const hold = (targetBar: number, chamber: string | null = null): Step => ({ ...stepOf('hold'), targetBar, chamber });
  test('little pressure: the lips first; much: what they run on', () => {
    expect(suspectsOf(wheel, hold(5), null)[0]).toEqual({
      what: 'The left cup: cut, turned, hardened or dirty',
      slots: ['left-cup'],
      reopens: 'close-up',
    });
    expect(suspectsOf(wheel, hold(80), null)[0]).toEqual({
      what: 'The bore under left cup, right cup: a pit or a score',
      slots: ['left-cup', 'right-cup'],
      reopens: 'gauge',
    });
  });
  test('one circuit of a tandem, and nothing drips: its own two cups and no others', () => {
    const slots = suspectsOf(tandem, hold(80, 'rear'), 'nowhere').flatMap((s) => s.slots);
    expect(new Set(slots)).toEqual(new Set(['rear-primary', 'floating-rear']));
    expect(suspectsOf(tandem, hold(80, 'rear'), 'nowhere').at(-1)?.reopens).toBeNull();
  });
  test('wet at the open end is the secondary cup’s, wet at a screw no cup’s', () => {
    expect(suspectsOf(tandem, hold(80, 'rear'), 'open-end').flatMap((s) => s.slots)).toEqual(['secondary', 'secondary']);
    expect(suspectsOf(tandem, hold(80), 'screws')).toEqual([
      { what: 'A screw, plug or washer that is not tight', slots: ['stop-screw', 'check-valves'], reopens: 'close-up' },
    ]);
    const line = (wet: 'screws' | 'nowhere' | null) => suspectsOf(FAMILIES['hard-line'], hold(80), wet).map((s) => s.what);
    expect(line('screws')).toEqual(['A union that is not tight']);
    expect(line('nowhere')).toEqual([expect.stringMatching(/^The bench itself/)]);
    expect(line(null)).toEqual(['A union that is not tight', expect.stringMatching(/^The bench itself/)]);
    expect(suspectsOf(wheel, hold(80), 'nowhere').map((s) => s.reopens)).toEqual([null]);
  });
  test('a shut port leads to the gap first where there is one to set, and to the drilling', () => {
    expect(suspectsOf(tandem, stepOf('port'), null).map((s) => s.reopens)).toEqual(['set', 'close-up', 'clean']);
    expect(suspectsOf({ ...tandem, hasGap: false }, stepOf('port'), null)[0]?.reopens).toBe('close-up');
  });
  property.prop([fc.constantFrom(...HELD), fc.constantFrom(...STEP_KINDS)])(
    'every failure leads somewhere, on parts that the family has',
    (kind, of) => {
      const family = FAMILIES[kind];
      const known = new Set(family.slots.map((s) => s.id));
      const suspects = suspectsOf(family, newStep(family, of, 's'), null);
      for (const s of suspects) for (const slot of s.slots) expect(known.has(slot)).toBe(true);
      if (usualSteps(family).some((s) => s.kind === of)) expect(suspects.length).toBeGreaterThan(0);
    },
  );
});

test('a bench fill: the chambers and lines three times over, by what a full stroke moves', () => {
  const geometry = geometryAt(tandem.drawing as Drawing, 22.225);
  const fill = benchFill(tandem, geometry);
  // Area 387.9 mm²: rear chamber 15 mm and front 18 mm long, 6 ml of line each; 18 mm of stroke.
  expect(fill?.volumeMl).toBeCloseTo((387.95 * (15 + 18)) / 1000 + 12, 1);
  expect(fill?.strokeMl).toBeCloseTo((387.95 * 18) / 1000, 2);
  expect(fill?.strokes).toBe(Math.ceil((3 * 24.8) / 6.98));
  expect(benchFill(FAMILIES['caliper-half'], geometryAt(FAMILIES['caliper-half'].drawing as Drawing, 40))).toBeUndefined();
});
