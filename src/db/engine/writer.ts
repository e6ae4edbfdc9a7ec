import type { Client, InStatement, Transaction, TransactionMode } from '@libsql/client';
import { withOwn } from './together';
import { newTurns } from './turns';

const READS = /^\s*(select|explain|pragma\s+\w+\s*$)/i;

/**
 * A client whose writes take turns. libSQL waits for a file's lock inside a synchronous call: a second writer of the same process would
 * stop its event loop until the busy timeout, so a transaction opens only when no other is open, and single writes wait for it too.
 * Reads do not wait. A transaction's turn ends when it is committed, rolled back or closed.
 */
export function queueWrites(client: Client): Client {
  const turn = newTurns();
  const alone = async <T>(work: () => Promise<T>): Promise<T> => {
    const end = await turn();
    try {
      return await work();
    } finally {
      end();
    }
  };
  const execute = (statement: InStatement | string, args?: never): Promise<never> => {
    const sql = typeof statement === 'string' ? statement : statement.sql;
    const run = () => client.execute(statement as string, args) as Promise<never>;
    return READS.test(sql) ? run() : alone(run);
  };
  const transaction = async (mode: TransactionMode = 'write'): Promise<Transaction> => {
    const end = await turn();
    try {
      return endingTurn(await client.transaction(mode), end);
    } catch (error) {
      end();
      throw error;
    }
  };
  const queued: Partial<Client> = {
    execute: execute as Client['execute'],
    batch: (statements, mode) => alone(() => client.batch(statements, mode)),
    migrate: (statements) => alone(() => client.migrate(statements)),
    executeMultiple: (sql) => alone(() => client.executeMultiple(sql)),
    transaction: transaction as Client['transaction'],
  };
  return withOwn(client, queued);
}

const endingTurn = (tx: Transaction, end: () => void): Transaction => {
  const ending = (work: () => Promise<void>) => async (): Promise<void> => {
    try {
      await work();
    } finally {
      end();
    }
  };
  const own: Partial<Transaction> = {
    commit: ending(() => tx.commit()),
    rollback: ending(() => tx.rollback()),
    close: () => {
      tx.close();
      end();
    },
  };
  return withOwn(tx, own);
};
