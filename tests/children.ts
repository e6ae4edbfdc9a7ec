import { type ChildProcessByStdio, spawn } from 'node:child_process';
import type { Readable } from 'node:stream';

const children = new Set<{ readonly kill: (signal: 'SIGKILL') => void }>();
// However a run of tests ends, what it started ends with it.
process.once('exit', () => {
  for (const child of children) child.kill('SIGKILL');
});

/** Starts a Node process that goes when the tests do. @param env beside that of the tests */
export const spawnNode = (
  args: readonly string[],
  env: Readonly<Record<string, string>> = {},
): ChildProcessByStdio<null, Readable, null> => {
  const child = spawn(process.execPath, [...args], {
    env: { ...process.env, ...env } as NodeJS.ProcessEnv,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  children.add(child);
  child.once('exit', () => children.delete(child));
  return child;
};
