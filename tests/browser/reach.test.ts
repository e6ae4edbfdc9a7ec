import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import type { IncomingHttpHeaders } from 'node:http';
import { request } from 'node:https';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type App, startApp, TOKEN } from './app';

// How the shop is reached: by HTTPS of its own, by the address that it is known by, behind a proxy; and what watches it.

const folder = mkdtempSync(join(tmpdir(), 'eddrin-tls-'));
const [cert, key] = [join(folder, 'cert.pem'), join(folder, 'key.pem')];
let app: App;
beforeAll(async () => {
  execFileSync(
    'openssl',
    [
      'req',
      '-x509',
      '-newkey',
      'ec',
      '-pkeyopt',
      'ec_paramgen_curve:P-256',
      '-nodes',
      '-days',
      '2',
      '-subj',
      '/CN=localhost',
      '-keyout',
      key,
      '-out',
      cert,
    ],
    { stdio: 'ignore' },
  );
  app = await startApp(process.env.EDDRIN_TEST_SEED as string, { EDDRIN_TLS_CERT: cert, EDDRIN_TLS_KEY: key });
});
afterAll(async () => {
  await app.stop();
  rmSync(folder, { recursive: true, force: true });
});

type Answer = { readonly status: number; readonly headers: IncomingHttpHeaders; readonly body: string };
const ask = (path: string, headers: Readonly<Record<string, string>> = {}, method = 'GET'): Promise<Answer> =>
  new Promise((done, failed) => {
    const asked = request(`${app.origin}${path}`, { rejectUnauthorized: false, headers, method }, (answer) => {
      let body = '';
      answer.on('data', (d) => {
        body += d;
      });
      answer.on('end', () => done({ status: answer.statusCode ?? 0, headers: answer.headers, body }));
    });
    asked.on('error', failed);
    asked.end();
  });

describe('by HTTPS of its own', () => {
  test('pages say that it stays so, and nothing is answered in the clear', async () => {
    const page = await ask('/sign-in');
    expect([page.status, page.headers['strict-transport-security']]).toEqual([200, 'max-age=31536000']);
    const { port } = new URL(app.origin);
    const clear = await fetch(`http://localhost:${port}/sign-in`).catch(() => 'closed');
    expect(clear).toBe('closed');
  });

  test('a page of another address writes nothing, whatever it says of the way that it came', async () => {
    const forged = { origin: 'https://elsewhere.example', 'x-forwarded-host': 'elsewhere.example', 'x-forwarded-proto': 'https' };
    expect((await ask('/photos', forged, 'POST')).status).toBe(403);
  });

  test('a request that is never ended is cut off, and holds nobody up', async () => {
    const { port } = new URL(app.origin);
    const line = connect(Number(port), 'localhost');
    line.on('error', () => undefined);
    line.write('GET / HTTP/1.1\r\nHost: x\r\n');
    expect((await ask('/api/v1/health')).status).toBe(200);
    line.destroy();
  });
});

describe('what watches it', () => {
  test('health tells how it stands, to anybody and of nobody', async () => {
    const { status, body } = await ask('/api/v1/health');
    const health = JSON.parse(body);
    expect(status).toBe(200);
    expect(health).toMatchObject({ status: 'up', database: 'writable', rig: 'answers', backupAgeS: null });
    expect(health.diskFreeBytes).toBeGreaterThan(0);
  });

  test('metrics ask for a token, and count what was answered', async () => {
    expect((await ask('/api/v1/metrics')).status).toBe(401);
    expect((await ask('/api/v1/metrics', { authorization: 'Bearer nothing' })).status).toBe(401);
    const { status, headers, body } = await ask('/api/v1/metrics', { authorization: `Bearer ${TOKEN}` });
    expect([status, headers['content-type']]).toEqual([200, 'text/plain; version=0.0.4; charset=utf-8']);
    const figure = (name: string): number => Number(new RegExp(`^${name} (\\S+)$`, 'm').exec(body)?.[1]);
    expect(figure('eddrin_units_in_shop')).toBeGreaterThan(10);
    expect(figure('eddrin_backup_age_seconds')).toBe(-1);
    expect(figure('eddrin_http_request_seconds_count\\{method="GET",status="2xx"\\}')).toBeGreaterThan(1);
    expect(figure('process_resident_memory_bytes')).toBeGreaterThan(1e7);
  });
});
