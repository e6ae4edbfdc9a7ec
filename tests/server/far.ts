import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawnNode } from '../children';

/** A stand-in of a server elsewhere. */
export type StandIn = { readonly url: string /** Its first words. */; readonly said: string; readonly stop: () => void };
export type Far = StandIn & { readonly file: string };

/** Starts a stand-in and waits until it says where it listens. */
export const startStandIn = async (script: string, env: Readonly<Record<string, string>> = {}): Promise<StandIn> => {
  const server = spawnNode(['--import', 'tsx', script], env);
  const said = await new Promise<string>((hear) => server.stdout.once('data', (d) => hear(String(d))));
  return { url: /http:\S+/.exec(said)?.[0] ?? '', said, stop: () => void server.kill('SIGKILL') };
};

/** A database server's stand-in, and the file behind it. @param env beside the file's: how long an answer takes, how long a stream is held */
export const startFar = async (env: Readonly<Record<string, string>> = {}): Promise<Far> => {
  const folder = mkdtempSync(join(tmpdir(), 'eddrin-far-'));
  const file = join(folder, 'shop.db');
  const { url, said, stop } = await startStandIn('devices/libsql/server.ts', { EDDRIN_LIBSQL_FILE: file, ...env });
  return {
    url,
    said,
    file,
    stop: () => {
      stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
};
