import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { locale } from '@/core/locale';
import { fail, ok, type Result } from '@/core/result';
import type { TASKS } from './tasks';

type Task = keyof typeof TASKS;
type Input<T extends Task> = Parameters<(typeof TASKS)[T]>[0];
type Output<T extends Task> = Awaited<ReturnType<(typeof TASKS)[T]>>;

/** Why a task was not done: too many wait, it took too long, or more memory than a thread may have. */
export type NotDone = 'too many at once' | 'too long' | 'too large';

export const sayNotDone = (why: NotDone): string => {
  switch (why) {
    case 'too many at once':
      return 'The server is busy with other calculations. Try again in a moment.';
    case 'too long':
      return 'That took longer than the server gives to one calculation. Send less at once, or try again when it is less busy.';
    case 'too large':
      return 'That needs more memory than the server gives to one calculation. Send less at once.';
  }
};

/** How long a task may take with its wait, ms; files may be large. */
const LIMIT_MS = 15_000;
const FILE_LIMIT_MS = 60_000;
const limitOf = (task: Task): number => (task === 'read-file' || task.startsWith('write-') ? FILE_LIMIT_MS : LIMIT_MS);

/** Tasks that wait at the most, and the memory of a thread, MB: a workbook takes more than anything on the wire. */
const MOST_WAITING = 100;
const MOST_MB = { wire: 384, shop: 512, files: 768, day: 384 };
const MOST_YOUNG_MB = 32;
/** Threads give way to the one that answers pages; a page waits for its plan. */
const NICE = { wire: 10, shop: 10, files: 10, day: 0 };
/** A thread with nothing to do ends after this long, ms; one of each pool stays. */
const IDLE_MS = 60_000;

type PoolName = keyof typeof NICE;
const newPool = (name: PoolName, maxThreads: number): Piscina =>
  new Piscina({
    // The build makes it of src/pool/thread.ts.
    filename: process.env.EDDRIN_POOL as string,
    minThreads: 1,
    maxThreads,
    idleTimeout: IDLE_MS,
    niceIncrement: NICE[name],
    resourceLimits: { maxOldGenerationSizeMb: MOST_MB[name], maxYoungGenerationSizeMb: MOST_YOUNG_MB },
  });

declare global {
  // One set of threads a process, also when a bundler makes two copies of this module.
  var eddrinPools: { readonly [P in PoolName]: Piscina } | undefined;
}

/** The threads: scripts and instruments wait for each other, not the shop for them, nor a quote for somebody’s file, nor the plan for a paper. Begun at the server's start, so that nobody waits for that. */
export const thePools = () => {
  const most = Math.min(4, Math.max(1, availableParallelism() - 1));
  globalThis.eddrinPools ??= {
    wire: newPool('wire', most),
    shop: newPool('shop', most),
    files: newPool('files', 1),
    day: newPool('day', 1),
  };
  return globalThis.eddrinPools;
};

const poolOf = (task: Task): PoolName => {
  switch (task) {
    case 'compute':
      return 'wire';
    case 'read-file':
    case 'write-csv':
    case 'write-xlsx':
      return 'files';
    case 'plan':
    case 'keep-plan':
    case 'promise':
      return 'day';
    default:
      return 'shop';
  }
};

/** Does a task in a thread of its own, so that pages are answered meanwhile. @throws what the task throws: a fault of the program */
export async function inPool<T extends Task>(task: T, input: Input<T>): Promise<Result<Output<T>, NotDone>> {
  const pool = thePools()[poolOf(task)];
  if (pool.queueSize >= MOST_WAITING) return fail('too many at once');
  try {
    return ok((await pool.run({ task, input, locale: locale() }, { signal: AbortSignal.timeout(limitOf(task)) })) as Output<T>);
  } catch (error) {
    const why = whyNot(error);
    if (why === undefined) throw error;
    return fail(why);
  }
}

const whyNot = (error: unknown): NotDone | undefined => {
  const { name, code } = error as { readonly name?: string; readonly code?: string };
  if (name === 'AbortError') return 'too long';
  return code === 'ERR_WORKER_OUT_OF_MEMORY' ? 'too large' : undefined;
};
