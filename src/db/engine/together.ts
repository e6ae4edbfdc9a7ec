import type { Client, InStatement, ResultSet, Transaction } from '@libsql/client';

type Asked = {
  readonly statement: InStatement;
  readonly answer: (rows: ResultSet) => void;
  readonly fail: (error: unknown) => void;
};
type Execute = Client['execute'];

/** What is asked in one turn of the event loop, handed on at its end. */
const gathered = (send: (asked: readonly Asked[]) => Promise<void>): ((statement: InStatement) => Promise<ResultSet>) => {
  let asked: Asked[] = [];
  const flush = (): void => {
    const all = asked;
    asked = [];
    void send(all);
  };
  return (statement) =>
    new Promise((answer, fail) => {
      if (asked.length === 0) setImmediate(flush);
      asked.push({ statement, answer, fail });
    });
};

const answerEach = async (asked: readonly Asked[], rows: Promise<readonly ResultSet[]>): Promise<void> => {
  try {
    for (const [i, set] of (await rows).entries()) asked[i]?.answer(set);
  } catch (error) {
    for (const { fail } of asked) fail(error);
  }
};

/**
 * A client of a database that lies on a server: statements that nobody waits between go there in one message, since each way there and
 * back is what costs. Inside a transaction they are done in the order in which they were asked, and all of them or none.
 */
export function together(client: Client): Client {
  const read = gathered(async (asked) => {
    const alone = (a: Asked): Promise<void> => answerEach([a], one(client.execute(a.statement)));
    if (asked.length === 1) return alone(asked[0] as Asked);
    const rows = await client.batch(statementsOf(asked), 'deferred').catch(() => undefined);
    // One that cannot be answered is nothing to those that happened to be asked with it.
    if (rows === undefined) await Promise.all(asked.map(alone));
    else await answerEach(asked, Promise.resolve(rows));
  });
  const own: Partial<Client> = {
    execute: ((statement: InStatement | string, args?: never) =>
      args === undefined && READS.test(sqlOf(statement)) ? read(statement) : client.execute(statement as string, args)) as Execute,
    transaction: (async (...mode: readonly never[]) => inOneTransaction(await client.transaction(...mode))) as Client['transaction'],
  };
  return withOwn(client, own);
}

const READS = /^\s*select/i;
const sqlOf = (statement: InStatement | string): string => (typeof statement === 'string' ? statement : statement.sql);
const statementsOf = (asked: readonly Asked[]): InStatement[] => asked.map((a) => a.statement);
const one = async (rows: Promise<ResultSet>): Promise<readonly ResultSet[]> => [await rows];

const inOneTransaction = (tx: Transaction): Transaction =>
  withOwn(tx, {
    execute: gathered((asked) =>
      answerEach(asked, asked.length === 1 ? one(tx.execute((asked[0] as Asked).statement)) : tx.batch(statementsOf(asked))),
    ),
  });

/** An object with some methods of its own; all else is done by what it stands for. */
export const withOwn = <T extends object>(of: T, own: Partial<T>): T =>
  new Proxy(of, {
    get: (target, name) => {
      const value: unknown = own[name as keyof T] ?? Reflect.get(target, name, target);
      return typeof value === 'function' && !(name in own) ? value.bind(target) : value;
    },
  });
