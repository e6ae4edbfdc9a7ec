import { monitorEventLoopDelay } from 'node:perf_hooks';
import ExcelJS from 'exceljs';
import { zipSync } from 'fflate';
import { describe, expect, test } from 'vitest';
import { bodyOf } from '@/app/_server/body';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { rowsRead } from '@/csv/read-bytes';
import { inPool, sayNotDone } from '@/pool/pool';
import { ENDLESS } from '../endless';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const compute = (name: string, body: unknown) => inPool('compute', { name, body: bytes(JSON.stringify(body)), rules: STANDARD_RULES });

describe('a calculation in the pool', () => {
  test('that does not end is cut off in words; meanwhile nothing else waits, neither the process nor the shop’s own work', async () => {
    const delay = monitorEventLoopDelay({ resolution: 5 });
    const endless = compute('kit-match', ENDLESS);
    await inPool('write-csv', { name: 'stock', columns: ['number', 'lot', 'qty', 'expires'], rows: [] });
    delay.enable();
    const start = performance.now();
    const written = await inPool('write-csv', {
      name: 'stock',
      columns: ['number', 'lot', 'qty', 'expires'],
      rows: [{ number: 'K-1', lot: 'A', qty: 3, expires: '' }],
    });
    expect(written).toEqual({ ok: true, value: 'number,lot,qty,expires\r\nK-1,A,3,\r\n' });
    expect(performance.now() - start).toBeLessThan(5000);
    const cut = await endless;
    delay.disable();
    expect(cut).toEqual({ ok: false, error: 'too long' });
    // A busy machine holds the process up by itself now and then; the calculation alone would for all of its seconds.
    expect(delay.percentile(50) / 1e6).toBeLessThan(50);
    expect(delay.count).toBeGreaterThan(100);
    // The thread that was ended is replaced.
    expect(await compute('air-check', { fill: [] })).toMatchObject({ ok: true, value: { kind: 'unsound' } });
  });

  test('more at once than wait in line are refused in words, and the others are done', async () => {
    const all = await Promise.all(
      Array.from({ length: 130 }, () => inPool('write-csv', { name: 'stock', columns: ['number', 'lot', 'qty', 'expires'], rows: [] })),
    );
    const refused = all.flatMap((r) => (r.ok ? [] : [r.error]));
    expect(refused.length).toBeGreaterThan(5);
    expect(refused.length).toBeLessThan(60);
    expect(new Set(refused)).toEqual(new Set(['too many at once']));
    expect(sayNotDone('too many at once')).toMatch(/^The server is busy/);
  });

  test('a fault of ours in it is thrown, not called busy', async () => {
    await expect(compute('no-such', {})).rejects.toThrow('there is no calculation no-such');
  });

  test('a body that is not JSON, or unsound in a thousand places, is told: the first 500 and how many more', async () => {
    expect(await inPool('compute', { name: 'gauge', body: bytes('{'), rules: STANDARD_RULES })).toEqual({
      ok: true,
      value: { kind: 'not-json' },
    });
    const fill = Array.from({ length: 1500 }, () => ({ mlIn: 'x', pBar: 1 }));
    const told = await compute('air-check', { fill });
    const problems = told.ok && told.value.kind === 'unsound' ? told.value.problems : [];
    expect(problems.length).toBe(501);
    expect(problems.at(-1)).toEqual({ path: '', message: 'and 1001 more faults' });
  });
});

describe('a file for the store', () => {
  const read = async (what: 'stock' | 'sundries', file: Uint8Array) => {
    const done = await inPool('read-file', { what, bytes: file });
    if (!done.ok) throw new Error(done.error);
    return done.value;
  };
  const wrong = async (file: Uint8Array) => {
    const got = await read('stock', file);
    return got.ok ? undefined : got.error.problems[0];
  };

  test('comes over whole, piece by piece', async () => {
    const lines = Array.from({ length: 2500 }, (_, i) => `K-${i},A,${i % 9},`);
    const got = await read('stock', bytes(`number,lot,qty,expires\n${lines.join('\n')}`));
    const rows = got.ok ? await rowsRead(got.value, async () => undefined) : undefined;
    expect(rows?.rows.length).toBe(2500);
    expect(rows?.rows[2499]).toEqual({ line: 2501, row: { number: 'K-2499', lot: 'A', qty: 2499 % 9, expiresAt: null } });
  });

  test('a workbook of some kB that unpacks to hundreds of MB is not unpacked, whatever it says of its size', async () => {
    const bomb = zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(150_000_000) }, { level: 6 });
    expect(bomb.length).toBeLessThan(200_000);
    expect(await wrong(bomb)).toMatchObject({ message: 'the workbook unpacks to more than 100 MB' });
    const lying = bomb.slice();
    // The size as it stands in its directory, put down to a hundred bytes.
    for (let at = 0; at < lying.length - 4; at++)
      if (new DataView(lying.buffer).getUint32(at, true) === 150_000_000) new DataView(lying.buffer).setUint32(at, 100, true);
    expect(await wrong(lying)).toMatchObject({ message: 'the workbook unpacks to more than 100 MB' });
  });

  test('a line without end, a table without an edge, and a sheet without one are refused', async () => {
    expect(await wrong(bytes(`number,lot,qty\nK-1,${'x'.repeat(19_000_000)},1`))).toEqual({
      line: 2,
      column: '',
      message: 'is longer than 100000 characters',
    });
    const wide = Array.from({ length: 300 }, (_, i) => `c${i}`);
    expect(await wrong(bytes(`${wide.join(',')}\n1`))).toMatchObject({ line: 1, message: 'has more than 200 columns' });
    const book = new ExcelJS.Workbook();
    book.addWorksheet('one').addRow(wide);
    expect(await wrong(new Uint8Array((await book.xlsx.writeBuffer()) as ArrayBuffer))).toMatchObject({
      message: 'has more than 200 columns',
    });
  });

  test('thousands of faults: the first 500 come over, all are counted', async () => {
    const got = await read('stock', bytes(`number,lot,qty\n${Array.from({ length: 3000 }, (_, i) => `K-${i},A,many`).join('\n')}`));
    expect(got.ok ? undefined : [got.error.problems.length, got.error.inAll]).toEqual([500, 3000]);
  });
});

describe('a body', () => {
  const request = (pieces: number) => {
    let sent = 0;
    const body = new ReadableStream<Uint8Array>({
      pull: (out) => {
        if (sent++ >= pieces) out.close();
        else out.enqueue(new Uint8Array(1024 * 1024));
      },
    });
    const asked = new Request('http://shop.example/', { method: 'POST', body, duplex: 'half' } as RequestInit);
    return { asked, sent: () => sent };
  };

  test('is counted while it arrives; what is too large is let go by, so that its connection lives, but not for ever', async () => {
    const { asked, sent } = request(20);
    const got = await bodyOf(asked, 2);
    expect([got.ok ? 0 : got.error.status, sent()]).toEqual([413, 21]);
    const cut = new ReadableStream({ pull: (out) => out.error(new Error('aborted')) });
    const gone = await bodyOf(new Request('http://shop.example/', { method: 'POST', body: cut, duplex: 'half' } as RequestInit), 2);
    expect(gone.ok ? 0 : gone.error.status).toBe(400);
    const endless = request(100_000);
    expect((await bodyOf(endless.asked, 2)).ok).toBe(false);
    expect(endless.sent()).toBeLessThan(300);
    const small = await bodyOf(request(2).asked, 2);
    expect(small.ok && small.value.length).toBe(2 * 1024 * 1024);
  });
});
