import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import type { MethodName } from '../strip/treatment';
import { type Contact, contactsOf, NO_TOUCH, sayContact, type Touch, weightOf } from './contact';
import { FLUID_NAMES, FLUIDS, type FluidName, lowerBoiling, mixingOf } from './fluid';
import { LUBRICANT_NAMES } from './lubricant';
import { type Bears, bears, RUBBER_NAMES, type RubberName, rubberNamed, statedRubbers, swellAnswer, swellPct } from './rubber';

const told = (touch: Partial<Touch>, stated: readonly RubberName[] = [], used: readonly MethodName[] = []) =>
  contactsOf(
    { ...NO_TOUCH, ...touch },
    stated,
    used.map((method, at) => ({ method, at })),
  );
const stops = (...asked: Parameters<typeof told>): readonly Contact['code'][] =>
  told(...asked)
    .filter((c) => weightOf(c) === 'stop')
    .map((c) => c.code);

describe('rubber in fluid', () => {
  // design, domain, table of rubbers
  test.each<[RubberName, FluidName, Bears]>([
    ['epdm', 'dot-4', 'good'],
    ['sbr', 'dot-3', 'good'],
    ['nbr', 'dot-5.1', 'poor'],
    ['epdm', 'dot-5', 'good'],
    ['nbr', 'dot-5', 'good'],
    ['epdm', 'mineral', 'swells'],
    ['sbr', 'mineral', 'swells'],
    ['nbr', 'mineral', 'good'],
  ])('%s in %s: %s', (rubber, fluid, how) => {
    expect(bears(rubber, FLUIDS[fluid].base)).toBe(how);
    expect(stops({ rubber, fluid, wasFluid: fluid })).toEqual(how === 'good' ? [] : ['rubber-fluid']);
  });

  test('what nobody has said stops the work, and is asked for', () => {
    expect(stops({})).toEqual(['rubber-unknown', 'fluid-unknown']);
    expect(stops({ fluid: 'dot-4' })).toEqual(['rubber-unknown']);
    expect(stops({ fluid: 'dot-4' }, ['epdm'])).toEqual([]);
  });

  test('what the bag names goes against what is said', () => {
    expect(stops({ fluid: 'dot-4', rubber: 'epdm' }, ['nbr'])).toEqual(['bag-contradicts']);
    expect(stops({ fluid: 'dot-4', rubber: 'epdm' }, ['epdm'])).toEqual([]);
    expect(stops({ fluid: 'dot-4' }, ['epdm', 'nbr'])).toEqual(['bag-contradicts']);
    const item = (rubber: string) => ({ dims: { rubber, boreMm: 22 } });
    expect(statedRubbers([{ items: [item('EPDM'), item(' epdm ')] }, { items: [{ dims: {} }, item('NBR')] }])).toEqual(['epdm', 'nbr']);
    expect([rubberNamed('SBR'), rubberNamed('silicone'), rubberNamed(4)]).toEqual(['sbr', undefined, undefined]);
  });
});

describe('a spare piece in oil', () => {
  test.each([
    [10, 11, 'glycol-rubber'],
    [10, 10.5, 'glycol-rubber'],
    [10, 10.4, 'undecided'],
    [10, 10.2, 'oil-rubber'],
    [10, 9.9, 'oil-rubber'],
  ] as const)('%s mm and %s mm after: %s', (beforeMm, afterMm, answer) => expect(swellAnswer({ beforeMm, afterMm })).toBe(answer));

  test('goes against a rubber that it cannot be, and is told with its number', () => {
    const swell = { beforeMm: 8, afterMm: 9 };
    expect(stops({ fluid: 'mineral', wasFluid: 'mineral', rubber: 'nbr', swell })).toEqual(['swell-contradicts']);
    expect(stops({ fluid: 'dot-4', wasFluid: 'dot-4', rubber: 'epdm', swell })).toEqual([]);
    const [unknown] = told({ fluid: 'dot-4', swell });
    expect(Number(/by ([\d.]+) %/.exec(sayContact(unknown as Contact))?.[1])).toBeCloseTo(swellPct(swell), 1);
  });
});

describe('one fluid after another', () => {
  property.prop([fc.constantFrom(...FLUID_NAMES), fc.constantFrom(...FLUID_NAMES)])('mixes with its own base only', (was, fluid) => {
    expect(mixingOf(was, fluid) === 'flush').toBe(FLUIDS[was].base !== FLUIDS[fluid].base);
    const flushed = told({ fluid, wasFluid: was, flush: 'flushed' }).find((c) => c.code === 'mixed');
    expect(flushed === undefined || weightOf(flushed) === 'note').toBe(true);
    const not = told({ fluid, wasFluid: was, flush: 'no' }).find((c) => c.code === 'mixed');
    expect(not === undefined ? 'same' : weightOf(not)).toBe(was === fluid ? 'same' : mixingOf(was, fluid) === 'flush' ? 'stop' : 'note');
  });

  test('a mixture is taken for the one that boils first', () => {
    expect(lowerBoiling('dot-4', 'dot-3')).toBe('dot-3');
    const [mixed] = told({ fluid: 'dot-5.1', wasFluid: 'dot-4', rubber: 'epdm' }).filter((c) => c.code === 'mixed');
    expect(sayContact(mixed as Contact)).toMatch(/take it for DOT 4, which boils at 230 °C dry and 155 °C wet/);
  });
});

describe('what wets it, and what was used before', () => {
  test('petroleum is refused for every rubber; a grease of another base stays on the dust side', () => {
    for (const rubber of RUBBER_NAMES)
      expect(stops({ fluid: 'dot-5', wasFluid: 'dot-5', rubber, lubricant: 'petroleum-grease' })).toEqual(['lubricant']);
    expect(stops({ fluid: 'dot-4', wasFluid: 'dot-4', rubber: 'epdm', lubricant: 'mineral-grease' })).toEqual(['lubricant']);
    const silicone = told({ fluid: 'dot-4', rubber: 'epdm', lubricant: 'silicone-grease' }).find((c) => c.code === 'lubricant');
    expect([weightOf(silicone as Contact), sayContact(silicone as Contact)]).toEqual(['note', expect.stringMatching(/dust side only/)]);
  });

  test('petroleum that freed the body stops until it is rinsed, and is told after', () => {
    const sound = { fluid: 'dot-4', wasFluid: 'dot-4', rubber: 'epdm' } as const;
    expect(stops(sound, [], ['soak-penetrant'])).toEqual(['used']);
    expect(stops(sound, [], ['soak-penetrant', 'rinse'])).toEqual([]);
    expect(told(sound, [], ['soak-penetrant', 'rinse']).at(-1)).toEqual({ code: 'used', methods: ['soak-penetrant'], rinsed: true });
  });
});

property.prop([
  fc.record({
    fluid: fc.option(fc.constantFrom(...FLUID_NAMES)),
    wasFluid: fc.option(fc.constantFrom(...FLUID_NAMES)),
    flush: fc.constantFrom('flushed', 'to-flush', 'no'),
    rubber: fc.option(fc.constantFrom(...RUBBER_NAMES)),
    lubricant: fc.constantFrom(...LUBRICANT_NAMES),
  }),
])('every contact is a whole sentence, told once', (touch) => {
  const said = told(touch as Partial<Touch>).map(sayContact);
  for (const text of said) expect(text).toMatch(/^[A-Z“].*\.$/);
  expect(new Set(said).size).toBe(said.length);
});
