import { type ChildProcess, spawn } from 'node:child_process';
import { theAuth } from '@/db/people/auth';
import { PEOPLE } from '../../demo/people';

/** The application, or another one, as a process of its own. */
export const serve = (args: readonly string[], env: Readonly<Record<string, string>>): ChildProcess =>
  spawn(process.execPath, args, {
    env: { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1', ...env },
    stdio: ['ignore', 'ignore', 'inherit'],
  });

/** Asks for a page whole. */
export const get = async (port: number, path: string, cookie: string): Promise<void> => {
  const response = await fetch(`http://localhost:${port}${path}`, { headers: { cookie }, redirect: 'manual' });
  await response.text();
  if (response.status !== 200) throw new Error(`${path} answered ${response.status}`);
};

export const answers = async (port: number): Promise<void> => {
  for (const until = Date.now() + 60_000; Date.now() < until; await new Promise((r) => setTimeout(r, 100)))
    if (await fetch(`http://localhost:${port}/`, { redirect: 'manual' }).catch(() => undefined)) return;
  throw new Error(`nothing answers on ${port}`);
};

/** A session as the sign-in page would give it. */
export const sessionCookie = async (): Promise<string> => {
  const person = PEOPLE[2] as (typeof PEOPLE)[number];
  const body = { username: person.id, password: person.pin };
  const { headers } = await (await theAuth()).api.signInUsername({ body, returnHeaders: true });
  return headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
};
