import { z } from 'zod';
import { DimsDoor } from '../family/dims-door';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { text } from '../schema/text';
import { when } from '../schema/when';
import { Findings } from './bag-door';

export const SetAsideBag = z.object({ ...Target, articleId: Id, qty: z.number().int().min(1).max(100) });
export type SetAsideBag = Sends<typeof SetAsideBag>;
export const PutBack = z.object({ ...Target, bagId: Id });
export type PutBack = Sends<typeof PutBack>;
export const SpoilPiece = z.object({ ...Target, partId: Id, name: text().max(80) });
export type SpoilPiece = Sends<typeof SpoilPiece>;
export const OpenBag = z.object({ ...Target, bagId: Id, findings: Findings });
export type OpenBag = Sends<typeof OpenBag>;
export const MeasureNeed = z.object({ ...Target, partId: Id, dims: DimsDoor });
export type MeasureNeed = Sends<typeof MeasureNeed>;
export const ReuseOld = z.object({ ...Target, partId: Id, reason: text().trim().min(3, 'say why').max(200) });
export type ReuseOld = Sends<typeof ReuseOld>;
export const OrderFor = z.object({ ...Target, articleId: Id, qty: z.number().int().min(1).max(1000), expectedAt: when() });
export type OrderFor = Sends<typeof OrderFor>;
export const KeepSurplus = z.object({
  ...Target,
  bagId: Id,
  item: z.number().int().min(0).max(200),
  qty: z.number().int().min(1).max(1000),
});
export type KeepSurplus = Sends<typeof KeepSurplus>;
