import { randomUUID } from 'node:crypto';
import { copyFileSync, existsSync, renameSync, rmSync, statSync } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { setPriority } from 'node:os';
import { basename, join, resolve } from 'node:path';
import type { Line } from '../src/db/backup/backup-line';
import { checkShop } from '../src/db/backup/check-shop';
import { makeBackup } from '../src/db/backup/make-backup';
import { finishRestore, restoreBackup } from '../src/db/backup/restore';
import { unpackBackup } from '../src/db/backup/verify-backup';

/** What is practised is in the copy, but no part of how much the shop's work is. */
const PRACTISED = ['practice_cards', 'practice_tries', 'practice_jobs', 'practice_cases', 'case_tries'];
const rowsOfWork = (counts: Readonly<Record<string, number>>): number =>
  Object.entries(counts).reduce((sum, [table, n]) => sum + (PRACTISED.includes(table) ? 0 : n), 0);

// node --import tsx scripts/backup.ts make FILE [SECOND FOLDER] | verify FILE | restore FILE | check: what is done with the shop of EDDRIN_DATA as a whole.
// A line of JSON for each thing it says. A process of its own, below the one that answers pages.

const GIVES_WAY = 10;
const elsewhere = !(process.env.DATABASE_URL ?? 'file:').startsWith('file:');
const data = resolve(process.env.EDDRIN_DATA ?? 'shop');
const [doing, file = '', second] = process.argv.slice(2);
const say = (line: Line): void => void process.stdout.write(`${JSON.stringify(line)}\n`);
const end = (faults: readonly string[]): void => {
  say({ kind: 'end', faults });
  process.exitCode = faults.length === 0 ? 0 : 1;
};

/** A copy that is not whole never stands under its name. */
const copyTo = async (folder: string): Promise<void> => {
  await mkdir(folder, { recursive: true });
  const to = join(folder, basename(file));
  copyFileSync(file, `${to}.part`);
  renameSync(`${to}.part`, to);
};

const verified = async (of: string): Promise<readonly string[]> => {
  const work = `${of}.verifying-${randomUUID()}`;
  try {
    const unpacked = await unpackBackup(of, work, 'database');
    return unpacked.ok ? [] : unpacked.error;
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
};

const DO: { readonly [what: string]: () => Promise<readonly string[]> } = {
  make: async () => {
    if (elsewhere) return ['The database lies on another server (DATABASE_URL): it is backed up there.'];
    if (!existsSync(join(data, 'eddrin.db'))) return [`There is no shop in ${data}.`];
    const manifest = await makeBackup(data, file, (p) => say({ kind: 'progress', ...p }), Date.now());
    say({ kind: 'progress', part: 0.95, doing: 'reading it again' });
    const faults = await verified(file);
    say({
      kind: 'made',
      bytes: statSync(file).size,
      files: manifest.files.length,
      rows: rowsOfWork(manifest.counts),
    });
    if (faults.length > 0 || second === undefined || second === '') return faults;
    say({ kind: 'progress', part: 0.98, doing: `copying it to ${second}` });
    await copyTo(second);
    return (await verified(join(second, basename(file)))).map((fault) => `The copy in ${second}: ${fault}`);
  },
  verify: () => verified(file),
  restore: async () => {
    const restored = await restoreBackup(file, data, Date.now());
    if (!restored.ok) return restored.error;
    say({ kind: 'restored', madeAt: restored.value.manifest.madeAt, kept: restored.value.kept ?? null });
    return [];
  },
  check: async () => {
    finishRestore(data);
    return checkShop(data);
  },
};

setPriority(GIVES_WAY);
process.umask(0o077);
const work = DO[doing ?? ''];
if (work === undefined) throw new Error('make FILE, verify FILE, restore FILE or check');
end(await work().catch((error: NodeJS.ErrnoException) => [sayTrouble(error)]));

function sayTrouble(error: NodeJS.ErrnoException): string {
  if (error.code === 'ENOSPC' || /SQLITE_FULL|disk is full/i.test(error.message)) return 'The disk is full: nothing was left half written.';
  if (error.code === 'ENOENT') return `There is no ${error.path ?? 'such file'}.`;
  if (error.code === 'EACCES' || error.code === 'EPERM' || error.code === 'EROFS') return `${error.path ?? 'It'} may not be written.`;
  return error.message;
}
