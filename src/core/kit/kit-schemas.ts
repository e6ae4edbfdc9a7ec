import { z } from 'zod';
import { DimsSchema } from '../family/dims-schema';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { text } from '../schema/text';
import { when } from '../schema/when';
import { Findings } from './bag-schema';

export const SetAsideBag = z.object({ ...Target, articleId: Id, qty: z.number().int().min(1).max(100) });
export type SetAsideBag = Sends<typeof SetAsideBag>;
export const PutBack = z.object({ ...Target, bagId: Id });
export type PutBack = Sends<typeof PutBack>;
export const SpoilPiece = z.object({ ...Target, partId: Id, name: text().max(80) });
export type SpoilPiece = Sends<typeof SpoilPiece>;
export const OpenBag = z.object({ ...Target, bagId: Id, findings: Findings });
export type OpenBag = Sends<typeof OpenBag>;
export const MeasureNeed = z.object({ ...Target, partId: Id, dims: DimsSchema });
export type MeasureNeed = Sends<typeof MeasureNeed>;
export const ReuseOld = z.object({ ...Target, partId: Id, reason: text().trim().min(3, 'say why').max(200) });
export type ReuseOld = Sends<typeof ReuseOld>;
const Count = z.number().int().min(0).max(1000);
/** A set of kits and sundries: of each so many from the shelf, and so many ordered. */
export const TakeSet = z.object({
  ...Target,
  picks: z
    .array(z.object({ articleId: Id, take: Count, order: Count, expectedAt: when() }))
    .min(1, 'nothing is chosen')
    .max(40)
    .refine((picks) => picks.every((p) => p.take + p.order > 0), 'say how many of each')
    .refine((picks) => new Set(picks.map((p) => p.articleId)).size === picks.length, 'an article stands in it twice'),
});
export type TakeSet = Sends<typeof TakeSet>;
export const KeepSurplus = z.object({
  ...Target,
  bagId: Id,
  item: z.number().int().min(0).max(200),
  qty: z.number().int().min(1).max(1000),
});
export type KeepSurplus = Sends<typeof KeepSurplus>;
