import { zipSync } from 'fflate';
import { COLUMNS, STORE_FILE_NAMES } from '@/csv/store-files';
import { PEOPLE } from '../../demo/people';
import { drawPhoto } from '../../devices/hand/photo';
import { type Random, seeded } from '../../devices/hand/random';
import { type Answer, ask, type Target } from './try';

const text = (s: string): Uint8Array<ArrayBuffer> => new Uint8Array(new TextEncoder().encode(s));
const noise = (random: Random, length: number): Uint8Array<ArrayBuffer> =>
  new Uint8Array(Array.from({ length }, () => Math.floor(random.next() * 256)));
const zip = (name: string, size: number): Uint8Array<ArrayBuffer> => new Uint8Array(zipSync({ [name]: new Uint8Array(size) }));

/** Made once: what this process does meanwhile is not the server's time. */
const BOMB = zip('xl/worksheets/sheet1.xml', 120_000_000);
const LONG = text('x'.repeat(3_000_000));
const PHOTO = new Uint8Array(await drawPhoto('body', seeded(1)));

const headersOf = (target: Target, random: Random) => ({
  cookie: target.cookies.get(random.pick(PEOPLE).id) ?? '',
  origin: random.next() < 0.05 ? 'https://elsewhere.example' : target.origin,
});

/** A file for the store, sound or not. */
export async function tryImport(target: Target, random: Random): Promise<Answer> {
  const what = random.pick(STORE_FILE_NAMES);
  const { all } = COLUMNS[what];
  const known = await target.known(random);
  const cell = () => random.pick(['', '1', '2,5', 'cup', 'kit', '2031-05-31', '99999999999', '"', '=1+1', random.pick(known.ids)]);
  const separator = random.pick([',', ';', '\t']);
  const columns = random.next() < 0.8 ? all : all.slice(0, Math.floor(random.next() * all.length));
  const rows = Array.from({ length: Math.floor(random.between(0, 400)) }, () => columns.map(cell).join(separator));
  const table = text([columns.join(separator), ...rows].join(random.pick(['\n', '\r\n', '\r'])));
  const body = random.pick([
    () => table,
    () => table,
    () => table,
    () => noise(random, 500),
    () => LONG,
    () => BOMB,
    () => new Uint8Array([0x50, 0x4b, 3, 4, ...noise(random, 200)]),
  ])();
  const write = random.next() < 0.3 ? `&write=${random.pick(known.ids)}` : '';
  const url = `${target.origin}/api/v1/store/import?what=${what}&file=a.csv${write}`;
  return (await ask('import', url, { method: 'POST', body, headers: headersOf(target, random) }, 'pool')).answer;
}

/** A photo, whole, broken or none, on whatever row. */
export async function tryPhoto(target: Target, random: Random): Promise<Answer> {
  const file = random.pick([
    () => PHOTO,
    () => PHOTO.slice(0, Math.floor(PHOTO.length * random.next())),
    () => noise(random, 2000),
    () => text('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'),
    () => new Uint8Array(0),
  ])();
  const known = await target.known(random);
  const form = new FormData();
  const fields = {
    eventId: random.pick([...known.ids.slice(0, 3), crypto.randomUUID()]),
    unitId: known.unit.id,
    caption: 'c',
    phase: 'out',
  };
  for (const [name, value] of Object.entries(fields)) form.set(name, value);
  form.set('onKind', random.pick(['part', 'unit', 'mark', 'step', 'x']));
  form.set('onId', random.pick(known.ids));
  form.set('file', new File([file], random.pick(['a.jpg', '../a.png', 'a.svg'])));
  return (await ask('photo', `${target.origin}/photos`, { method: 'POST', body: form, headers: headersOf(target, random) }, 'pool')).answer;
}
