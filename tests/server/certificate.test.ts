import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import { beforeAll, describe, expect, test } from 'vitest';
import type { Run } from '@/core/prove/run';
import type { CertificateFile } from '@/core/release/certificate-file';
import { endRun, startRun } from '@/db/prove/prove';
import { certificateOf, verifyCertificate } from '@/db/release/release';
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

const fileOf = async (unitId: string): Promise<CertificateFile> => {
  const c = await certificateOf(shop.db, unitId);
  if (c === undefined) throw new Error('released');
  const { number, supersedes, previousHash, hash, statement } = c;
  return { eddrin: 'certificate', version: 1, number, supersedes, previousHash, hash, statement };
};
const verify = (...texts: readonly string[]) => {
  const files = texts.map((text, i) => {
    const path = join(shop.folder, `certificate-${i}.json`);
    writeFileSync(path, text);
    return path;
  });
  const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/verify.mjs', ...files], { encoding: 'utf8' });
  return { status, text: `${stdout}${stderr}` };
};

describe('the script', () => {
  test('takes certificates as they were issued, however their keys are ordered', async () => {
    const [one, two] = [await fileOf(units[0] as string), await fileOf(units[1] as string)];
    const turned = Object.fromEntries(Object.entries(one).reverse());
    const answer = verify(JSON.stringify(turned, null, 2), JSON.stringify(two));
    expect([answer.status, answer.text.match(/as it was issued/g)?.length]).toEqual([0, 2]);
  });

  test('refuses one that was altered by a byte, wherever that is', async () => {
    const text = JSON.stringify(await fileOf(units[0] as string));
    const start = text.indexOf('"statement"') + 12;
    const places = Array.from({ length: 24 }, (_, i) => start + Math.floor(((text.length - 3 - start) * i) / 24));
    for (const at of places) {
      const other = /\d/.test(text[at] as string) ? (Number(text[at]) + 1) % 10 : text[at] === 'x' ? 'y' : 'x';
      expect([at, verify(`${text.slice(0, at)}${other}${text.slice(at + 1)}`).status]).toEqual([at, 1]);
    }
  });

  test('refuses a chain of which one was replaced, what is none of ours, and what is no file', async () => {
    const [one, two] = [await fileOf(units[0] as string), await fileOf(units[1] as string)];
    const forged = { ...two, previousHash: 'f'.repeat(64) };
    const rehashed = spawnSync(process.execPath, ['-e', FORGE], { input: JSON.stringify(forged), encoding: 'utf8' }).stdout;
    expect(verify(JSON.stringify(one), rehashed)).toMatchObject({
      status: 1,
      text: expect.stringMatching(/does not follow on certificate 1/),
    });
    expect(verify(rehashed).status).toBe(0);
    expect(verify('{"eddrin":"unit"}').text).toMatch(/no certificate of a kind/);
    expect(verify('{').text).toMatch(/cannot be read/);
    expect(spawnSync(process.execPath, ['scripts/verify.mjs']).status).toBe(2);
  });
});
/** Gives an altered certificate a hash of its own, as a forger would. */
const FORGE = `
const c = JSON.parse(require('node:fs').readFileSync(0, 'utf8'));
const canonical = (v) => Array.isArray(v) ? '[' + v.map(canonical).join(',') + ']' : v && typeof v === 'object' ? '{' + Object.keys(v).sort().map((k) => JSON.stringify(k) + ':' + canonical(v[k])).join(',') + '}' : JSON.stringify(v);
c.hash = require('node:crypto').createHash('sha256').update(c.previousHash + '\\n' + canonical(c.statement)).digest('hex');
process.stdout.write(JSON.stringify(c));`;

describe('the address', () => {
  test('stands by a number with its own mark only, and by what is stored as it was', async () => {
    const { number, hash } = await fileOf(units[0] as string);
    expect(await verifyCertificate(shop.db, number, hash)).toMatchObject({ supersededBy: null, statement: { number } });
    expect(await verifyCertificate(shop.db, number, `${hash.slice(0, -1)}0`)).toBeUndefined();
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
