import { describe, expect, test } from 'vitest';
import { z } from 'zod';
import { CALCULATIONS } from '../api/compute';
import { text } from './text';
import { when } from './when';

/** All that pages send, by the file that its schemas stand in. */
const FILES = import.meta.glob('../**/*-schemas.ts', { eager: true }) as Record<string, Record<string, unknown>>;
const SCHEMAS = Object.entries(FILES).flatMap(([file, all]) =>
  Object.entries(all).flatMap(([name, schema]) =>
    schema instanceof z.ZodType ? [[`${file.split('/').at(-1)} ${name}`, schema] as const] : [],
  ),
);

const CALCULATED = [...CALCULATIONS].map(([name, { request }]) => [name, request] as const);

type Schema = { readonly [key: string]: unknown };
const NO_END = Number.MAX_SAFE_INTEGER;

/** Paths of numbers without two ends, texts and lists without a longest. */
const endless = (schema: Schema, path = ''): readonly string[] => {
  const at = (key: string): number | undefined => (typeof schema[key] === 'number' ? (schema[key] as number) : undefined);
  const own: string[] = [];
  if ((schema.type === 'number' || schema.type === 'integer') && schema.const === undefined && schema.enum === undefined) {
    const [low, high] = [at('minimum') ?? at('exclusiveMinimum'), at('maximum') ?? at('exclusiveMaximum')];
    if (low === undefined || high === undefined || low <= -NO_END || high >= NO_END) own.push(path);
  }
  if (schema.type === 'string' && schema.const === undefined && schema.enum === undefined && at('maxLength') === undefined) own.push(path);
  if (schema.type === 'array' && at('maxItems') === undefined && schema.prefixItems === undefined) own.push(path);
  const below = Object.entries(schema).flatMap(([key, value]) => {
    const many = Array.isArray(value) ? value.map((v, i) => [`${i}`, v] as const) : [];
    const named = key === 'properties' || key === '$defs' ? Object.entries(value as Schema) : [];
    const one = ['items', 'additionalProperties', 'propertyNames', 'not'].includes(key) ? [[key, value] as const] : [];
    const variants = ['anyOf', 'oneOf', 'allOf', 'prefixItems'].includes(key) ? many : [];
    return [...named, ...one, ...variants].flatMap(([name, of]) =>
      typeof of === 'object' && of !== null ? endless(of as Schema, `${path}/${name}`) : [],
    );
  });
  return [...own, ...below];
};

describe('what comes in has ends', () => {
  test('there are schemas to look at', () => expect(SCHEMAS.length).toBeGreaterThan(60));
  test.each([...SCHEMAS, ...CALCULATED])('%s', (_, schema) => {
    expect(endless(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as Schema)).toEqual([]);
  });
});

describe('whatever comes in, a schema says what is wrong and throws nothing', () => {
  const ODD = [null, undefined, true, -1, 'x', [], [null], [[]], {}, { a: null }];
  test.each([...SCHEMAS, ...CALCULATED])('%s', (_, schema) => {
    const { properties = {} } = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as { properties?: object };
    const fields = Object.keys(properties).flatMap((field) => ODD.map((odd) => ({ [field]: odd })));
    for (const value of [...ODD, ...fields]) expect([value, schema.safeParse(value).success]).toEqual([value, expect.any(Boolean)]);
  });
});

describe('a moment', () => {
  test.each([
    ['today', Date.UTC(2026, 10, 29), true],
    ['the largest whole number', 9007199254740991, false],
    ['before the century', 0, false],
    ['a part of a ms', Date.UTC(2026, 10, 29) + 0.5, false],
  ])('%s', (_, at, ok) => expect(when().safeParse(at).success).toBe(ok));
});

test('text loses what controls a printer, a calendar or its own direction, and its lines end one way', () => {
  expect(text().parse('Ida\u0000 & Co\r\nYard\u0007 2\rback\u202egate\tleft')).toBe('Ida & Co\nYard 2\nbackgate\tleft');
});
