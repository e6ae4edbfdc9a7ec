import { type ChildProcess, type SpawnOptions, spawn } from 'node:child_process';

const children = new Set<ChildProcess>();
// However a run of tests ends, what it started ends with it.
process.once('exit', () => {
  for (const child of children) child.kill('SIGKILL');
});

/** Starts a Node process that goes when the tests do. */
export const spawnNode = (args: readonly string[], options: SpawnOptions): ChildProcess => {
  const child = spawn(process.execPath, [...args], options);
  children.add(child);
  child.once('exit', () => children.delete(child));
  return child;
};
