// node scripts/serve.mjs <port>: the built application, behind one handler that gives every page its content policy.
// A policy in Next's own proxy file does the same at a quarter of an empty page's time for each request.
import { randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import compression from 'compression';
import next from 'next';

const port = Number(process.argv[2]);
const app = next({ dev: false, port });
const handle = app.getRequestHandler();
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

const server = createServer((request, response) => {
  const fixed = request.url?.startsWith('/_next/static/') === true;
  if (!fixed) {
    const nonce = Buffer.from(randomUUID()).toString('base64');
    const policy = policyOf(nonce);
    // Next reads the nonce for its own scripts from the request; whatever the browser sent under these names is replaced.
    request.headers['x-nonce'] = nonce;
    request.headers['content-security-policy'] = policy;
    response.setHeader('content-security-policy', policy);
    response.setHeader('x-content-type-options', 'nosniff');
    response.setHeader('referrer-policy', 'same-origin');
    response.setHeader('permissions-policy', 'camera=(self), microphone=(), geolocation=()');
  }
  (fixed ? thorough : quick)(request, response, () => void handle(request, response));
});
server.listen(port);

for (const signal of ['SIGINT', 'SIGTERM'])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    // What is being saved is answered first; live lines (the rig's stream) never end by themselves.
    setTimeout(() => server.closeAllConnections(), 1000);
  });
