import { fc, test as property } from '@fast-check/vitest';
import { beforeAll, describe, expect, test } from 'vitest';
import { find } from '@/db/book-in/findings';
import { unitOfTag } from '@/db/engine/cached-units';
import { databaseUrl, openDb } from '@/db/engine/connection';
import { reopenAfterFail } from '@/db/prove/proof';
import { recordPart } from '@/db/strip/tray';
import { undoLast } from '@/db/unit/undo';
import { endWait, ringWait, startWait } from '@/db/unit/waits';
import { SOUND } from '../../devices/rig/chamber';
import { openShop, type Shop, START } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});
const keptOf = async (unitId: string) => unitOfTag(shop.db, (await shop.record(unitId)).unit.tagNo);

const STEPS = {
  wait: async (id: string) => void (await startWait(shop.db, await shop.change(id, 'wait-started'), { label: 'soak', minutes: 1 })),
  ended: async (id: string) => {
    const timer = (await shop.record(id)).timers.find((t) => t.doneAt === null);
    if (timer !== undefined) await endWait(shop.db, await shop.change(id, 'wait-ended'), timer.id);
  },
  part: async (id: string) => {
    const [part] = (await shop.record(id)).tray;
    await recordPart(shop.db, await shop.change(id, 'part-recorded'), part?.id as string, { found: 'present', note: 'torn' });
  },
  found: async (id: string) => void (await find(shop.db, await shop.change(id, 'found'), { about: 'cause', name: 'air', answer: 'yes' })),
  undone: async (id: string) => void (await undoLast(shop.db, await shop.change(id, 'undone'))),
} as const;

describe('a unit that is kept', () => {
  property.prop([fc.array(fc.constantFrom(...(Object.keys(STEPS) as (keyof typeof STEPS)[])), { minLength: 1, maxLength: 6 })], {
    numRuns: 12,
  })('reads as the database has it, after whatever was done', async (steps) => {
    const id = await shop.book();
    await keptOf(id);
    for (const step of steps) {
      await STEPS[step](id);
      expect(await keptOf(id)).toEqual(await shop.record(id));
    }
    expect(await keptOf(id)).toBe(await keptOf(id));
  });

  test.each(['master-tandem', 'wheel-double', 'booster'] as const)(
    '%s: reads as the database has it, all the way from the counter to release',
    async (family) => {
      const id = await shop.book({ family, nominalMm: family === 'booster' ? null : 22.225 });
      const work = shop.worker(id);
      const { drawing } = (await shop.record(id)).family;
      const bored = drawing !== null;
      await keptOf(id);
      const stages = [
        () => work.strip(),
        () => work.clean(),
        ...(bored ? [() => work.gauge(), () => work.judge('sound')] : []),
        () => work.kit(),
        () => work.closeUp(),
        () => work.set(),
        () => (bored ? work.prove({ ...SOUND, leakMlPerMinAt80: 0.4 }) : work.tryByHand()),
        ...(bored
          ? [
              async () =>
                void (await reopenAfterFail(shop.db, await shop.change(id, 'reopened'), 'A screw, plug or washer that is not tight')),
              () => work.closeUp(),
              () => work.set(),
              () => work.prove(SOUND),
            ]
          : []),
        () => work.release(),
      ];
      for (const stage of stages) {
        await stage();
        expect(await keptOf(id)).toEqual(await shop.record(id));
      }
      expect((await keptOf(id))?.unit.exit).toBe('released');
    },
  );

  test('a part between two others stands in its place', async () => {
    const id = await shop.book();
    await keptOf(id);
    await shop.worker(id).addForeign('o-ring', 'O-ring behind the cup', 'left-cup', 'packed');
    const kept = await keptOf(id);
    expect(kept).toEqual(await shop.record(id));
    expect(kept?.tray.at(-1)?.name).not.toBe('O-ring behind the cup');
  });

  test('is read again when another process changed it', async () => {
    const id = await shop.book();
    await keptOf(id);
    const elsewhere = await openDb(databaseUrl());
    await startWait(elsewhere, await shop.change(id, 'wait-started'), { label: 'cure', minutes: 60 });
    expect((await keptOf(id))?.timers.map((t) => t.label)).toEqual(['cure']);
  });

  test('does not forget that a wait rang when the wait is ended', async () => {
    const id = await shop.book();
    await STEPS.wait(id);
    const [timer] = (await keptOf(id))?.timers ?? [];
    expect(await ringWait(shop.db, timer?.id as string, (timer?.endsAt as number) + START)).toBe(true);
    await STEPS.ended(id);
    expect(await ringWait(shop.db, timer?.id as string, (timer?.endsAt as number) + START)).toBe(false);
    const rows = await shop.db.query.timers.findMany({ columns: { rungAt: true, id: true } });
    expect(rows.find((r) => r.id === timer?.id)?.rungAt).not.toBeNull();
  });
});
