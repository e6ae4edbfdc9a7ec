import { z } from 'zod';
import { MATERIALS } from '../family/material';
import type { Sends } from '../schema/sends';
import { Note, Target } from '../schema/target';
import { text } from '../schema/text';
import { when } from '../schema/when';

export const SendOut = z.object({
  ...Target,
  shop: text().trim().min(2, 'who sleeves it?').max(100),
  material: z.enum(MATERIALS).refine((m) => m.startsWith('sleeve-'), 'what sleeve?'),
  wallMm: z.number({ error: 'measure the thinnest wall first' }).gt(0).max(500),
  promisedAt: when(),
  note: Note,
});
export type SendOut = Sends<typeof SendOut>;
export const BackFromSleeving = z.object({ ...Target, note: Note });
export type BackFromSleeving = Sends<typeof BackFromSleeving>;
