'use server';

import { CorrectStock, FaultLot, Order, Receive, Reorder, SaveArticle, SaveFitment, UndoImport } from '@/core/store/store-schemas';
import { enterByHand } from '@/db/store/enter';
import { undoImport } from '@/db/store/import-undo';
import { receiveAndTell } from '@/db/store/receive-and-tell';
import { correct, faultLot, order, setReorder } from '@/db/store/stock';
import { act } from '../_server/act';

export const receiveAction = act('kit', Receive, (i, { db, person, now }) => receiveAndTell(db, { id: i.id, person, at: now }, i));

export const correctStockAction = act('kit', CorrectStock, (i, { db, person, now }) => correct(db, { id: i.id, person, at: now }, i));

export const faultLotAction = act('kit', FaultLot, (i, { db, now }) => faultLot(db, i.lotId, i.fault, now));

export const orderAction = act('kit', Order, (i, { db, person, now }) => order(db, { id: i.id, person, at: now }, i));

export const reorderAction = act('kit', Reorder, (i, { db, now }) => setReorder(db, i.articleId, i.reorderAt, now));

export const undoImportAction = act('files', UndoImport, (i, { db, person, now }) => undoImport(db, i.importId, person, now));

/** A kit or sundry entered or changed by hand. */
export const saveArticleAction = act('kit', SaveArticle, (i, { db, person, now }) => {
  const { article } = i;
  const what = article.type === 'kit' ? 'kits' : 'sundries';
  return enterByHand(
    db,
    { id: i.id, person, at: now },
    {
      as: i.as,
      name: article.number,
      // From how many on it is ordered is set beside its stock, and stays.
      file: { what, rows: [{ line: 1, row: { ...article, reorderAt: null } }], lacks: ['reorderAt'] },
    },
  );
});

export const saveFitmentAction = act('kit', SaveFitment, (i, { db, person, now }) => {
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
