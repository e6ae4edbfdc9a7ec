import { and, desc, eq, isNotNull, ne } from 'drizzle-orm';
import { BagItems, Findings } from '@/core/kit/bag-schema';
import { stored } from '@/core/schema/stored';
import type { LotFinding } from '@/core/store/stock-record';
import type { Reader } from '../engine/connection';
import { bags, units } from '../tables';

const [Items, Found] = [stored(BagItems), stored(Findings)];

/** Bags that were not as the catalogue says, of all articles or of one, the newest first. */
export async function lotFindings(db: Reader, articleId?: string): Promise<readonly LotFinding[]> {
  const rows = await db
    .select({ lotId: bags.lotId, tagNo: units.tagNo, at: bags.openedAt, items: bags.items, findings: bags.findings })
    .from(bags)
    .innerJoin(units, eq(units.id, bags.unitId))
    .where(and(isNotNull(bags.openedAt), ne(bags.findings, []), articleId === undefined ? undefined : eq(bags.articleId, articleId)))
    .orderBy(desc(bags.openedAt));
  return rows.map((r) => ({ ...r, at: r.at ?? 0, items: Items.parse(r.items), findings: Found.parse(r.findings) }));
}
