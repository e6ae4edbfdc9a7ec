import { readdirSync } from 'node:fs';
import { PEOPLE } from '../../demo/people';
import type { Random } from '../../devices/hand/random';
import { type Answer, ask, type Target } from './try';

/** Addresses of everything that is only read: pages and routes, with their parameters in brackets. Streams never end and are left out. */
export const addresses = (folder = 'src/app', below = ''): readonly string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((e) => {
    if (e.isDirectory()) return addresses(`${folder}/${e.name}`, /^[(_]/.test(e.name) ? below : `${below}/${e.name}`);
    return /^(page\.tsx|route\.ts)$/.test(e.name) && !below.endsWith('/stream') ? [below === '' ? '/' : below] : [];
  });

const ODD = [
  '',
  '0',
  '07',
  '1e9',
  '-1',
  'SQ-9999999',
  '%00',
  '%E0%A4%A',
  '..%2f..%2fetc',
  'ä',
  'x'.repeat(3000),
  '[object Object]',
  '$ref',
];
const QUERIES = [
  '',
  '?q=%27%22',
  '?q=7%2F8&show=faulty',
  '?before=1e400',
  '?page=-1&of=fitments',
  '?view=apart',
  '?at=NaN',
  '?unverified=1',
];

/** A page or a file, its parameters real ones or odd ones, as anybody. */
export async function tryPage(target: Target, random: Random, all: readonly string[], tags: readonly string[]): Promise<Answer> {
  const address = random.pick(all);
  const known = await target.known(random);
  const path = address.replace(/\[(\w+)\]/g, (_, name: string) => {
    if (random.next() < 0.25) return random.pick(ODD);
    return encodeURIComponent(name === 'tag' ? random.pick(tags) : random.pick(known.ids));
  });
  const cookie = random.next() < 0.1 ? random.pick(['a=%E0%A4%A', 'units=%7B', '']) : (target.cookies.get(random.pick(PEOPLE).id) ?? '');
  const drawn = /\.(pdf|png|svg|csv|json)|kit-sets|export/.test(address);
  return (await ask(`get ${address}`, `${target.origin}${path}${random.pick(QUERIES)}`, { headers: { cookie } }, drawn ? 'pool' : 'page'))
    .answer;
}
