import { gzipSync } from 'node:zlib';
import type { Line } from './line';

/** Most that a bench station's scripts may weigh over an empty page's, compressed, kB. */
const MOST_KB = 100;

/** Scripts that a page asks for, compressed, against those of an empty page. @param page its address, with the cookie that opens it */
export async function jsLine(name: string, page: { readonly url: string; readonly cookie: string }, emptyUrl: string): Promise<Line> {
  const [ours, empty] = [await scriptsKb(page.url, page.cookie), await scriptsKb(emptyUrl, '')];
  return {
    what: `JavaScript sent: ${name}`,
    ours: `${ours.toFixed(0)} kB`,
    peer: `empty page ${empty.toFixed(0)} kB, ${(ours - empty).toFixed(0)} kB over it`,
    bar: `≤ ${MOST_KB} kB over it`,
    holds: ours - empty <= MOST_KB,
  };
}

const scriptsKb = async (url: string, cookie: string): Promise<number> => {
  const html = await (await fetch(url, { headers: { cookie } })).text();
  const paths = new Set([...html.matchAll(/\/_next\/static\/[^"'\\ ]+?\.js/g)].map((m) => m[0]));
  const sizes = await Promise.all(
    [...paths].map(async (path) => gzipSync(Buffer.from(await (await fetch(new URL(path, url))).arrayBuffer())).length),
  );
  return sizes.reduce((sum, size) => sum + size, 0) / 1000;
};
