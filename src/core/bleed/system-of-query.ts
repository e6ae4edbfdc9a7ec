import type { Query } from '../schema/sheet';
import { SHAPE_NAMES, SHAPES } from './shapes';
import { type System, SystemSchema } from './system';

/** The system of an address: whole, or by the name of a shape; the first shape where it names none that can be read. */
export const systemOfQuery = (query: Query): System => {
  const shape = SHAPE_NAMES.find((s) => s === query.shape) ?? 'one-two';
  if (query.system === undefined) return SHAPES[shape]();
  try {
    return SystemSchema.safeParse(JSON.parse(query.system)).data ?? SHAPES[shape]();
  } catch {
    return SHAPES[shape]();
  }
};
