// node scripts/serve.mjs [port] | --help: the built application, behind one handler that gives every page its content policy.
// A policy in Next's own proxy file does the same at a quarter of an empty page's time for each request.
import { AsyncLocalStorage } from 'node:async_hooks';
import { randomUUID } from 'node:crypto';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { join, resolve } from 'node:path';
import compression from 'compression';
import next from 'next';
import { policyOf, practiceJobOf, refusal, tellWay, withoutBadCookies } from './request.mjs';

if (process.argv.includes('--help')) {
  const { tsImport } = await import('tsx/esm/api');
  const { sayConfig } = await tsImport('../src/config.ts', import.meta.url);
  console.log(`node scripts/serve.mjs [port]\n\nThe environment decides:\n${sayConfig()}`);
  process.exit(0);
}

const port = Number(process.argv[2] ?? process.env.EDDRIN_PORT ?? 3000);
const { EDDRIN_HOST: host, EDDRIN_TLS_CERT: certFile, EDDRIN_TLS_KEY: keyFile, EDDRIN_ORIGIN: origin } = process.env;
const secure = certFile !== undefined && keyFile !== undefined;
// Database, photos and tokens are their owner's alone.
process.umask(0o077);
// Read once: the folder may hold another build by the time that a page asks.
process.env.EDDRIN_BUILD_ID = readFileSync(join(process.env.EDDRIN_BUILD ?? '.next', 'BUILD_ID'), 'utf8').trim();
process.env.EDDRIN_POOL = resolve(process.env.EDDRIN_BUILD ?? '.next', 'pool.mjs');
const app = next({ dev: false, port });
const handle = app.getRequestHandler();
/** Says the key of a shop that is not open yet to whoever started the program: never to the log, and it is kept nowhere (src/instrumentation.ts). */
globalThis.eddrinTellOpening = (key) => {
  const address = new URL('/open', origin ?? `${secure ? 'https' : 'http'}://localhost:${port}`);
  console.log(`\n  This shop is not open yet. Open it within the hour, with all of this address:\n  ${address}#${key}\n`);
};
await app.prepare();

/** Scripts are sent seldom and kept, pages are written anew for each request: their squeezing must cost little. */
const [thorough, quick] = [compression(), compression({ level: 1 })];

globalThis.eddrinAsked = new Map();
/** Which practice job a request is of, if any: its pages and what they send find that job's database in place of the shop's (src/db/engine/connection.ts). */
globalThis.eddrinPlace = new AsyncLocalStorage();

/** Writes a request to the log once it is answered: what failed or was slow is told (a stream is never slow), the rest only where `EDDRIN_LOG` asks for it. */
const SLOW_MS = 1000;
const logged = (request, response, id) => {
  const start = performance.now();
  const path = request.url?.split('?')[0];
  response.once('close', () => {
    const ms = Math.round(performance.now() - start);
    const level = response.statusCode >= 500 ? 'error' : ms > SLOW_MS && !path?.endsWith('/stream') ? 'warn' : 'debug';
    globalThis.eddrinMetrics?.answered(request.method, response.statusCode, ms / 1000);
    const person = globalThis.eddrinAsked.get(id);
    globalThis.eddrinAsked.delete(id);
    const unit = /^\/(?:api\/v1\/)?units\/([^/]+)/.exec(path ?? '')?.[1];
    globalThis.eddrinLog?.[level]({ id, method: request.method, path, person, unit, status: response.statusCode, ms }, 'answered');
  });
};

/** What called an action and could not be read is badly written, not a fault of ours (src/instrumentation.ts). */
const tellUnread = (id, response) => {
  const { writeHead } = response;
  response.once('close', () => globalThis.eddrinUnread?.delete(id));
  response.writeHead = (status, ...more) => {
    const unread = status >= 500 && globalThis.eddrinUnread?.has(id) === true;
    if (unread) response.statusCode = 400;
    return writeHead.call(response, unread ? 400 : status, ...more);
  };
};

const HSTS = 'max-age=31536000';

/** Without its key or certificate nothing is served in the clear instead. */
const pem = (name, file) => {
  try {
    return readFileSync(file);
  } catch (error) {
    console.error(`✗ ${name} names ${file}, which cannot be read: ${error.message}`);
    process.exit(1);
  }
};
const listener = (handler) =>
  secure
    ? createSecureServer({ cert: pem('EDDRIN_TLS_CERT', certFile), key: pem('EDDRIN_TLS_KEY', keyFile) }, handler)
    : createServer(handler);

const server = listener((request, response) => {
  const fixed = request.url?.startsWith('/_next/static/') === true;
  // One number for a request, in the log and in what a person is told; whatever was sent under its name is replaced.
  const id = randomUUID();
  request.headers['x-request-id'] = id;
  request.headers['x-path'] = request.url ?? '/';
  tellWay(request, { origin, secure });
  if (request.headers['x-forwarded-proto'] === 'https') response.setHeader('strict-transport-security', HSTS);
  response.setHeader('x-request-id', id);
  if (!fixed) logged(request, response, id);
  response.setHeader('x-content-type-options', 'nosniff');
  response.setHeader('referrer-policy', 'same-origin');
  const refused = refusal(request);
  if (refused !== undefined) {
    const [status, title] = refused;
    response.writeHead(status, { 'content-type': 'application/problem+json' });
    response.end(JSON.stringify({ type: 'about:blank', title, status }));
    return;
  }
  withoutBadCookies(request, response);
  if (request.headers['next-action'] !== undefined) tellUnread(id, response);
  if (!fixed) {
    const nonce = Buffer.from(randomUUID()).toString('base64');
    const policy = policyOf(nonce);
    // Next reads the nonce for its own scripts from the request; whatever the browser sent under these names is replaced.
    request.headers['x-nonce'] = nonce;
    request.headers['content-security-policy'] = policy;
    response.setHeader('content-security-policy', policy);
    response.setHeader('permissions-policy', 'camera=(self), microphone=(), geolocation=()');
  }
  (fixed ? thorough : quick)(request, response, () =>
    globalThis.eddrinPlace.run(practiceJobOf(request), () => void handle(request, response)),
  );
});
// A request that comes drop by drop is cut off; a photo on a slow line is not.
server.headersTimeout = 15_000;
server.requestTimeout = 120_000;
server.on('error', (error) => {
  console.error(`✗ It cannot listen on ${host ?? 'this machine'}, port ${port}: ${error.message}`);
  process.exit(1);
});
/** Has the application begin (src/instrumentation.ts): Next does that with the first request, and nobody is let in before the tables are up to date. */
const begin = async () => {
  const first = createServer((request, response) => void handle(request, response));
  await new Promise((listening) => first.listen(0, '127.0.0.1', listening));
  await fetch(`http://127.0.0.1:${first.address().port}/api/v1/build`);
  await new Promise((closed) => {
    first.close(closed);
    first.closeAllConnections();
  });
};
await begin();
server.listen(port, host, () => {
  // `npm run restore` does not exchange a shop under a server's feet.
  const mark = join(process.env.EDDRIN_DATA ?? './var', 'served-by');
  writeFileSync(mark, String(process.pid));
  process.once('exit', () => rmSync(mark, { force: true }));
});

for (const signal of ['SIGINT', 'SIGTERM'])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    // What is being saved is answered first; live lines (the rig's stream) never end by themselves.
    setTimeout(() => server.closeAllConnections(), 1000);
  });
