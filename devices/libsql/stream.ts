import Database from 'libsql';
import { z } from 'zod';
import { newTurns } from '@/db/engine/turns';
import { fromWire, toWire, WireValue } from './value';

const Statement = z.object({
  sql: z.string().nullish(),
  sql_id: z.number().nullish(),
  args: z.array(WireValue).default([]),
  named_args: z.array(z.object({ name: z.string(), value: WireValue })).default([]),
  want_rows: z.boolean().nullish(),
});
type Condition =
  | { readonly type: 'ok' | 'error'; readonly step: number }
  | { readonly type: 'not'; readonly cond: Condition }
  | { readonly type: 'and' | 'or'; readonly conds: readonly Condition[] }
  | { readonly type: 'is_autocommit' };
const Condition: z.ZodType<Condition> = z.lazy(() =>
  z.union([
    z.object({ type: z.enum(['ok', 'error']), step: z.number() }),
    z.object({ type: z.literal('not'), cond: Condition }),
    z.object({ type: z.enum(['and', 'or']), conds: z.array(Condition) }),
    z.object({ type: z.literal('is_autocommit') }),
  ]),
);

/** What a stream is asked. @source the open Hrana protocol, version 2, "Requests" */
export const StreamRequest = z.discriminatedUnion('type', [
  z.object({ type: z.literal('close') }),
  z.object({ type: z.literal('execute'), stmt: Statement }),
  z.object({
    type: z.literal('batch'),
    batch: z.object({ steps: z.array(z.object({ condition: Condition.nullish(), stmt: Statement })) }),
  }),
  z.object({ type: z.literal('sequence'), sql: z.string().nullish(), sql_id: z.number().nullish() }),
  z.object({ type: z.literal('store_sql'), sql_id: z.number(), sql: z.string() }),
  z.object({ type: z.literal('close_sql'), sql_id: z.number() }),
  z.object({ type: z.literal('get_autocommit') }),
]);
export type StreamRequest = z.output<typeof StreamRequest>;
type Statement = z.output<typeof Statement>;

type WireError = { readonly message: string; readonly code: string };
type Rows = {
  readonly cols: readonly { readonly name: string; readonly decltype: string | null }[];
  readonly rows: readonly (readonly WireValue[])[];
  readonly affected_row_count: number;
  readonly last_insert_rowid: string | null;
};

type Answer = { readonly type: 'ok'; readonly response: object } | { readonly type: 'error'; readonly error: WireError };
const READS = /^\s*(select|explain|pragma)/i;

/** Writers of the file take turns: a statement that was refused for another's lock would keep its connection from committing. */
const turn = newTurns();

/** Connections that no stream has now: opening one reads all of the schema. */
const idle: Database.Database[] = [];
const IDLE_AT_MOST = 8;

/** One stream of a client: a connection of its own to the file, on which a transaction may stay open from one request to the next. */
export class Stream {
  private readonly db: Database.Database;
  private readonly texts = new Map<number, string>();
  /** Ends this stream's turn to write; set while it has it. */
  private endTurn: (() => void) | undefined;

  constructor(file: string) {
    this.db = idle.pop() ?? new Database(file);
  }

  /** What was begun and not committed is undone at once: a connection lives on while a statement of it does. */
  close(): void {
    if (this.db.inTransaction) this.db.exec('rollback');
    this.rest();
    if (idle.length < IDLE_AT_MOST) idle.push(this.db);
    else this.db.close();
  }

  /** Answers one request. @returns a response, or the error as the wire has it */
  async answer(request: StreamRequest): Promise<Answer> {
    try {
      return { type: 'ok', response: { type: request.type, ...(await this.done(request)) } };
    } catch (error) {
      return { type: 'error', error: wireError(error) };
    }
  }

  private async done(request: StreamRequest): Promise<object> {
    switch (request.type) {
      case 'close':
        return {};
      case 'execute':
        return { result: await this.execute(request.stmt) };
      case 'batch':
        return { result: await this.batch(request.batch.steps) };
      case 'sequence':
        this.endTurn ??= await turn();
        this.db.exec(this.textOf(request));
        if (!this.db.inTransaction) this.rest();
        return {};
      case 'store_sql':
        this.texts.set(request.sql_id, request.sql);
        return {};
      case 'close_sql':
        this.texts.delete(request.sql_id);
        return {};
      case 'get_autocommit':
        return { is_autocommit: !this.db.inTransaction };
    }
  }

  private textOf({ sql, sql_id }: { readonly sql?: string | null | undefined; readonly sql_id?: number | null | undefined }): string {
    const text = sql ?? this.texts.get(sql_id ?? Number.NaN);
    if (text === undefined) throw new Error('there is no such text');
    return text;
  }

  private async execute(stmt: Statement): Promise<Rows> {
    if (!READS.test(this.textOf(stmt))) this.endTurn ??= await turn();
    try {
      return this.executed(stmt);
    } finally {
      if (!this.db.inTransaction) this.rest();
    }
  }

  private rest(): void {
    this.endTurn?.();
    this.endTurn = undefined;
  }

  private executed(stmt: Statement): Rows {
    const prepared = this.db.prepare(this.textOf(stmt));
    prepared.safeIntegers(true);
    const named = Object.fromEntries(stmt.named_args.map(({ name, value }) => [name.replace(/^[:@$]/, ''), fromWire(value)]));
    const args = stmt.named_args.length > 0 ? named : stmt.args.map(fromWire);
    try {
      prepared.raw(true);
    } catch {
      // It gives no rows.
      const { changes, lastInsertRowid } = prepared.run(args);
      return { cols: [], rows: [], affected_row_count: changes, last_insert_rowid: String(lastInsertRowid) };
    }
    const cols = prepared.columns().map((c) => ({ name: c.name, decltype: c.type }));
    const rows = prepared.all(args).map((row) => Array.from(row as Iterable<unknown>, toWire));
    return { cols, rows, affected_row_count: 0, last_insert_rowid: null };
  }

  /** Steps one after another, each where its condition holds; what went wrong with one is told beside the others. */
  private async batch(steps: readonly { readonly condition?: Condition | null | undefined; readonly stmt: Statement }[]): Promise<object> {
    const results: (Rows | null)[] = [];
    const errors: (WireError | null)[] = [];
    const holds = (c: Condition): boolean => {
      switch (c.type) {
        case 'ok':
          return results[c.step] != null;
        case 'error':
          return errors[c.step] != null;
        case 'not':
          return !holds(c.cond);
        case 'and':
          return c.conds.every(holds);
        case 'or':
          return c.conds.some(holds);
        case 'is_autocommit':
          return !this.db.inTransaction;
      }
    };
    for (const { condition, stmt } of steps) {
      let [result, error]: [Rows | null, WireError | null] = [null, null];
      if (condition == null || holds(condition)) {
        try {
          result = await this.execute(stmt);
        } catch (thrown) {
          error = wireError(thrown);
        }
      }
      results.push(result);
      errors.push(error);
    }
    return { step_results: results, step_errors: errors };
  }
}

const wireError = (error: unknown): WireError => {
  const { message = String(error), code = 'UNKNOWN' } = error as { readonly message?: string; readonly code?: string };
  return { message, code };
};
