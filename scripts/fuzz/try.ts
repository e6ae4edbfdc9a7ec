import { existsSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import type { Random } from '../../devices/hand/random';
import { argument } from './argument';
import type { Known } from './value';

/** The shop that is tried, and how to get at it. */
export type Target = {
  readonly origin: string;
  readonly token: string;
  /** A signed-in cookie by person; none for a stranger. */
  readonly cookies: ReadonlyMap<string, string>;
  readonly known: (random: Random) => Promise<Known>;
  /** Somebody is told that they are signed out: was their session ended, by themselves or an owner? They are signed in again then. */
  readonly wasEnded: (personId: string, cookie: string) => Promise<'ended' | 'open'>;
};

/** What one try came to. */
export type Answer = {
  readonly what: string;
  readonly status: number;
  readonly ms: number;
  /** What an action's answer or a run came to, as its code. */
  readonly code?: string;
  /** Why it is a fault; undefined where it is none. */
  readonly fault?: string;
};

/** Work that the server itself gives more time, ms; all else is answered within a second, or `--slowest`. */
const MOST_MS = { page: argument('slowest', 1000), pool: 16_000 };

/** How long this process itself stood still, ms: what it did, or what the machine did not give it, is not the server's time. */
let stood = 0;
let looked = performance.now();
const [LOOK_MS, USUAL_LATE_MS] = [10, 10];
setInterval(() => {
  const now = performance.now();
  stood += Math.max(0, now - looked - LOOK_MS - USUAL_LATE_MS);
  looked = now;
}, LOOK_MS).unref();

/** What the host of a virtual machine has given to others instead, the mean of its cores, ms; 0 where that is not told. @source proc_stat(5), "steal", in hundredths of a second */
const stolenMs = (): number => {
  const steal = existsSync('/proc/stat') ? Number(/^cpu +(?:\d+ +){7}(\d+)/.exec(readFileSync('/proc/stat', 'utf8'))?.[1] ?? 0) : 0;
  return (steal * 10) / availableParallelism();
};

/** Asks, and looks at status and time. @param may take longer than a page */
export async function ask(
  what: string,
  url: string,
  init: RequestInit,
  may: keyof typeof MOST_MS,
): Promise<{ readonly answer: Answer; readonly text: string }> {
  const [start, before, stolen] = [performance.now(), stood, stolenMs()];
  const since = (): number => performance.now() - start - Math.max(stood - before, stolenMs() - stolen);
  try {
    const response = await fetch(url, { redirect: 'manual', signal: AbortSignal.timeout(60_000), ...init });
    const text = await response.text();
    const ms = since();
    const busy = response.status === 503 && text.includes('"status":503') && may === 'pool';
    const bad = response.status >= 500 && !busy ? `answered ${response.status}: ${text.slice(0, 200)}` : undefined;
    const slow = ms > MOST_MS[may] ? `took ${Math.round(ms)} ms` : undefined;
    return { answer: { what, status: response.status, ms, ...((bad ?? slow) ? { fault: bad ?? slow } : {}) }, text };
  } catch (error) {
    return { answer: { what, status: 0, ms: since(), fault: `no answer: ${sayCause(error)}` }, text: '' };
  }
}

const sayCause = (error: unknown): string =>
  error instanceof Error ? `${error.message}${error.cause === undefined ? '' : `, ${sayCause(error.cause)}`}` : String(error);
