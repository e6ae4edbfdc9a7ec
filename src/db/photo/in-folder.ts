import { mkdir, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { PhotoStore } from './port';

/** Photos as files of a folder that is never served. */
export const inFolder = (folder: string): PhotoStore => ({
  get: (name) =>
    readFile(join(folder, name)).catch((error: NodeJS.ErrnoException) => {
      if (error.code === 'ENOENT') return undefined;
      throw error;
    }),
  // Written beside and renamed, so that a crash leaves no half picture under a whole one's name.
  put: async (name, bytes) => {
    const file = join(folder, name);
    await mkdir(folder, { recursive: true });
    await writeFile(`${file}.part`, bytes);
    await rename(`${file}.part`, file);
  },
  drop: (name) => rm(join(folder, name), { force: true }),
  sweep: async () => {
    const files = await readdir(folder).catch(() => []);
    await Promise.all(files.filter((f) => f.endsWith('.part')).map((f) => rm(join(folder, f), { force: true })));
  },
});
