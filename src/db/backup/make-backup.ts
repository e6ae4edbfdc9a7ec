import { createHash, type Hash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, open, rename, rm, stat } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createClient } from '@libsql/client';
import { type Pack, pack } from 'tar-stream';
import { PHOTO_FOLDER, photoName, photoStoreOf } from '../photo/photo-store';
import type { PhotoStore } from '../photo/port';
import { countsOf, photoHashesIn, schemaOf } from './check-database';
import { CERTIFICATE_KEY, DATABASE, footerOf, MANIFEST, type Manifest } from './manifest';

/** How far a backup is, from 0 to 1, and with what. */
export type Progress = { readonly part: number; readonly doing: string };

/** The database's copy counts as much as so many bytes of photos, in what is shown of the progress. */
const COPY_SHARE = 0.2;

/**
 * Makes one file with all of a shop, while people work in it: a copy of the database as of one moment (`VACUUM INTO`, which reads in a
 * transaction of its own and holds up no write), every photo that it refers to, and the key of the certificates. Runs in a process of its
 * own (`scripts/backup.ts`): the copy is made in one call.
 * @param data the shop's folder
 * @param file where to; it is written beside and renamed once it is whole
 * @throws what the file system throws; nothing is left half written under the file's name
 */
export async function makeBackup(data: string, file: string, say: (p: Progress) => void, now: number): Promise<Manifest> {
  await mkdir(dirname(file), { recursive: true, mode: 0o700 });
  const work = `${file}.making`;
  await rm(work, { recursive: true, force: true });
  await mkdir(work, { mode: 0o700 });
  try {
    const copy = join(work, DATABASE);
    say({ part: 0, doing: 'copying the database' });
    const about = await copyDatabase(join(data, DATABASE), copy);
    const part = join(work, 'part');
    const manifest = await writeFile(part, copy, data, { ...about, madeAt: now }, say);
    await rename(part, file);
    await syncFolder(dirname(file));
    say({ part: 1, doing: `${basename(file)} is written` });
    return manifest;
  } finally {
    await rm(work, { recursive: true, force: true });
  }
}

const copyDatabase = async (from: string, to: string) => {
  const source = createClient({ url: `file:${from}` });
  try {
    await source.execute({ sql: 'vacuum into ?', args: [to] });
  } finally {
    source.close();
  }
  const copy = createClient({ url: `file:${to}` });
  try {
    return { schema: await schemaOf(copy), counts: await countsOf(copy), photos: await photoHashesIn(copy) };
  } finally {
    copy.close();
  }
};

const isThere = (file: string): Promise<boolean> =>
  stat(file).then(
    () => true,
    () => false,
  );

const writeFile = async (
  file: string,
  copy: string,
  data: string,
  { schema, counts, madeAt, photos }: Pick<Manifest, 'schema' | 'counts' | 'madeAt'> & { readonly photos: readonly string[] },
  say: (p: Progress) => void,
): Promise<Manifest> => {
  const tar = pack();
  const whole = createHash('sha256');
  const out = pipeline(tar, hashing(whole), createWriteStream(file, { mode: 0o600, flush: true }));
  // A full disk is told by `out`; what feeds it must not wait for a reader that has gone.
  const failed = out.then(
    () => new Promise<never>(() => undefined),
    (error) => Promise.reject(error),
  );
  const files: Manifest['files'] = [];
  const feed = async (): Promise<void> => {
    files.push(await addFile(tar, DATABASE, copy));
    const key = join(data, CERTIFICATE_KEY);
    if (await isThere(key)) files.push(await addFile(tar, CERTIFICATE_KEY, key));
    const store = photoStoreOf(data);
    for (const [i, hash] of photos.entries()) {
      say({ part: COPY_SHARE + ((1 - COPY_SHARE) * i) / photos.length, doing: 'packing photos' });
      for (const size of ['full', 'small'] as const) files.push(...(await addPhoto(tar, store, photoName(hash, size))));
    }
  };
  await Promise.race([feed(), failed]);
  const manifest: Manifest = { eddrin: 'backup', version: 1, madeAt, schema, counts, files };
  tar.entry({ name: MANIFEST, mode: 0o600 }, JSON.stringify(manifest, null, 1));
  tar.finalize();
  await out;
  const end = await open(file, 'a');
  try {
    await end.write(footerOf(whole.digest('hex')));
    await end.sync();
  } finally {
    await end.close();
  }
  return manifest;
};

const addFile = async (tar: Pack, name: string, from: string): Promise<Manifest['files'][number]> => {
  const { size } = await stat(from);
  const hash = createHash('sha256');
  await pipeline(createReadStream(from), hashing(hash), tar.entry({ name, size, mode: 0o600 }));
  return { name, bytes: size, sha256: hash.digest('hex') };
};

/** A photo that is missing is found when the backup is checked. */
const addPhoto = async (tar: Pack, store: PhotoStore, name: string): Promise<Manifest['files']> => {
  const bytes = await store.get(name);
  if (bytes === undefined) return [];
  const entry = `${PHOTO_FOLDER}/${name}`;
  await new Promise<void>((done, failed) => {
    tar.entry({ name: entry, mode: 0o600 }, Buffer.from(bytes), (error) => (error == null ? done() : failed(error)));
  });
  return [{ name: entry, bytes: bytes.length, sha256: createHash('sha256').update(bytes).digest('hex') }];
};

const hashing = (hash: Hash): Transform =>
  new Transform({
    transform: (chunk, _, done) => {
      hash.update(chunk);
      done(null, chunk);
    },
  });

/** The rename itself is on the disk too. */
const syncFolder = async (folder: string): Promise<void> => {
  const handle = await open(folder, 'r');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
};
