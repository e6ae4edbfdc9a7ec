import type { z } from 'zod';
import { crossCheck, entriesOf } from './cross-check';

/** Refuses a list in which an id comes twice, at the second one. */
export const uniqueIds = <S extends z.ZodType>(list: S): S =>
  crossCheck(list, (value, report) => {
    const seen = new Set<unknown>();
    for (const [i, { id }] of entriesOf(value).entries()) {
      if (typeof id !== 'string') continue;
      if (seen.has(id)) report([i, 'id'], `the id "${id}" comes twice`);
      seen.add(id);
    }
  });
