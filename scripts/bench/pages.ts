import { tagOf } from '@/core/unit/unit-record';
import type { Db } from '@/db/engine/connection';
import { leftUnits, onTheRack } from '@/db/rack/rack';

// @ts-expect-error plain Node, without types
import { SERVE } from '../steps.mjs';
import { busyLines } from './busy';
import { jsLine } from './js-sent';
import { type Line, median, timed } from './line';
import { withManyPhotos } from './many-photos';
import { paperLines } from './papers';
import { answers, get, serve } from './served';
import { framesLine } from './simulate';

const [WARM_UP, ROUNDS] = [150, 100];
const [OURS, EMPTY] = [4711, 4712];

/** Server time of the main pages at demo size beside an empty dynamic Next page, asked in turn. */
export async function pageLines(db: Db, cookie: string): Promise<readonly Line[]> {
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
    const released = tagOf((await leftUnits(db, null, 50)).units.find((u) => u.exit === 'released') ?? { tagNo: 1 });
    lines.push(...(await paperLines(OURS, cookie, released, tagAt('kit'))), ...(await busyLines(OURS, cookie)));
    lines.push(await framesLine(`http://localhost:${OURS}`, `http://localhost:${OURS}${pages['unit, hone']}`));
    return lines;
  } finally {
    for (const server of servers) server.kill();
  }
}
