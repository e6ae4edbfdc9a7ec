import type { ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { connect, createServer } from 'node:net';
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
  /** What the server has said to whoever started it. */
  readonly said: () => string;
};

/** @param seed the folder that its shop begins with; the demo's where none is given, an empty one for a shop that is not open yet @param env beside what the tests give it */
export async function startApp(seed = process.env.EDDRIN_TEST_SEED as string, env: Readonly<Record<string, string>> = {}): Promise<App> {
  const data = mkdtempSync(join(tmpdir(), 'eddrin-app-'));
  cpSync(seed, data, { recursive: true });
  const [port, rigPort] = [await freePort(), await freePort()];
  const origin = `http${'EDDRIN_TLS_CERT' in env ? 's' : ''}://localhost:${port}`;
  const rig = run(['--import', 'tsx', 'devices/rig/server.ts'], {
    EDDRIN_RIG_PORT: String(rigPort),
    EDDRIN_RIG_SPEED: String(RIG_SPEED),
    EDDRIN_RIG_TRUTH: join(data, 'rig-truth.json'),
  });
  let [rigSaid, serverSaid] = ['', ''];
  rig.stdout?.on('data', (d) => {
    rigSaid += d;
  });
  const serve = async (): Promise<ChildProcess> => {
    const server = run(['scripts/serve.mjs', String(port)], {
      EDDRIN_DATA: data,
      EDDRIN_BUILD: '.next-test',
      EDDRIN_RIG: `127.0.0.1:${rigPort}`,
      EDDRIN_API_TOKEN: TOKEN,
      NODE_ENV: 'production',
      NEXT_TELEMETRY_DISABLED: '1',
      ...env,
    });
    server.stdout?.on('data', (d) => {
      serverSaid += d;
    });
    await answers(port);
    return server;
  };
  let server = await serve().catch(async (error) => {
    await end(rig, 'SIGTERM');
    throw error;
  });
  return {
    origin,
    data,
    rigSaid: () => rigSaid,
    said: () => serverSaid,
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

/** Waits until somebody listens on a port. */
const answers = async (port: number): Promise<void> => {
  for (const until = Date.now() + 60_000; Date.now() < until; await new Promise((r) => setTimeout(r, 50))) {
    const open = await new Promise<boolean>((done) => {
      const line = connect(port, 'localhost', () => {
        // A line to a port that nobody listens on yet may be given that very port, and then reaches itself.
        done(line.localPort !== port);
        line.destroy();
      });
      line.once('error', () => done(false));
    });
    if (open) return;
  }
  throw new Error(`nobody listens on ${port}`);
};
