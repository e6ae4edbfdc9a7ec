import { z } from 'zod';
import { crossCheck } from '../schema/cross-check';
import { text } from '../schema/text';

/** Dimensions: a number in mm where the name ends in Mm, text for a thread, else either. */
export const DimsSchema = crossCheck(
  z.record(text().min(1).max(40), z.union([z.number().min(-1e6).max(1e6), text().min(1).max(100)], 'must be a number or text').nullable()),
  (value, report) => {
    for (const [name, dim] of Object.entries(typeof value === 'object' && value !== null ? value : {})) {
      if (name.endsWith('Mm') && typeof dim === 'string') report([name], 'must be a number of mm');
      if (name.endsWith('Mm') && typeof dim === 'number' && !(dim > 0 && dim <= 10_000))
        report([name], 'must be above 0 and at most 10000 mm');
      if (name === 'thread' && typeof dim === 'number') report([name], 'must be text, as M10x1');
    }
  },
);
