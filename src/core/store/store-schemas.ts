import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Id } from '../schema/target';
import { text } from '../schema/text';
import { when } from '../schema/when';
import { EnteredArticle, EnteredFitment } from './article-schema';

const Qty = z.number().int().min(1, 'at least one').max(100_000);
export const Receive = z.object({
  id: Id,
  articleId: Id,
  lot: text().trim().min(1, 'which lot is it?').max(60),
  qty: Qty,
  expiresAt: when().nullable(),
  orderId: Id.nullable(),
});
export type Receive = Sends<typeof Receive>;
export const CorrectStock = z
  .object({
    id: Id,
    lotId: Id,
    counted: z.number().int().min(0, 'not below none').max(100_000),
    reason: z.enum(['counted', 'adjusted']),
    note: text().trim().max(200),
  })
  .refine((c) => c.reason === 'counted' || c.note.length >= 3, { path: ['note'], message: 'say why' });
export type CorrectStock = Sends<typeof CorrectStock>;
export const FaultLot = z.object({ lotId: Id, fault: text().trim().max(200) });
export type FaultLot = Sends<typeof FaultLot>;
export const Order = z.object({ id: Id, articleId: Id, qty: Qty, expectedAt: when() });
export type Order = Sends<typeof Order>;
export const Reorder = z.object({ articleId: Id, reorderAt: z.number().int().min(0).max(100_000).nullable() });
export type Reorder = Sends<typeof Reorder>;
export const UndoImport = z.object({ importId: Id });
export type UndoImport = Sends<typeof UndoImport>;
const As = z.enum(['new', 'known']);
export const SaveArticle = z.object({ id: Id, as: As, article: EnteredArticle });
export type SaveArticle = Sends<typeof SaveArticle>;
export const SaveFitment = z.object({ id: Id, as: As, fitment: EnteredFitment });
export type SaveFitment = Sends<typeof SaveFitment>;
