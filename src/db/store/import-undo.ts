import { eq, inArray, sql } from 'drizzle-orm';
import type { Person } from '@/core/people/role';
import { fail, ok, type Result } from '@/core/result';
import { pricesInForce, setPrices } from '../cost/prices';
import type { Db, Tx } from '../engine/connection';
import { articles, customers, fitments, imports, jobs, lots, stockMoves } from '../tables';
import { type By, CHUNK, type Undo } from './import-plan';

/** Takes a whole import back: what it made goes, what it changed is as it was. Refused while something rests on it. */
export const undoImport = (
  db: Db,
  importId: string,
  person: Person,
  at: number,
): Promise<Result<null, { readonly code: 'refused'; readonly reasons: readonly string[] }>> =>
  db.transaction(async (tx) => {
    const [row] = await tx.select().from(imports).where(eq(imports.id, importId));
    if (row === undefined) return refuse('There is no such import.');
    if (row.undoneAt !== null) return ok(null);
    const undo = row.undo as Undo;
    const why = await takeBack(tx, undo, { importId, person, at });
    if (why.length > 0) return refuse(...why);
    await tx.update(imports).set({ undoneAt: at }).where(eq(imports.id, importId));
    return ok(null);
  });

const refuse = (...reasons: readonly string[]) => fail({ code: 'refused' as const, reasons });

const takeBack = async (tx: Tx, undo: Undo, by: By): Promise<readonly string[]> => {
  switch (undo.what) {
    case 'articles': {
      const used = await inUse(tx, undo.made);
      if (used.length > 0) return used.map((n) => `${n} has been received or ordered since: it stays, and so does the import.`);
      await deleteAll(tx, articles, undo.made);
      for (const row of undo.before)
        await tx
          .update(articles)
          .set({ ...row, changedAt: by.at })
          .where(eq(articles.id, row.id));
      return [];
    }
    case 'fitments':
      await deleteAll(tx, fitments, undo.made);
      for (const row of undo.before)
        await tx
          .update(fitments)
          .set({ ...row, changedAt: by.at })
          .where(eq(fitments.id, row.id));
      return [];
    case 'stock':
      return takeStockBack(tx, undo.made, by);
    case 'customers': {
      const served = await withJobs(tx, undo.made);
      if (served.length > 0) return served.map((name) => `${name} has brought something since: they stay, and so does the import.`);
      await deleteAll(tx, customers, undo.made);
      return [];
    }
    case 'prices': {
      const { version } = await pricesInForce(tx);
      if (version !== undo.version) return ['The prices have been changed since: they stay, and so does the import.'];
      await setPrices(tx, { personId: by.person.id, at: by.at }, 'a file taken back', undo.before);
      return [];
    }
  }
};

const inUse = async (tx: Tx, ids: readonly string[]): Promise<readonly string[]> => {
  const used: string[] = [];
  for (let at = 0; at < ids.length; at += CHUNK) {
    const rows = await tx
      .selectDistinct({ number: articles.number })
      .from(articles)
      .innerJoin(lots, eq(lots.articleId, articles.id))
      .where(inArray(articles.id, ids.slice(at, at + CHUNK)));
    used.push(...rows.map((r) => r.number));
  }
  return used;
};

const withJobs = async (tx: Tx, ids: readonly string[]): Promise<readonly string[]> => {
  const served: string[] = [];
  for (let at = 0; at < ids.length; at += CHUNK) {
    const rows = await tx
      .selectDistinct({ name: customers.name })
      .from(customers)
      .innerJoin(jobs, eq(jobs.customerId, customers.id))
      .where(inArray(customers.id, ids.slice(at, at + CHUNK)));
    served.push(...rows.map((r) => r.name));
  }
  return served;
};

const deleteAll = async (tx: Tx, table: typeof articles | typeof fitments | typeof customers, ids: readonly string[]): Promise<void> => {
  for (let at = 0; at < ids.length; at += CHUNK) await tx.delete(table).where(inArray(table.id, ids.slice(at, at + CHUNK)));
};

/** Stock goes back by moves of its own, and never below none. */
const takeStockBack = async (tx: Tx, made: readonly string[], { importId, person, at }: By): Promise<readonly string[]> => {
  const moves = [];
  for (let i = 0; i < made.length; i += CHUNK)
    moves.push(
      ...(await tx
        .select()
        .from(stockMoves)
        .where(inArray(stockMoves.id, made.slice(i, i + CHUNK)))),
    );
  const short = await tx
    .select({ lotId: lots.id, code: lots.code, number: articles.number, qty: sql<number>`sum(${stockMoves.qty})`.mapWith(Number) })
    .from(stockMoves)
    .innerJoin(lots, eq(lots.id, stockMoves.lotId))
    .innerJoin(articles, eq(articles.id, lots.articleId))
    .groupBy(lots.id);
  const left = new Map(short.map((s) => [s.lotId, s]));
  const gone = moves.filter((m) => (left.get(m.lotId)?.qty ?? 0) - m.qty < 0);
  if (gone.length > 0)
    return gone.map((m) => `Of ${left.get(m.lotId)?.number}, lot ${left.get(m.lotId)?.code}, pieces went to units since.`);
  const back = moves.map((m, i) => ({
    ...m,
    id: `${importId}-back-${i}`,
    qty: -m.qty,
    note: 'import taken back',
    at,
    personId: person.id,
  }));
  for (let i = 0; i < back.length; i += CHUNK) await tx.insert(stockMoves).values(back.slice(i, i + CHUNK));
  return [];
};
