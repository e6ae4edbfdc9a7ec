import { z } from 'zod';

/** Fields that came after data had been stored without them, and what stands for them there. Give it to the field: `door.register(LATER, { standard: 0 })`. */
export const LATER = z.registry<{ standard: unknown }>();

const made = new WeakMap<z.ZodType, z.ZodType>();

/**
 * The form in which a door's data lie in the database, whichever version wrote them: a field that came later and is missing takes its
 * standard value, one that is not known (a later version's) is kept. All else is asked as the door asks it.
 * @param door a schema of objects, arrays, records, tuples, unions, pipes and plain values
 */
export const stored = <S extends z.ZodType>(door: S): S => {
  const known = made.get(door) ?? loosened(door);
  made.set(door, known);
  // The same output: more keys than the door's type names do no harm, and what is missing has been filled in.
  return known as S;
};

const loosened = (schema: z.ZodType): z.ZodType => {
  const later = LATER.get(schema);
  const form = inside(schema);
  return later === undefined ? form : form.default(later.standard as never);
};

const inside = (schema: z.ZodType): z.ZodType => {
  const def = schema.def as unknown as Readonly<Record<string, unknown>> & { readonly type: string };
  const one = (key: string): z.ZodType => stored(def[key] as z.ZodType);
  const but = (more: Readonly<Record<string, unknown>>): z.ZodType => schema.clone({ ...def, ...more } as never);
  switch (def.type) {
    case 'object':
      return but({
        shape: Object.fromEntries(Object.entries(def.shape as Record<string, z.ZodType>).map(([name, field]) => [name, stored(field)])),
        catchall: z.unknown(),
      });
    case 'array':
      return but({ element: one('element') });
    case 'record':
      return but({ valueType: one('valueType') });
    case 'tuple':
      return but({ items: (def.items as readonly z.ZodType[]).map((item) => stored(item)) });
    case 'union':
      return but({ options: (def.options as readonly z.ZodType[]).map((option) => stored(option)) });
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
