import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Once before the browser tests: the demo shop, made up in a folder that each of them copies; `npm test` has made it up already. */
export default function seed(): (() => void) | undefined {
  if (process.env.EDDRIN_TEST_SEED !== undefined) return undefined;
  const folder = mkdtempSync(join(tmpdir(), 'eddrin-demo-'));
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'demo/seed.ts'], {
    env: { ...process.env, EDDRIN_DATA: folder },
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  if (status !== 0) throw new Error('the demo could not be made up');
  process.env.EDDRIN_TEST_SEED = folder;
  return () => rmSync(folder, { recursive: true, force: true });
}
