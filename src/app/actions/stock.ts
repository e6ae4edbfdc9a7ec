'use server';

import { z } from 'zod';
import { EnteredArticle, EnteredFitment } from '@/core/store/article-door';
import { enterByHand } from '@/db/store/enter';
import { undoImport } from '@/db/store/import-undo';
import { receiveAndTell } from '@/db/store/receive-and-tell';
import { correct, faultLot, order, setReorder } from '@/db/store/stock';
import { act } from '../_server/act';
import { Id } from '../_server/change-of';

const Qty = z.number().int().min(1, 'at least one').max(100_000);
const Receive = z.object({
  id: Id,
  articleId: Id,
  lot: z.string().trim().min(1, 'which lot is it?').max(60),
  qty: Qty,
  expiresAt: z.number().nullable(),
  orderId: Id.nullable(),
});

export const receiveAction = act('kit', Receive, (i, { db, person, now }) => receiveAndTell(db, { id: i.id, person, at: now }, i));

const Correct = z
  .object({
    id: Id,
    lotId: Id,
    counted: z.number().int().min(0, 'not below none').max(100_000),
    reason: z.enum(['counted', 'adjusted']),
    note: z.string().trim().max(200),
  })
  .refine((c) => c.reason === 'counted' || c.note.length >= 3, { path: ['note'], message: 'say why' });
export const correctStockAction = act('kit', Correct, (i, { db, person, now }) => correct(db, { id: i.id, person, at: now }, i));

export const faultLotAction = act('kit', z.object({ lotId: Id, fault: z.string().trim().max(200) }), (i, { db, now }) =>
  faultLot(db, i.lotId, i.fault, now),
);

const Order = z.object({ id: Id, articleId: Id, qty: Qty, expectedAt: z.number() });
export const orderAction = act('kit', Order, (i, { db, person, now }) => order(db, { id: i.id, person, at: now }, i));

const Reorder = z.object({ articleId: Id, reorderAt: z.number().int().min(0).max(100_000).nullable() });
export const reorderAction = act('kit', Reorder, (i, { db, now }) => setReorder(db, i.articleId, i.reorderAt, now));

export const undoImportAction = act('kit', z.object({ importId: Id }), (i, { db, person, now }) => undoImport(db, i.importId, person, now));

const As = z.enum(['new', 'known']);

/** A kit or sundry entered or changed by hand. */
export const saveArticleAction = act('kit', z.object({ id: Id, as: As, article: EnteredArticle }), (i, { db, person, now }) => {
  const { article } = i;
  const what = article.type === 'kit' ? 'kits' : 'sundries';
  return enterByHand(
    db,
    { id: i.id, person, at: now },
    {
      as: i.as,
      name: article.number,
      file: { what, rows: [{ line: 1, row: article }], lacks: [] },
    },
  );
});

export const saveFitmentAction = act('kit', z.object({ id: Id, as: As, fitment: EnteredFitment }), (i, { db, person, now }) => {
  const { fitment } = i;
  return enterByHand(
    db,
    { id: i.id, person, at: now },
    {
      as: i.as,
      name: `${fitment.maker} ${fitment.machine}`,
      file: { what: 'fitments', rows: [{ line: 1, row: fitment }], lacks: [] },
    },
  );
});
