import { spawnSync } from 'node:child_process';
import { createHash, createPrivateKey, generateKeyPairSync, sign } from 'node:crypto';
import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import { beforeAll, describe, expect, test } from 'vitest';
import type { Run } from '@/core/prove/run';
import { type CertificateFile, hashedText, type KeyFile, sayKey, signedText } from '@/core/release/certificate-file';
import { endRun, startRun } from '@/db/prove/prove';
import { certificateFileOf, verifyCertificate } from '@/db/release/release';
import { endShopKey, shopKeysOf, theShopKey } from '@/db/release/shop-key';
import { certificates } from '@/db/tables';
import { reopen } from '@/db/unit/sign-off';
import { openShop, PEOPLE, type Shop } from './shop';

// Certificates can be checked: by the shop's own address, and by a script that knows nothing of the application.

let shop: Shop;
let units: readonly string[];
beforeAll(async () => {
  shop = await openShop();
  units = [await shop.at('release'), await shop.at('release')];
  for (const unitId of units) await shop.worker(unitId).release();
});

const fileOf = async (unitId: string): Promise<Extract<CertificateFile, { version: 2 }>> => {
  const file = await certificateFileOf(shop.db, unitId);
  if (file?.version !== 2) throw new Error('released and signed');
  return file;
};
const written = (name: string, text: string): string => {
  const path = join(shop.folder, name);
  writeFileSync(path, text);
  return path;
};
const keysFile = async (): Promise<readonly string[]> => {
  const file: KeyFile = { eddrin: 'keys', version: 1, keys: await shopKeysOf(shop.db) };
  return ['--keys', written('keys.json', JSON.stringify(file))];
};
const verify = (keys: readonly string[], ...texts: readonly string[]) => {
  const files = texts.map((text, i) => written(`certificate-${i}.json`, text));
  const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/verify.mjs', ...keys, ...files], { encoding: 'utf8' });
  return { status, text: `${stdout}${stderr}` };
};

describe('the script', () => {
  test('takes certificates as they were issued, however their keys are ordered', async () => {
    const [one, two] = [await fileOf(units[0] as string), await fileOf(units[1] as string)];
    const turned = Object.fromEntries(Object.entries(one).reverse());
    const answer = verify(await keysFile(), JSON.stringify(turned, null, 2), JSON.stringify(two));
    expect([answer.status, answer.text.match(/as it was issued/g)?.length]).toEqual([0, 2]);
    expect(verify(['--key', sayKey(one.key)], JSON.stringify(one)).status).toBe(0);
  });

  test('says without a key what it cannot know', async () => {
    const answer = verify([], JSON.stringify(await fileOf(units[0] as string)));
    expect(answer).toEqual({ status: 3, text: expect.stringMatching(/NOT CERTAIN.*was not altered since key [0-9a-f ]{24} signed it/) });
  });

  test('refuses one that was altered by a byte, wherever that is', async () => {
    const text = JSON.stringify(await fileOf(units[0] as string));
    const keys = await keysFile();
    const start = text.indexOf('"number"') + 9;
    const places = Array.from({ length: 24 }, (_, i) => start + Math.floor(((text.length - 3 - start) * i) / 24));
    for (const at of places) {
      const other = /\d/.test(text[at] as string) ? (Number(text[at]) + 1) % 10 : text[at] === 'x' ? 'y' : 'x';
      expect([at, verify(keys, `${text.slice(0, at)}${other}${text.slice(at + 1)}`).status]).toEqual([at, 1]);
    }
  });

  test.each([
    ['text', (c: CertificateFile) => ({ ...c, statement: { ...c.statement, customer: 'another' } })],
    ['what it supersedes', (c: CertificateFile) => ({ ...c, supersedes: 99 })],
    ['the one before', (c: CertificateFile) => ({ ...c, previousHash: 'f'.repeat(64) })],
  ])('refuses a forged one: another %s, with a hash and a signature of the forger’s making', async (_, alter) => {
    const file = await fileOf(units[0] as string);
    const forged = forge(alter(file) as typeof file);
    expect(verify([], JSON.stringify(forged)).status).toBe(3);
    expect(verify(await keysFile(), JSON.stringify(forged))).toMatchObject({
      status: 1,
      text: expect.stringMatching(/none of the shop’s/),
    });
    expect(verify(['--key', file.key], JSON.stringify(forged)).status).toBe(1);
    // With the shop's own mark beside the forger's signature, or with none at all.
    const { key, publicKey } = file;
    expect(verify(await keysFile(), JSON.stringify({ ...forged, key, publicKey })).status).toBe(1);
    const { signature: _s, publicKey: _p, key: _k, ...bare } = forged;
    const hash = sha(hashedText({ ...bare, key: null }));
    expect(verify(await keysFile(), JSON.stringify({ ...bare, version: 1, hash }))).toMatchObject({
      status: 1,
      text: expect.stringMatching(/is not signed, though the shop signed/),
    });
    expect(verify([], JSON.stringify({ ...bare, version: 1, hash })).text).toMatch(/NOT CERTAIN.*is not signed/);
  });

  test('refuses a chain of which one was replaced, what is none of ours, and what is no file', async () => {
    const [one, two] = [await fileOf(units[0] as string), await fileOf(units[1] as string)];
    const replaced = forge({ ...two, previousHash: 'f'.repeat(64) });
    expect(verify([], JSON.stringify(one), JSON.stringify(replaced))).toMatchObject({
      status: 1,
      text: expect.stringMatching(/does not follow on certificate 1/),
    });
    expect(verify([], '{"eddrin":"unit"}').text).toMatch(/no certificate of a kind/);
    expect(verify([], '{').text).toMatch(/cannot be read/);
    expect(spawnSync(process.execPath, ['scripts/verify.mjs']).status).toBe(2);
  });
});

const sha = (text: string): string => createHash('sha256').update(text).digest('hex');
/** Signs an altered certificate anew, with a key of the forger's own. */
const forge = (c: Extract<CertificateFile, { version: 2 }>): Extract<CertificateFile, { version: 2 }> => {
  const { privateKey, publicKey: forgers } = generateKeyPairSync('ed25519');
  const publicKey = forgers.export({ format: 'jwk' }).x as string;
  const key = createHash('sha256').update(Buffer.from(publicKey, 'base64url')).digest('hex').slice(0, 20);
  const hash = sha(hashedText({ ...c, key }));
  return { ...c, key, publicKey, hash, signature: sign(null, Buffer.from(signedText(hash)), privateKey).toString('base64url') };
};

describe('the address', () => {
  test('stands by a number with its own mark only, and by what is stored as it was', async () => {
    const { number, hash } = await fileOf(units[0] as string);
    expect(await verifyCertificate(shop.db, number, hash)).toMatchObject({ supersededBy: null, statement: { number } });
    const another = hash.replace(/.$/, (last) => (last === '0' ? '1' : '0'));
    expect(await verifyCertificate(shop.db, number, another)).toBeUndefined();
    expect(await verifyCertificate(shop.db, number + 1, hash)).toBeUndefined();
    expect(await verifyCertificate(shop.db, Number.NaN, hash)).toBeUndefined();
    const [row] = await shop.db.select().from(certificates).where(eq(certificates.number, number));
    await shop.db
      .update(certificates)
      .set({ statement: { ...(row?.statement as object), customer: 'another' } })
      .where(eq(certificates.number, number));
    expect(await verifyCertificate(shop.db, number, hash)).toBeUndefined();
    await shop.db.update(certificates).set({ statement: row?.statement }).where(eq(certificates.number, number));
  });

  test('says which took the place of one that no longer counts', async () => {
    const unitId = units[1] as string;
    const before = await fileOf(unitId);
    await reopen(shop.db, await shop.change(unitId, 'reopened', PEOPLE.lead), 'release');
    await shop.worker(unitId).release();
    const after = await fileOf(unitId);
    expect(await verifyCertificate(shop.db, before.number, before.hash)).toMatchObject({ supersededBy: after.number });
    expect(await verifyCertificate(shop.db, after.number, after.hash)).toMatchObject({ supersededBy: null });
  });
});

test('what is stated as proved is the hold that proved it, not one that was let down after', async () => {
  const unitId = await shop.at('release');
  await reopen(shop.db, await shop.change(unitId, 'reopened', PEOPLE.lead), 'prove');
  const begun = await shop.change(unitId, 'run-started');
  await startRun(shop.db, begun, { runId: begun.eventId, stepId: 'hold', way: 'rig' });
  const { step } = (await shop.record(unitId)).runs.at(-1) as Run;
  const end = { rig: 'model', state: 'aborted', because: 'let down', step, samples: [], analysis: null } as const;
  await endRun(shop.db, await shop.change(unitId, 'run-ended'), { runId: begun.eventId, ...end });
  const work = shop.worker(unitId);
  await work.signProved();
  await work.release();
  expect((await fileOf(unitId)).statement.proved.at(-1)).toMatch(/^Hold, 80 bar: Held 120 s from .* It holds\.$/);
});

describe('the shop’s key', () => {
  test('lies in the data folder for its owner alone, and stands under the certificate', async () => {
    expect(statSync(join(shop.folder, 'certificate-key')).mode & 0o777).toBe(0o600);
    const { key } = await fileOf(units[0] as string);
    expect((await shopKeysOf(shop.db)).map((k) => [k.id, k.untilAt])).toEqual([[key, null]]);
  });

  test('that is replaced leaves what it signed good, and signs nothing that is dated later', async () => {
    const file = await fileOf(units[0] as string);
    const keptPrivate = readFileSync(join(shop.folder, 'certificate-key'));
    const end = file.statement.at;
    expect(await endShopKey(shop.db, PEOPLE.lead, file.key, end)).toEqual({ ok: true, value: null });
    expect(await endShopKey(shop.db, PEOPLE.lead, file.key, end + 1)).toMatchObject({ ok: false });
    await reopen(shop.db, await shop.change(units[0] as string, 'reopened', PEOPLE.lead), 'release');
    await shop.worker(units[0] as string).release();
    const next = await fileOf(units[0] as string);
    expect(next.key).not.toBe(file.key);
    const keys = await keysFile();
    expect(verify(keys, JSON.stringify(file), JSON.stringify(next)).status).toBe(0);
    expect(await verifyCertificate(shop.db, file.number, file.hash)).toBeDefined();
    // Somebody has the old private part, and signs a certificate of today with it.
    const hash = sha(hashedText({ ...next, key: file.key }));
    const signature = sign(null, Buffer.from(signedText(hash)), createPrivateKey(keptPrivate)).toString('base64url');
    const stolen = { ...next, key: file.key, publicKey: file.publicKey, hash, signature };
    expect(verify(keys, JSON.stringify(stolen))).toMatchObject({ status: 1, text: expect.stringMatching(/dated outside the time/) });
    await shop.db.update(certificates).set({ key: file.key, hash, signature }).where(eq(certificates.number, next.number));
    expect(await verifyCertificate(shop.db, next.number, hash)).toBeUndefined();
    await shop.db
      .update(certificates)
      .set({ key: next.key, hash: next.hash, signature: next.signature })
      .where(eq(certificates.number, next.number));
  });

  test('whose private part is put back after it was replaced is not used again', async () => {
    const old = readFileSync(join(shop.folder, 'certificate-key'));
    const { id } = await theShopKey(shop.db, Date.now());
    await endShopKey(shop.db, PEOPLE.lead, id, Date.now());
    const { id: second } = await theShopKey(shop.db, Date.now());
    writeFileSync(join(shop.folder, 'certificate-key'), old);
    const { id: third } = await theShopKey(shop.db, Date.now());
    expect(new Set([id, second, third]).size).toBe(3);
  });
});
