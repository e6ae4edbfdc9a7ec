import { z } from 'zod';

/** Fields that came after data had been stored without them, and what stands for them there. Give it to the field: `schema.register(LATER, { standard: 0 })`. */
export const LATER = z.registry<{ standard: unknown }>();

/** How a schema takes fields that it does not know: what a later version stored is kept, what a page sent too much is left out. */
type Ease = 'stored' | 'sent';
const made: { readonly [E in Ease]: WeakMap<z.ZodType, z.ZodType> } = { stored: new WeakMap(), sent: new WeakMap() };

/**
 * The form in which a schema's data lie in the database, whichever version wrote them: a field that came later and is missing takes its
 * standard value, one that is not known (a later version's) is kept. All else is asked as the schema asks it.
 * @param schema a schema of objects, arrays, records, tuples, unions, pipes and plain values
 */
export const stored = <S extends z.ZodType>(schema: S): S => eased(schema, 'stored');

/**
 * The form in which a page sends: a stored row that comes back whole has columns that the schema does not take (who, when, its id); they are
 * left out, at whatever depth. All else is asked as the schema asks it.
 * @param schema as of `stored`
 */
export const sent = <S extends z.ZodType>(schema: S): S => eased(schema, 'sent');

const eased = <S extends z.ZodType>(schema: S, ease: Ease): S => {
  const known = made[ease].get(schema) ?? loosened(schema, ease);
  made[ease].set(schema, known);
  // The same output: more keys than the schema's type names do no harm, and what is missing has been filled in.
  return known as S;
};

const loosened = (schema: z.ZodType, ease: Ease): z.ZodType => {
  const later = LATER.get(schema);
  const form = inside(schema, ease);
  return later === undefined || ease === 'sent' ? form : form.default(later.standard as never);
};

const inside = (schema: z.ZodType, ease: Ease): z.ZodType => {
  const def = schema.def as unknown as Readonly<Record<string, unknown>> & { readonly type: string };
  const ofAll = (all: readonly z.ZodType[]): readonly z.ZodType[] => all.map((one) => eased(one, ease));
  const one = (key: string): z.ZodType => eased(def[key] as z.ZodType, ease);
  const but = (more: Readonly<Record<string, unknown>>): z.ZodType => schema.clone({ ...def, ...more } as never);
  switch (def.type) {
    case 'object':
      return but({
        shape: Object.fromEntries(
          Object.entries(def.shape as Record<string, z.ZodType>).map(([name, field]) => [name, eased(field, ease)]),
        ),
        catchall: ease === 'stored' ? z.unknown() : undefined,
      });
    case 'array':
      return but({ element: one('element') });
    case 'record':
      return but({ valueType: one('valueType') });
    case 'tuple':
      return but({ items: ofAll(def.items as readonly z.ZodType[]) });
    case 'union':
      return but({ options: ofAll(def.options as readonly z.ZodType[]) });
    case 'nullable':
    case 'optional':
    case 'default':
    case 'readonly':
      return but({ innerType: one('innerType') });
    case 'pipe':
      return but({ in: one('in'), out: one('out') });
    default:
      return schema;
  }
};
