import { createHash, createHmac } from 'node:crypto';
import { createServer, type IncomingMessage } from 'node:http';

// The stand-in store of photos: an S3-compatible bucket that lives as long as it runs. It takes only what is signed with its key and arrived
// as it was signed. EDDRIN_STORE_PORT (0 for any), EDDRIN_STORE_BUCKET, EDDRIN_STORE_KEY, EDDRIN_STORE_SECRET; EDDRIN_STORE_FAILS=1: answers 503.

const {
  EDDRIN_STORE_PORT: port = '0',
  EDDRIN_STORE_BUCKET: bucket = 'photos',
  EDDRIN_STORE_KEY: key = 'stand-in',
  EDDRIN_STORE_SECRET: secret = 'stand-in-secret',
  EDDRIN_STORE_FAILS: fails,
} = process.env;
const objects = new Map<string, Buffer>();

const sha256 = (bytes: string | Buffer): string => createHash('sha256').update(bytes).digest('hex');
const hmac = (with_: string | Buffer, text: string): Buffer => createHmac('sha256', with_).update(text).digest();

/** What the request is signed with must be. @source AWS Signature Version 4, "Create a signed request": canonical request, string to sign, signature */
const signatureOf = (request: IncomingMessage, scope: string, signed: string): string => {
  const [day = '', region = '', service = ''] = scope.split('/');
  const headers = signed.split(';').map((name) => `${name}:${String(request.headers[name] ?? '').trim()}\n`);
  const { pathname, searchParams } = new URL(request.url ?? '', 'http://store');
  searchParams.sort();
  const canonical = [request.method, pathname, searchParams, headers.join(''), signed, request.headers['x-amz-content-sha256']].join('\n');
  const toSign = ['AWS4-HMAC-SHA256', request.headers['x-amz-date'], scope, sha256(canonical)].join('\n');
  const signing = ['aws4_request'].reduce(hmac, [region, service].reduce(hmac, hmac(`AWS4${secret}`, day)));
  return hmac(signing, toSign).toString('hex');
};

/** Why a request is refused; undefined where it may be done. */
const refusal = (request: IncomingMessage, body: Buffer): string | undefined => {
  const [, who, scope = '', signed = '', signature] =
    /^AWS4-HMAC-SHA256 Credential=([^/]+)\/([^,]+), ?SignedHeaders=([^,]+), ?Signature=([0-9a-f]{64})$/.exec(
      request.headers.authorization ?? '',
    ) ?? [];
  if (who !== key) return 'InvalidAccessKeyId';
  if (!signed.split(';').includes('host') || signature !== signatureOf(request, scope, signed)) return 'SignatureDoesNotMatch';
  return request.headers['x-amz-content-sha256'] === sha256(body) ? undefined : 'XAmzContentSHA256Mismatch';
};

const bodyOf = async (request: IncomingMessage): Promise<Buffer> => {
  const parts: Buffer[] = [];
  for await (const part of request) parts.push(part as Buffer);
  return Buffer.concat(parts);
};

const server = createServer(async (request, response) => {
  const body = await bodyOf(request);
  const end = (status: number, answer: string | Buffer = ''): void => void response.writeHead(status).end(answer);
  if (fails === '1') return end(503, '<Error><Code>SlowDown</Code></Error>');
  const refused = refusal(request, body);
  if (refused !== undefined) return end(403, `<Error><Code>${refused}</Code></Error>`);
  const [, of, name = ''] = /^\/([^/]+)\/([^/]+)$/.exec(request.url ?? '') ?? [];
  if (of !== bucket) return end(404, '<Error><Code>NoSuchBucket</Code></Error>');
  const known = objects.get(name);
  switch (request.method) {
    case 'PUT':
      objects.set(name, body);
      return end(200);
    case 'GET':
      return known === undefined ? end(404, '<Error><Code>NoSuchKey</Code></Error>') : end(200, known);
    case 'DELETE':
      objects.delete(name);
      return end(204);
    default:
      return end(405);
  }
});
server.listen(Number(port), '127.0.0.1', () => {
  console.log(`the stand-in store listens on http://127.0.0.1:${(server.address() as { port: number }).port}/${bucket}`);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => process.exit(0));
