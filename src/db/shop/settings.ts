import { and, count, desc, eq, isNull, or, sql } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/result';
import { stored } from '@/core/schema/stored';
import type { Branch } from '@/core/shop/branch';
import { localeOf, type ShopSettings, ShopSettings as ShopSettingsSchema, STANDARD_SHOP } from '@/core/shop/settings';
import { settingsChanged } from '@/core/shop/what-changed';
import type { Db, Reader, Tx } from '../engine/connection';
import { prepared } from '../engine/prepared';
import { instruments, people, shopSettings, units } from '../tables';
import { tellShop } from './shop-events';

/** The shop as it is set now; version 0 where nothing was set yet. */
export type Shop = { readonly version: number; readonly settings: ShopSettings };

const newest = prepared((db: Reader) => db.select().from(shopSettings).orderBy(desc(shopSettings.version)).limit(1).prepare());

export const theShop = async (db: Reader): Promise<Shop> => {
  const [row] = await newest(db).execute();
  return row === undefined
    ? { version: 0, settings: STANDARD_SHOP }
    : { version: row.version, settings: stored(ShopSettingsSchema).parse(row.settings) };
};

/** Sets the shop's manner of writing for this process; at its start and after each change. */
export const takeLocale = async (db: Reader): Promise<void> => {
  const { version, settings } = await theShop(db);
  // Nothing was set: the machine's own ways.
  if (version === 0) {
    globalThis.eddrinLocale = undefined;
    return;
  }
  const letters = await db.all<{ readonly letters: string }>(
    sql`select distinct json_extract(${shopSettings.settings}, '$.tagPrefix') as letters from ${shopSettings} order by ${shopSettings.version} desc`,
  );
  globalThis.eddrinLocale = localeOf(settings, [...letters.map((l) => l.letters), STANDARD_SHOP.tagPrefix]);
};

export type SettingsError =
  | { readonly code: 'changed-meanwhile' }
  | { readonly code: 'still-used'; readonly branch: string; readonly units: number; readonly people: number; readonly gauges: number };

/** The first of some branches at which something is still, and what. */
const stillAt = async (
  tx: Reader,
  branches: readonly Branch[],
): Promise<Omit<Extract<SettingsError, { code: 'still-used' }>, 'code'> | undefined> => {
  for (const { id, name } of branches) {
    const [[u], [p], [g]] = await Promise.all([
      tx
        .select({ n: count() })
        .from(units)
        .where(and(isNull(units.exit), or(eq(units.branch, id), eq(units.goesTo, id)))),
      tx
        .select({ n: count() })
        .from(people)
        .where(and(isNull(people.leftAt), eq(people.branch, id))),
      tx
        .select({ n: count() })
        .from(instruments)
        .where(and(isNull(instruments.retiredAt), eq(instruments.branch, id))),
    ]);
    const held = { branch: name, units: u?.n ?? 0, people: p?.n ?? 0, gauges: g?.n ?? 0 };
    if (held.units + held.people + held.gauges > 0) return held;
  }
  return undefined;
};

/** @param after the version that it was made from; another in between refuses it */
export const saveSettings = async (
  db: Db,
  by: { readonly personId: string; readonly at: number },
  after: number,
  settings: ShopSettings,
): Promise<Result<{ readonly version: number }, SettingsError>> => {
  const saved = await db.transaction<Result<{ readonly version: number }, SettingsError>>(async (tx) => {
    const now = await theShop(tx);
    if (now.version !== after) return fail({ code: 'changed-meanwhile' });
    const gone = now.settings.branches.filter((b) => !settings.branches.some((x) => x.id === b.id));
    const held = await stillAt(tx, gone);
    if (held !== undefined) return fail({ code: 'still-used', ...held });
    const lines = settingsChanged(now.settings, settings);
    if (lines.length === 0) return ok({ version: now.version });
    await writeSettings(tx, by, now.version + 1, settings);
    await tellShop(tx, { ...by, kind: 'settings-changed', lines });
    return ok({ version: now.version + 1 });
  });
  await takeLocale(db);
  return saved;
};

export const writeSettings = async (
  tx: Tx,
  by: { readonly personId: string; readonly at: number },
  version: number,
  settings: ShopSettings,
): Promise<void> => {
  await tx.insert(shopSettings).values({ version, ...by, settings });
};
