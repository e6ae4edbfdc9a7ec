import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, open, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Transform, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createClient } from '@libsql/client';
import { extract } from 'tar-stream';
import { fail, ok, type Result } from '@/core/result';
import { PHOTO_FOLDER, photoName } from '../photo/photo-store';
import { checkDatabase, countsOf, type Faults, photoHashesIn } from './check-database';
import { CERTIFICATE_KEY, DATABASE, FOOTER_BYTES, hashInFooter, MANIFEST, type Manifest, ManifestSchema } from './manifest';

/**
 * Reads all of a backup and unpacks it: its end against all of its bytes, each file against the manifest, the database against itself, and
 * the photos against the database. What it unpacks stays only where all of it is whole.
 * @param into a folder that does not exist yet
 * @param keep all that is in it, or the database alone: its photos are read then, and take no room
 * @returns its manifest, or everything that is wrong with it
 */
export async function unpackBackup(file: string, into: string, keep: Keep): Promise<Result<Manifest, Faults>> {
  await mkdir(into, { recursive: true, mode: 0o700 });
  const unpacked = await unpack(file, into, keep).catch((error: unknown) =>
    fail<Faults>([`It cannot be read to its end: ${error instanceof Error ? error.message : String(error)}.`]),
  );
  const faults = unpacked.ok ? await contentFaults(unpacked.value, into) : unpacked.error;
  if (unpacked.ok && faults.length === 0) return unpacked;
  await rm(into, { recursive: true, force: true });
  return fail(faults);
}

type Keep = 'all' | 'database';
const MOST_MANIFEST_BYTES = 200_000_000;
/** Names that a backup may hold: none leads out of the folder that it is unpacked into. */
const isOurs = (name: string): boolean =>
  [DATABASE, CERTIFICATE_KEY, MANIFEST].includes(name) || new RegExp(`^${PHOTO_FOLDER}/[0-9a-f]{64}(\\.small)?\\.webp$`).test(name);

const unpack = async (file: string, into: string, keep: Keep): Promise<Result<Manifest, Faults>> => {
  const handle = await open(file, 'r');
  const { size } = await handle.stat();
  const end = Buffer.alloc(Math.min(FOOTER_BYTES, size));
  await handle.read(end, 0, end.length, size - end.length);
  await handle.close();
  const told = hashInFooter(end.toString('latin1'));
  if (told === undefined) return fail(['It is no backup of this program, or its end is missing.']);
  const [whole, found] = [createHash('sha256'), new Map<string, { readonly bytes: number; readonly sha256: string }>()];
  let manifest = '';
  const tar = extract();
  const reading = pipeline(
    createReadStream(file, { end: size - FOOTER_BYTES - 1 }),
    new Transform({
      transform: (chunk, _, done) => {
        whole.update(chunk);
        done(null, chunk);
      },
    }),
    tar,
  );
  const taking = (async () => {
    for await (const entry of tar) {
      const { name } = entry.header;
      if (!isOurs(name)) throw new Error(`it holds “${name}”, which is none of a shop’s files`);
      const hash = createHash('sha256');
      let bytes = 0;
      const counted = new Transform({
        transform: (chunk, _, done) => {
          hash.update(chunk);
          bytes += chunk.length;
          done(null, chunk);
        },
      });
      if (name === MANIFEST) {
        if ((entry.header.size ?? 0) > MOST_MANIFEST_BYTES) throw new Error('its list of contents is too long');
        const parts: Buffer[] = [];
        for await (const chunk of entry) parts.push(chunk as Buffer);
        manifest = Buffer.concat(parts).toString('utf8');
        continue;
      }
      const to = join(into, name);
      await mkdir(dirname(to), { recursive: true, mode: 0o700 });
      const kept = keep === 'all' || name === DATABASE ? createWriteStream(to, { mode: 0o600, flush: true }) : nowhere();
      await pipeline(entry, counted, kept);
      found.set(name, { bytes, sha256: hash.digest('hex') });
    }
  })();
  await Promise.all([reading, taking]);
  const parsed = ManifestSchema.safeParse(readJson(manifest));
  const faults = [
    ...(whole.digest('hex') === told ? [] : ['It was changed since it was made: its bytes do not give the hash at its end.']),
    ...(parsed.success ? listFaults(parsed.data, found) : ['Its list of contents is missing or cannot be read.']),
  ];
  return parsed.success && faults.length === 0 ? ok(parsed.data) : fail(faults);
};

const nowhere = (): Writable => new Writable({ write: (_chunk, _encoding, done) => done() });

const readJson = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
};

const listFaults = (manifest: Manifest, found: ReadonlyMap<string, { readonly bytes: number; readonly sha256: string }>): Faults => {
  const listed = new Set(manifest.files.map((f) => f.name));
  const [missing, changed] = [
    manifest.files.filter((f) => !found.has(f.name)).map((f) => f.name),
    manifest.files.filter((f) => found.has(f.name) && found.get(f.name)?.sha256 !== f.sha256).map((f) => f.name),
  ];
  const more = [...found.keys()].filter((name) => !listed.has(name));
  return [
    ...missing.map((name) => `${name} is missing in it.`),
    ...changed.map((name) => `${name} was changed since it was made.`),
    ...more.map((name) => `${name} is in it and stands on no list.`),
  ];
};

/** The shop that was unpacked, against itself: its database, as many rows as were counted, and the photos that it refers to. */
const contentFaults = async (manifest: Manifest, folder: string): Promise<Faults> => {
  const faults = await checkDatabase(join(folder, DATABASE));
  if (faults.length > 0) return faults;
  const client = createClient({ url: `file:${join(folder, DATABASE)}` });
  try {
    const counts = await countsOf(client);
    const otherwise = Object.entries(manifest.counts).filter(([table, n]) => counts[table] !== n);
    const names = new Set(manifest.files.map((f) => f.name));
    const lost = (await photoHashesIn(client)).filter((hash) => !names.has(`${PHOTO_FOLDER}/${photoName(hash)}`));
    return [
      ...otherwise.map(([table, n]) => `${table} has ${counts[table] ?? 0} rows, and had ${n}.`),
      ...(lost.length === 0 ? [] : [`${lost.length} photos that it refers to are not in it, such as ${lost[0]}.`]),
    ];
  } finally {
    client.close();
  }
};
