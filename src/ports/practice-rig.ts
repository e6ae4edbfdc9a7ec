import { spawn } from 'node:child_process';
import { RigKeeper } from './rig-run';

/** Seconds of the stand-in a second: a hold of two minutes takes eight seconds. */
const SPEED = '15';
/** How long it may take to begin, ms. */
const BEGINS_MS = 30_000;

declare global {
  // One a process, also when a bundler makes two copies of this module.
  var eddrinPracticeRig: StandIn | undefined;
}

/** `at`: the port that it listens on. */
type StandIn = { readonly keeper: RigKeeper; begun: Promise<number> | undefined; at: number };

const state = (): StandIn => {
  globalThis.eddrinPracticeRig ??= {
    keeper: new RigKeeper(() => ({ host: '127.0.0.1', port: state().at })),
    begun: undefined,
    at: 0,
  };
  return globalThis.eddrinPracticeRig;
};

/** The rig that practice units are proved on: the stand-in, one for all of them. */
export const thePracticeRig = (): RigKeeper => state().keeper;

/** Has the stand-in run: begun with the first practice run, and gone with the server. @param truthFile where it reads what each unit is like */
export const startPracticeRig = async (truthFile: string): Promise<void> => {
  const here = state();
  here.begun ??= begin(truthFile, () => {
    here.begun = undefined;
  });
  here.at = await here.begun;
};

const begin = (truthFile: string, gone: () => void): Promise<number> =>
  new Promise((ready, failed) => {
    const child = spawn(process.execPath, ['--import', 'tsx', 'devices/rig/server.ts'], {
      env: { ...process.env, EDDRIN_RIG_PORT: '0', EDDRIN_RIG_SPEED: SPEED, EDDRIN_RIG_TRUTH: truthFile },
      stdio: ['ignore', 'pipe', 'ignore'],
    });
    const late = setTimeout(() => child.kill(), BEGINS_MS);
    const end = () => child.kill();
    process.once('exit', end);
    child.stdout.on('data', (said: Buffer) => {
      const port = /127\.0\.0\.1:(\d+)/.exec(String(said))?.[1];
      if (port === undefined) return;
      clearTimeout(late);
      ready(Number(port));
    });
    child.once('exit', () => {
      clearTimeout(late);
      process.removeListener('exit', end);
      gone();
      failed(new Error('the stand-in rig of practice units ended'));
    });
  });
