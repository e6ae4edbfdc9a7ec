import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { tagOf } from '@/core/unit/unit-record';
import type { Db } from '@/db/engine/connection';
import { onTheRack } from '@/db/rack/rack';
// @ts-expect-error plain Node, without types
import { SERVE } from '../steps.mjs';
import { type Line, median, timed } from './line';
import { answers, get, serve } from './served';

const [WARM_UP, ROUNDS] = [40, 60];
const DELAYS_MS = [0, 5, 30] as const;
const [OURS, THEIRS] = [4731, 4751];
const BUILD = process.env.EDDRIN_BUILD ?? '.next';

type Times = { readonly page: number; readonly save: number };

/** A unit's page and a save with its page, of a shop whose database is a file of its own, and behind a server 0, 5 and 30 ms away. */
export async function remoteLines(db: Db, cookie: string): Promise<readonly Line[]> {
  const unit = (await onTheRack(db)).units.find((u) => u.station === 'strip');
  if (unit === undefined) throw new Error('nothing is at Strip');
  const folder = mkdtempSync(join(tmpdir(), 'eddrin-remote-'));
  const ask = { path: `/units/${tagOf(unit)}/strip`, unitId: unit.id, cookie };
  const file = join(folder, 'shop.db');
  await db.run(sql`vacuum into ${file}`);
  const local = await timesOf(OURS, ask, { DATABASE_URL: `file:${file}` });
  const far: Times[] = [];
  for (const [i, delay] of DELAYS_MS.entries()) {
    const [port, copy] = [THEIRS + i, join(folder, `far-${delay}.db`)];
    await db.run(sql`vacuum into ${copy}`);
    const env = { EDDRIN_LIBSQL_FILE: copy, EDDRIN_LIBSQL_PORT: String(port), EDDRIN_LIBSQL_DELAY_MS: String(delay) };
    const server = serve(['--import', 'tsx', 'devices/libsql/server.ts'], env);
    try {
      await answers(port);
      far.push(await timesOf(OURS + 1 + i, ask, { DATABASE_URL: `http://127.0.0.1:${port}` }));
    } finally {
      server.kill();
    }
  }
  rmSync(folder, { recursive: true, force: true });
  const [near] = far as [Times, ...Times[]];
  return (['page', 'save'] as const).flatMap((what) =>
    far.map((times, i) => ({
      what: `${what === 'page' ? 'page: unit, strip' : 'a save and its page'}, the database ${DELAYS_MS[i]} ms away`,
      ours: `${times[what].toFixed(1)} ms`,
      peer: `0 ms away ${(times[what] / near[what]).toFixed(1)}×, a file here ${local[what].toFixed(1)} ms`,
      bar: DELAYS_MS[i] === 5 ? '≤ 2×' : '–',
      holds: DELAYS_MS[i] !== 5 || times[what] <= 2 * near[what],
    })),
  );
}

type Ask = { readonly path: string; readonly unitId: string; readonly cookie: string };

const timesOf = async (port: number, { path, unitId, cookie }: Ask, env: Readonly<Record<string, string>>): Promise<Times> => {
  const server = serve([...SERVE, String(port)], { EDDRIN_BUILD: BUILD, ...env });
  try {
    await answers(port);
    const save = async (i: number): Promise<void> => {
      const sent = { eventId: `far-${port}-${i}`, unitId, version: 0, label: 'soak', minutes: 5 };
      const response = await fetch(`http://localhost:${port}${path}`, {
        method: 'POST',
        body: JSON.stringify([sent]),
        headers: {
          'next-action': actionId('startWaitAction'),
          'content-type': 'text/plain;charset=UTF-8',
          origin: `http://localhost:${port}`,
          cookie,
        },
      });
      const text = await response.text();
      if (response.status !== 200 || !text.includes('"ok":true'))
        throw new Error(`a save answered ${response.status}: ${text.slice(0, 300)}`);
    };
    const [page, saves]: [number[], number[]] = [[], []];
    for (let i = 0; i < WARM_UP + ROUNDS; i++) {
      page.push(await timed(() => get(port, path, cookie)));
      saves.push(await timed(() => save(i)));
    }
    return { page: median(page.slice(WARM_UP)), save: median(saves.slice(WARM_UP)) };
  } finally {
    server.kill();
  }
};

/** By what number a page calls an action of this build. */
const actionId = (name: string): string => {
  const { node } = JSON.parse(readFileSync(join(BUILD, 'server/server-reference-manifest.json'), 'utf8')) as {
    readonly node: Readonly<Record<string, { readonly exportedName: string }>>;
  };
  const [id] = Object.entries(node).find(([, action]) => action.exportedName === name) ?? [];
  if (id === undefined) throw new Error(`the build has no ${name}`);
  return id;
};
