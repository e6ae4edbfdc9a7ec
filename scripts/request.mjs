// What `scripts/serve.mjs` looks at in each request before Next sees it: where it came from, whether it is sound, what its page may run.
import { addressOf, trusts } from './address.mjs';

/** Scripts only with this request's nonce. Style attributes cannot run anything and are let through for drawings and positioned menus. */
export const policyOf = (nonce) =>
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

/** Why a request is not looked at: an address that is written wrongly, or a page of another site that writes here. */
export const refusal = (request) => {
  try {
    decodeURIComponent(request.url ?? '');
  } catch {
    return [400, 'That address is written wrongly.'];
  }
  const from = request.headers.origin;
  const reads = request.method === 'GET' || request.method === 'HEAD';
  const foreign = from !== undefined && !(URL.canParse(from) && new URL(from).host === request.headers['x-forwarded-host']);
  return foreign && !reads ? [403, 'That came from another site.'] : undefined;
};

/** Cookies that are written wrongly are dropped, here and in the browser: one of them would shut it out for good. */
export const withoutBadCookies = (request, response) => {
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

/**
 * What a request says of the way that it came by is believed of a proxy that the shop trusts, and of nobody else.
 * @param {{ origin?: string, secure: boolean }} shop the address that it is known by, and whether this process speaks HTTPS
 */
export const tellWay = (request, { origin, secure }) => {
  const { remoteAddress } = request.socket;
  const { headers } = request;
  headers['x-address'] = addressOf(
    { remoteAddress, forwardedFor: String(headers['x-forwarded-for'] ?? '') },
    process.env.EDDRIN_TRUST_PROXY,
  );
  const believed = trusts(remoteAddress, process.env.EDDRIN_TRUST_PROXY);
  const [proto, host] = believed ? [headers['x-forwarded-proto'], headers['x-forwarded-host']] : [];
  // The address that the shop says it is known by goes before what anybody says.
  headers['x-forwarded-proto'] = origin?.split(':')[0] ?? proto ?? (secure ? 'https' : 'http');
  headers['x-forwarded-host'] = origin === undefined ? (host ?? headers.host ?? 'localhost') : new URL(origin).host;
};

/** Of a practice unit: its stations, and what they fetch of it. Whatever else there is of a unit (its bill, its papers, its photos) is the shop's. */
const PRACTISED =
  /^\/(?:units\/try-0*(\d{1,9})(?:\/(?:book-in|strip|clean|gauge|judge|hone|sleeve|kit|close-up|set|prove|release|history))?|api\/v1\/units\/try-0*(\d{1,9})\/(?:section\.\w+|bore-map\.\w+|marks\.csv|readings\.csv|causes|kit-sets|runs\/[^/]+\/trace\.csv))\/?$/i;
/** Lines that a page follows whatever it is of: the page that asks tells whose. */
const FOLLOWED = /^\/api\/v1\/(?:rig|devices\/[^/]+)\/stream$/;

/** The number of the practice job that a request is of; undefined for the shop's own. */
export const practiceJobOf = ({ url = '/', headers }) => {
  const path = url.split('?')[0] ?? '/';
  const of = (address) => {
    const [, page, part] = PRACTISED.exec(address) ?? [];
    return page === undefined && part === undefined ? undefined : Number(page ?? part);
  };
  const from = headers.referer;
  return FOLLOWED.test(path) && from !== undefined && URL.canParse(from) ? of(new URL(from).pathname) : of(path);
};
