import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import type { z } from 'zod';
import { CALCULATIONS } from '../api/compute';
import { STANDARD_RULES } from '../rules/rule-set';
import { problemsOf } from '../schema/problems';
import type { Article } from '../store/article';
import { EnteredArticle, EnteredFitment } from '../store/article-schema';
import type { BagFinding } from '../store/bag-finding';
import { indexArticle, search, termsOf } from '../store/search';
import { reallyIn } from './bag';
import { BagItems, Findings, Kept } from './bag-schema';

const paths = (schema: z.ZodType, value: unknown): readonly string[] => {
  const parsed = schema.safeParse(value);
  return parsed.success ? [] : problemsOf(parsed.error).map((p) => p.path);
};

describe('what a person enters', () => {
  const kit = {
    number: ' K-1 ',
    type: 'kit',
    name: 'Master',
    price: 12.5,
    leadDays: null,
    note: '',
    supersededBy: null,
    items: [{ kind: 'cup', name: 'cup', qty: 2, dims: { boreMm: 19.05 } }],
  };
  test('is taken as it is meant', () => {
    expect(EnteredArticle.parse(kit).number).toBe('K-1');
  });
  test.each<[string, object, readonly string[]]>([
    ['nothing in it', { items: [] }, ['items']],
    ['no number, no name', { number: ' ', name: '' }, ['number', 'name']],
    ['money below nought', { price: -1 }, ['price']],
    ['half a day', { leadDays: 1.5 }, ['leadDays']],
    ['a part that there is not', { items: [{ ...kit.items[0], kind: 'hat' }] }, ['items[0].kind']],
    ['no pieces of it', { items: [{ ...kit.items[0], qty: 0 }] }, ['items[0].qty']],
    ['a size in words', { items: [{ ...kit.items[0], dims: { boreMm: '19' } }] }, ['items[0].dims.boreMm']],
    ['what nobody asked for', { stock: 4 }, ['stock']],
  ])('a kit: %s', (_, more, want) => expect(paths(EnteredArticle, { ...kit, ...more })).toEqual(want));

  const fitment = {
    id: 'f',
    maker: 'Tarn',
    machine: 'cutter',
    yearFrom: 1980,
    yearTo: null,
    family: 'slave',
    position: 'clutch',
    features: { boreMm: 19.05 },
    kits: ['K-1'],
    note: '',
  };
  test.each<[string, object, readonly string[]]>([
    ['as it should be', {}, []],
    ['years the wrong way round', { yearTo: 1970 }, ['yearTo']],
    ['no machine', { machine: '' }, ['machine']],
    ['a family that there is not', { family: 'toaster' }, ['family']],
    ['a bore of nothing', { features: { boreMm: 0 } }, ['features.boreMm']],
    ['a feature that there is not', { features: { weightKg: 2 } }, ['features.weightKg']],
  ])('a fitment: %s', (_, more, want) => expect(paths(EnteredFitment, { ...fitment, ...more })).toEqual(want));

  test('what was found in a bag, and what was kept of it', () => {
    expect(paths(Findings, [{ what: 'missing', item: 0, qty: 0 }])).toEqual(['[0].qty']);
    expect(paths(Findings, [{ what: 'gone', item: 0 }])).toEqual(['[0].what']);
    expect(paths(Findings, [{ what: 'extra', kind: 'cup', name: 'x', qty: 1, dims: {} }])).toEqual(['[0].name']);
    expect(paths(Kept, [{ item: -1, qty: 1 }])).toEqual(['[0].item']);
    expect(paths(BagItems, [{ kind: 'cup', name: '', qty: 1, dims: {} }])).toEqual(['[0].name']);
  });
});

describe('at the wire', () => {
  const ask = async (name: string, body: object): Promise<readonly string[]> => {
    const answer = await CALCULATIONS.get(name)?.run(body, STANDARD_RULES);
    return answer?.ok === false ? answer.error.map((p) => p.path) : [];
  };
  test.each<[string, object, readonly string[]]>([
    ['a length in words', { measured: { boreMm: { value: '20' } }, fitments: [] }, ['measured.boreMm.value']],
    ['a bare length', { measured: { boreMm: 20 }, fitments: [] }, ['measured.boreMm']],
    ['an uncertainty below nought', { measured: { strokeMm: { value: 20, u: -1 } }, fitments: [] }, ['measured.strokeMm.u']],
    ['half an outlet', { measured: { outletCount: 1.5 }, fitments: [] }, ['measured.outletCount']],
    [
      'a fitment twice',
      {
        measured: {},
        fitments: [
          { id: 'a', features: {} },
          { id: 'a', features: {} },
        ],
      },
      ['fitments[1].id'],
    ],
    [
      'a feature with an uncertainty',
      { measured: {}, fitments: [{ id: 'a', features: { boreMm: { value: 2 } } }] },
      ['fitments[0].features.boreMm'],
    ],
    ['no spread at all', { measured: {}, fitments: [], rules: { spreadBoreMm: 0 } }, ['rules.spreadBoreMm']],
    ['both halves missing', {}, ['measured', 'fitments']],
  ])('identify: %s', async (_, body, want) => expect(await ask('identify', body)).toEqual(want));

  test('null and absent are unknown, and extra fields pass at the top only', async () => {
    const body = { measured: { boreMm: null, castingMark: null }, fitments: [{ id: 'a', features: { boreMm: null } }], note: 'bench 2' };
    expect(await ask('identify', body)).toEqual([]);
    expect(await ask('identify', { ...body, measured: { note: 'x' } })).toEqual(['measured.note']);
  });

  const pedal = { pedalForceN: 300, pedalRatio: 4, masterDiaMm: 20, masterStrokeMm: 30, cylinders: [] };
  test.each<[string, object, readonly string[]]>([
    ['no ratio', { pedalRatio: 0 }, ['pedalRatio']],
    ['half a cylinder', { cylinders: [{ id: 'a', diaMm: 20, count: 0.5, travelMm: 1 }] }, ['cylinders[0].count']],
    ['an option of no size', { options: [20, -1] }, ['options[1]']],
    ['fluid that gives without end', { bulkModulusMPa: 0 }, ['bulkModulusMPa']],
    ['as it should be', { airMl: null, options: null }, []],
  ])('hydraulics: %s', async (_, more, want) => expect(await ask('hydraulics', { ...pedal, ...more })).toEqual(want));
});

describe('properties', () => {
  const size = fc.integer({ min: 30, max: 900 }).map((n) => n / 10);
  property.prop([fc.array(size, { minLength: 1, maxLength: 4 }), fc.nat()])(
    'any dimension finds its article, typed in millimetres or in inches',
    (sizes, which) => {
      const article: Article = {
        id: 'a',
        number: 'K-1',
        type: 'kit',
        name: 'kit',
        price: 1,
        leadDays: null,
        note: '',
        supersededBy: null,
        reorderAt: null,
        items: sizes.map((odMm) => ({ kind: 'boot', name: 'boot', qty: 1, dims: { odMm } })),
      };
      const mm = sizes[which % sizes.length] as number;
      const index = [indexArticle(article)];
      for (const [query, unit] of [
        [`${mm} mm`, 'in'],
        [`${(mm / 25.4).toFixed(3)} in`, 'mm'],
        [String(mm), 'mm'],
        [`boot ${(mm / 25.4).toFixed(4)}"`, 'mm'],
      ] as const)
        expect([query, search(index, termsOf(query, unit), 9).inAll]).toEqual([query, 1]);
      expect(search(index, termsOf('950 mm', 'mm'), 9).inAll).toBe(0);
    },
  );

  const items = [1, 2, 3].map((qty, i) => ({ kind: 'cup', name: `part ${i}`, qty, dims: {} }));
  const missing = fc.record({
    what: fc.constant('missing' as const),
    item: fc.integer({ min: 0, max: 2 }),
    qty: fc.integer({ min: 1, max: 4 }),
  });
  property.prop([fc.array(missing, { maxLength: 4 })])(
    'a bag never holds less than nothing, nor more than the catalogue and what was extra',
    (findings: readonly BagFinding[]) => {
      const held = reallyIn(items, findings);
      for (const piece of held) expect(piece.qty).toBeGreaterThan(0);
      const gone = (i: number): number => findings.reduce((sum, f) => sum + (f.what === 'missing' && f.item === i ? f.qty : 0), 0);
      expect(held.reduce((sum, p) => sum + p.qty, 0)).toBe(items.reduce((sum, p, i) => sum + Math.max(0, p.qty - gone(i)), 0));
    },
  );
});
