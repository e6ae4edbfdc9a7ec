import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import type { Random } from '../../devices/hand/random';

/** What made-up values take from the shop: ids of its rows, and the unit that is aimed at. */
export type Known = { readonly ids: readonly string[]; readonly unit: { readonly id: string; readonly version: number } };

type Schema = { readonly [key: string]: unknown };

/** Values that no schema may trip over, whatever it asks for. */
const HOSTILE: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  1e308,
  -1e308,
  2 ** 53,
  5e-324,
  '',
  ' ',
  '\u0000',
  '\r\nDTSTART:1',
  '<svg onload=alert(1)>',
  "'; drop table units; --",
  '=cmd()',
  '$1',
  '$undefined',
  '%E0%A4%A',
  '../../etc/passwd',
  '\u202eabc',
  '😀'.repeat(300),
  'x'.repeat(20_000),
  [],
  {},
  [[[[[]]]]],
  { __proto__: null, constructor: { prototype: {} } },
  Array.from({ length: 3000 }, (_, i) => i),
];
const WORDS = ['', 'a', 'left', 'left-cup', 'Yard No. 7', 'M10x1', '22.2', 'ä⌀µ', 'x'.repeat(80)];
/** One leaf in so many is what its schema did not ask for. */
const ODD = 0.04;

/** A value by a schema: mostly sound, now and then not; ids are mostly real ones, of whatever row. */
export const madeUp = (schema: z.ZodType, random: Random, known: Known): unknown =>
  made(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as Schema, random, known, '', {});

const made = (schema: Schema, random: Random, known: Known, name: string, defs: Schema): unknown => {
  const inside = (schema.$defs as Schema | undefined) ?? defs;
  const below = (s: unknown, as = name): unknown => made(s as Schema, random, known, as, inside);
  if (random.next() < ODD) return random.pick(HOSTILE);
  if (typeof schema.$ref === 'string') return below(inside[schema.$ref.split('/').at(-1) ?? ''] ?? {});
  if (schema.const !== undefined) return schema.const;
  if (Array.isArray(schema.enum)) return random.pick(schema.enum);
  const variants = schema.anyOf ?? schema.oneOf;
  if (Array.isArray(variants)) return below(random.pick(variants));
  if (Array.isArray(schema.allOf)) return below(schema.allOf[0]);
  switch (schema.type) {
    case 'null':
      return null;
    case 'boolean':
      return random.next() < 0.7;
    case 'number':
    case 'integer':
      return numberOf(schema, random, known, name);
    case 'string':
      return textOf(schema, random, known, name);
    case 'array': {
      if (Array.isArray(schema.prefixItems)) return schema.prefixItems.map((s) => below(s));
      const most = Math.min(Number(schema.maxItems ?? 8), random.next() < 0.02 ? 400 : 8);
      const length = Math.max(Number(schema.minItems ?? 0), Math.floor(random.next() * (most + 1)));
      return Array.from({ length }, () => below(schema.items ?? {}));
    }
    case 'object':
      return objectOf(schema, random, below);
    default:
      return random.pick(HOSTILE);
  }
};

const objectOf = (schema: Schema, random: Random, below: (s: unknown, as: string) => unknown): unknown => {
  const needed = new Set((schema.required as readonly string[] | undefined) ?? []);
  const fields = Object.entries((schema.properties as Schema | undefined) ?? {});
  const own = fields.flatMap(([key, s]): [string, unknown][] =>
    (needed.has(key) ? random.next() > 0.01 : random.next() < 0.6) ? [[key, below(s, key)]] : [],
  );
  const more =
    typeof schema.additionalProperties === 'object'
      ? Array.from({ length: Math.floor(random.next() * 4) }, (): [string, unknown] => [
          random.pick(WORDS),
          below(schema.additionalProperties, ''),
        ])
      : [];
  return Object.fromEntries([...own, ...more]);
};

const numberOf = (schema: Schema, random: Random, known: Known, name: string): number => {
  if (name === 'version' || name === 'after') return random.next() < 0.9 ? known.unit.version : Math.floor(random.between(0, 50));
  const [low, high] = [Number(schema.minimum ?? schema.exclusiveMinimum ?? -1e6), Number(schema.maximum ?? schema.exclusiveMaximum ?? 1e6)];
  const at = random.next();
  if (at < 0.08) return low;
  if (at < 0.16) return high;
  // Most numbers of the trade lie at the low end of what a schema lets in.
  const value = low + (high - low) * random.next() ** 4;
  return schema.type === 'integer' ? Math.round(value) : Math.round(value * 1000) / 1000;
};

const textOf = (schema: Schema, random: Random, known: Known, name: string): string => {
  if (name === 'eventId') return random.next() < 0.9 ? randomUUID() : random.pick(known.ids);
  if (name === 'unitId') return known.unit.id;
  if (/id$/i.test(name) || random.next() < 0.2) return random.pick(known.ids);
  if (typeof schema.pattern === 'string' && random.next() < 0.7) return random.pick(known.ids);
  return random.pick(WORDS).slice(0, Number(schema.maxLength ?? 100));
};
