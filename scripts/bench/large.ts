import { copyFileSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { tagOf } from '@/core/unit/unit-record';
import { type Db, databaseUrl, dataFolder } from '@/db/engine/connection';
import { onTheRack } from '@/db/rack/rack';
// @ts-expect-error plain Node, without types
import { SERVE } from '../steps.mjs';
import { largeShop } from './large-shop';
import { type Line, median, timed } from './line';
import { answers, get, serve } from './served';

const [SMALL, LARGE] = [
  { port: 4713, units: 1000, fitments: 1000 },
  { port: 4714, units: 100_000, fitments: 20_000 },
];
const [WARM_UP, ROUNDS] = [40, 60];
const BAR = 1.5;

/** Pages and answers of a shop of 100,000 units and 20,000 fitments beside the same of one of 1,000, asked in turn. */
export async function largeLines(db: Db, cookie: string): Promise<readonly Line[]> {
  const folder = mkdtempSync(join(tmpdir(), 'eddrin-large-'));
  const unit = tagOf((await onTheRack(db)).units[0] ?? { tagNo: 1 });
  const asked = {
    rack: '/',
    'find, a machine': '/find?q=quarry%20dumper',
    'find, a customer': '/find?q=customer%207',
    'find, a tag': `/find?q=${unit}`,
    'unit page': `/units/${unit}/strip`,
    book: '/book',
    'book, sleeved ones': '/book?way=sleeve',
    'book, a lot that none had': '/book?lot=none',
    'kit store': '/kits',
    'store, as one types': '/api/v1/store/find?q=7%2F8%20boot',
    'fitments, as one types': '/api/v1/store/find?of=fitments&q=tractor%201978%20rear',
    identify: '/api/v1/store/identify?boreMm=22.225&strokeMm=12',
    'book in': '/book-in',
  };
  const servers = await Promise.all(
    [SMALL, LARGE].map(async (size) => {
      const data = join(folder, String(size.units));
      mkdirSync(data);
      copyFileSync(join(dataFolder(), 'secret'), join(data, 'secret'));
      await largeShop(databaseUrl(), join(data, 'eddrin.db'), size);
      return serve([...SERVE, String(size.port)], { EDDRIN_BUILD: '.next', EDDRIN_DATA: data });
    }),
  );
  try {
    await Promise.all([answers(SMALL.port), answers(LARGE.port)]);
    const lines: Line[] = [];
    for (const [name, path] of Object.entries(asked)) {
      const [small, large]: [number[], number[]] = [[], []];
      for (let i = 0; i < WARM_UP + ROUNDS; i++) {
        small.push(await timed(() => get(SMALL.port, path, cookie)));
        large.push(await timed(() => get(LARGE.port, path, cookie)));
      }
      const [a, b] = [median(large.slice(WARM_UP)), median(small.slice(WARM_UP))];
      lines.push({
        what: `100,000 units, 20,000 fitments: ${name}`,
        ours: `${a.toFixed(1)} ms`,
        peer: `at 1,000: ${b.toFixed(1)} ms, ${(a / b).toFixed(2)}×`,
        bar: `≤ ${BAR}×`,
        holds: a / b <= BAR,
      });
    }
    return lines;
  } finally {
    for (const server of servers) server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}
