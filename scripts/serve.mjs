// node scripts/serve.mjs <port> | --help: the built application, behind one handler that gives every page its content policy.
// A policy in Next's own proxy file does the same at a quarter of an empty page's time for each request.
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { join, resolve } from 'node:path';
import compression from 'compression';
import next from 'next';
import { addressOf } from './address.mjs';

if (process.argv.includes('--help')) {
  const { tsImport } = await import('tsx/esm/api');
  const { sayConfig } = await tsImport('../src/config.ts', import.meta.url);
  console.log(`node scripts/serve.mjs <port>\n\nThe environment decides:\n${sayConfig()}`);
  process.exit(0);
}

const port = Number(process.argv[2]);
// Database, photos and tokens are their owner's alone.
process.umask(0o077);
// Read once: the folder may hold another build by the time that a page asks.
process.env.EDDRIN_BUILD_ID = readFileSync(join(process.env.EDDRIN_BUILD ?? '.next', 'BUILD_ID'), 'utf8').trim();
process.env.EDDRIN_POOL = resolve(process.env.EDDRIN_BUILD ?? '.next', 'pool.mjs');
const app = next({ dev: false, port });
const handle = app.getRequestHandler();
// Checks the environment too, and begins the log (src/instrumentation.ts).
await app.prepare();

/** Scripts only with this request's nonce. Style attributes cannot run anything and are let through for drawings and positioned menus. */
const policyOf = (nonce) =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

/** Scripts are sent seldom and kept, pages are written anew for each request: their squeezing must cost little. */
const [thorough, quick] = [compression(), compression({ level: 1 })];

/** Writes a request to the log once it is answered: what failed or was slow is told (a stream is never slow), the rest only where `EDDRIN_LOG` asks for it. */
const SLOW_MS = 1000;
const logged = (request, response, id) => {
  const start = performance.now();
  const path = request.url?.split('?')[0];
  response.once('close', () => {
    const ms = Math.round(performance.now() - start);
    const level = response.statusCode >= 500 ? 'error' : ms > SLOW_MS && !path?.endsWith('/stream') ? 'warn' : 'debug';
    globalThis.eddrinLog?.[level]({ id, method: request.method, path, status: response.statusCode, ms }, 'answered');
  });
};

/** Why a request is not looked at: an address that is written wrongly, or a page of another site that writes here. */
const refusal = (request) => {
  try {
    decodeURIComponent(request.url ?? '');
  } catch {
    return [400, 'That address is written wrongly.'];
  }
  const { origin, host } = request.headers;
  const reads = request.method === 'GET' || request.method === 'HEAD';
  const foreign = origin !== undefined && !(URL.canParse(origin) && new URL(origin).host === (request.headers['x-forwarded-host'] ?? host));
  return foreign && !reads ? [403, 'That came from another site.'] : undefined;
};

/** Cookies that are written wrongly are dropped, here and in the browser: one of them would shut it out for good. */
const withoutBadCookies = (request, response) => {
  const pairs = (request.headers.cookie ?? '').split(/; */).filter((pair) => pair !== '');
  const bad = pairs.filter((pair) => {
    try {
      decodeURIComponent(pair);
      return false;
    } catch {
      return true;
    }
  });
  if (bad.length === 0) return;
  request.headers.cookie = pairs.filter((pair) => !bad.includes(pair)).join('; ');
  const names = bad.map((pair) => pair.split('=')[0] ?? '').filter((name) => /^[\w.-]+$/.test(name));
  response.setHeader(
    'set-cookie',
    names.map((name) => `${name}=; Path=/; Max-Age=0`),
  );
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

const server = createServer((request, response) => {
  const fixed = request.url?.startsWith('/_next/static/') === true;
  // One number for a request, in the log and in what a person is told; whatever was sent under its name is replaced.
  const id = randomUUID();
  request.headers['x-request-id'] = id;
  request.headers['x-address'] = addressOf(
    { remoteAddress: request.socket.remoteAddress, forwardedFor: String(request.headers['x-forwarded-for'] ?? '') },
    process.env.EDDRIN_PROXY,
  );
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
  (fixed ? thorough : quick)(request, response, () => void handle(request, response));
});
// A request that comes drop by drop is cut off; a photo on a slow line is not.
server.headersTimeout = 15_000;
server.requestTimeout = 120_000;
server.listen(port);

for (const signal of ['SIGINT', 'SIGTERM'])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    // What is being saved is answered first; live lines (the rig's stream) never end by themselves.
    setTimeout(() => server.closeAllConnections(), 1000);
  });
