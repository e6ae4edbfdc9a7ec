import { type ChildProcess, spawn } from 'node:child_process';
import { tagOf } from '@/core/unit/unit-record';
import type { Db } from '@/db/engine/connection';
import { theAuth } from '@/db/people/auth';
import { onTheRack } from '@/db/rack/rack';
import { PEOPLE } from '../../demo/people';
// @ts-expect-error plain Node, without types
import { SERVE } from '../steps.mjs';
import { jsLine } from './js-sent';
import { type Line, median, timed } from './line';
import { withManyPhotos } from './many-photos';
import { framesLine } from './simulate';

const [WARM_UP, ROUNDS] = [150, 100];
const [OURS, EMPTY] = [4711, 4712];

/** Server time of the main pages at demo size beside an empty dynamic Next page, asked in turn. */
export async function pageLines(db: Db): Promise<readonly Line[]> {
  const cookie = await sessionCookie();
  const { units: trays } = await onTheRack(db);
  const tagAt = (station: string): string => tagOf(trays.find((t) => t.station === station) ?? (trays[0] as (typeof trays)[number]));
  const pages = {
    rack: '/',
    'unit, strip': `/units/${tagAt('strip')}/strip`,
    'unit, strip, 200 photos': `/units/${await withManyPhotos(db)}/strip`,
    'unit, hone': `/units/${tagAt('hone')}/hone`,
    'unit, judge': `/units/${tagAt('judge')}/judge`,
    'unit, kit': `/units/${tagAt('kit')}/kit`,
    'unit, prove': `/units/${tagAt('prove')}/prove`,
    'kit store': '/kits',
    book: '/book',
  };
  const servers = [
    serve([...SERVE, String(OURS)], { EDDRIN_BUILD: '.next' }),
    serve(['node_modules/next/dist/bin/next', 'start', 'scripts/bench/empty-page', '-p', String(EMPTY)], {}),
  ];
  try {
    await Promise.all([answers(OURS), answers(EMPTY)]);
    const lines: Line[] = [];
    for (const [name, path] of Object.entries(pages)) {
      const [ours, empty]: [number[], number[]] = [[], []];
      for (let i = 0; i < WARM_UP + ROUNDS; i++) {
        ours.push(await timed(() => get(OURS, path, cookie)));
        empty.push(await timed(() => get(EMPTY, '/', '')));
      }
      const [a, b] = [median(ours.slice(WARM_UP)), median(empty.slice(WARM_UP))];
      lines.push({
        what: `page: ${name}`,
        ours: `${a.toFixed(1)} ms`,
        peer: `empty page ${b.toFixed(1)} ms, ${(a / b).toFixed(1)}×`,
        bar: '≤ 3×',
        holds: a / b <= 3,
      });
    }
    for (const name of ['unit, strip', 'unit, judge', 'unit, hone', 'unit, prove'] as const)
      lines.push(await jsLine(name, { url: `http://localhost:${OURS}${pages[name]}`, cookie }, `http://localhost:${EMPTY}/`));
    lines.push(await framesLine(`http://localhost:${OURS}`, `http://localhost:${OURS}${pages['unit, hone']}`));
    return lines;
  } finally {
    for (const server of servers) server.kill();
  }
}

const serve = (args: readonly string[], env: Readonly<Record<string, string>>): ChildProcess =>
  spawn(process.execPath, args, {
    env: { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1', ...env },
    stdio: ['ignore', 'ignore', 'inherit'],
  });

const get = async (port: number, path: string, cookie: string): Promise<void> => {
  const response = await fetch(`http://localhost:${port}${path}`, { headers: { cookie }, redirect: 'manual' });
  await response.text();
  if (response.status !== 200) throw new Error(`${path} answered ${response.status}`);
};

const answers = async (port: number): Promise<void> => {
  for (const until = Date.now() + 60_000; Date.now() < until; await new Promise((r) => setTimeout(r, 100)))
    if (await fetch(`http://localhost:${port}/`, { redirect: 'manual' }).catch(() => undefined)) return;
  throw new Error(`nothing answers on ${port}`);
};

/** A session as the sign-in page would give it. */
const sessionCookie = async (): Promise<string> => {
  const person = PEOPLE[2] as (typeof PEOPLE)[number];
  const body = { username: person.id, password: person.pin };
  const { headers } = await (await theAuth()).api.signInUsername({ body, returnHeaders: true });
  return headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
};
