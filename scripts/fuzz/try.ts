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

/** Asks, and looks at status and time. @param may take longer than a page */
export async function ask(
  what: string,
  url: string,
  init: RequestInit,
  may: keyof typeof MOST_MS,
): Promise<{ readonly answer: Answer; readonly text: string }> {
  const start = performance.now();
  try {
    const response = await fetch(url, { redirect: 'manual', signal: AbortSignal.timeout(60_000), ...init });
    const text = await response.text();
    const ms = performance.now() - start;
    const busy = response.status === 503 && text.includes('"status":503') && may === 'pool';
    const bad = response.status >= 500 && !busy ? `answered ${response.status}: ${text.slice(0, 200)}` : undefined;
    const slow = ms > MOST_MS[may] ? `took ${Math.round(ms)} ms` : undefined;
    return { answer: { what, status: response.status, ms, ...((bad ?? slow) ? { fault: bad ?? slow } : {}) }, text };
  } catch (error) {
    return { answer: { what, status: 0, ms: performance.now() - start, fault: `no answer: ${sayCause(error)}` }, text: '' };
  }
}

const sayCause = (error: unknown): string =>
  error instanceof Error ? `${error.message}${error.cause === undefined ? '' : `, ${sayCause(error.cause)}`}` : String(error);
