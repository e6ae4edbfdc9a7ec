import type { ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawnNode } from '../children';

export const TOKEN = 'a-token-for-the-tests';
/** Rig seconds a second: a hold of two minutes takes four seconds. */
const RIG_SPEED = 30;

/** The built application and its stand-in rig, on a copy of the demo shop of their own. */
export type App = {
  readonly origin: string;
  readonly data: string;
  /** Kills the server as a power cut would. */
  readonly kill: () => Promise<void>;
  readonly restart: () => Promise<void>;
  readonly stop: () => Promise<void>;
  /** What the stand-in rig has said so far. */
  readonly rigSaid: () => string;
};

/** @param seed the folder that its shop begins with; the demo's where none is given */
export async function startApp(seed = process.env.EDDRIN_TEST_SEED as string): Promise<App> {
  const data = mkdtempSync(join(tmpdir(), 'eddrin-app-'));
  cpSync(seed, data, { recursive: true });
  const [port, rigPort] = [await freePort(), await freePort()];
  const origin = `http://localhost:${port}`;
  const rig = run(['--import', 'tsx', 'devices/rig/server.ts'], {
    EDDRIN_RIG_PORT: String(rigPort),
    EDDRIN_RIG_SPEED: String(RIG_SPEED),
    EDDRIN_RIG_TRUTH: join(data, 'rig-truth.json'),
  });
  let said = '';
  rig.stdout?.on('data', (d) => {
    said += d;
  });
  const serve = async (): Promise<ChildProcess> => {
    const server = run(['scripts/serve.mjs', String(port)], {
      EDDRIN_DATA: data,
      EDDRIN_BUILD: '.next-test',
      EDDRIN_RIG: `127.0.0.1:${rigPort}`,
      EDDRIN_API_TOKEN: TOKEN,
      NODE_ENV: 'production',
      NEXT_TELEMETRY_DISABLED: '1',
    });
    await answers(`${origin}/sign-in`);
    return server;
  };
  let server = await serve().catch(async (error) => {
    await end(rig, 'SIGTERM');
    throw error;
  });
  return {
    origin,
    data,
    rigSaid: () => said,
    kill: () => end(server, 'SIGKILL'),
    restart: async () => {
      server = await serve();
    },
    stop: async () => {
      await Promise.all([end(server, 'SIGTERM'), end(rig, 'SIGTERM')]);
      rmSync(data, { recursive: true, force: true });
    },
  };
}

const run = (args: readonly string[], env: Readonly<Record<string, string>>): ChildProcess => {
  const child = spawnNode(args, env);
  // What nobody reads would fill its pipe and hold it up.
  child.stdout?.resume();
  return child;
};

const end = async (child: ChildProcess, signal: NodeJS.Signals): Promise<void> => {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = once(child, 'exit');
  child.kill(signal);
  await gone;
};

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });

/** Waits until an address answers. */
const answers = async (url: string): Promise<void> => {
  for (const until = Date.now() + 60_000; Date.now() < until; await new Promise((r) => setTimeout(r, 50))) {
    const response = await fetch(url).catch(() => undefined);
    if (response !== undefined) return;
  }
  throw new Error(`${url} does not answer`);
};
