import { and, asc, count, desc, eq, inArray, isNotNull, isNull, lt, or, type SQL, sql } from 'drizzle-orm';
import { z } from 'zod';
import { COMPLAINT_NAMES, sayComplaint } from '@/core/book-in/complaint';
import { FAMILIES } from '@/core/family/families';
import { LEFT } from '@/core/unit/teaches';
import type { TrayTag } from '@/core/unit/tray-tag';
import { tagNumber } from '@/core/unit/unit-record';
import type { Reader } from '../engine/connection';
import { tallyOf } from '../engine/tally';
import { customers, familyVariants, jobs, units } from '../tables';

/** A part of a list, and how many are in all of it. */
export type Listed = { readonly units: readonly TrayTag[]; readonly inAll: number };

/** Trays that a rack shows; a shop with more in it is told so. */
const ON_THE_RACK = 1000;

/** Units in the shop, by due date. */
export async function onTheRack(db: Reader): Promise<Listed> {
  const [row] = await db.select({ n: count() }).from(units).where(isNull(units.exit));
  return { units: await tags(db, isNull(units.exit), [asc(units.dueAt)], ON_THE_RACK), inAll: row?.n ?? 0 };
}

/** Where a page of the book begins: behind the unit that left then. */
export type BookPlace = { readonly exitAt: number; readonly tagNo: number };

/** A page of the units that have left, the newest first. @param behind null: from the newest on */
export async function leftUnits(db: Reader, behind: BookPlace | null, most: number): Promise<Listed> {
  const older =
    behind === null ? undefined : or(lt(units.exitAt, behind.exitAt), and(eq(units.exitAt, behind.exitAt), lt(units.tagNo, behind.tagNo)));
  const page = await tags(db, and(isNotNull(units.exitAt), older), [desc(units.exitAt), desc(units.tagNo)], most);
  return { units: page, inAll: (await tallyOf(db, LEFT)).get('') ?? 0 };
}

/** Units that a search shows, and those past which they are not counted. */
const [FOUND, COUNTED] = [60, 1000];

/** Units by tag, machine, customer, or marks on the casting, in the shop or not, the newest first. Every word must stand somewhere; one or two letters must begin a word. */
export async function findUnits(db: Reader, text: string): Promise<Listed & { readonly counted: 'all' | 'not-all' }> {
  const [number, hits] = [tagNumber(text), hitsOf(text)];
  if (hits === undefined) return { units: [], inAll: 0, counted: 'all' };
  const tagNos = await db.all<{ tagNo: number }>(
    sql`select tag_no as tagNo from ${units} where tag_no = ${number ?? -1} union ${hits} order by 1 desc limit ${COUNTED + 1}`,
  );
  const shown = tagNos.slice(0, FOUND).map((t) => t.tagNo);
  const exact = number !== undefined && tagNos.some((t) => t.tagNo === number) ? [number] : [];
  const found = await tags(db, inArray(units.tagNo, [...exact, ...shown]), [desc(units.tagNo)], FOUND + 1);
  return {
    units: found.toSorted((a, b) => Number(b.tagNo === number) - Number(a.tagNo === number)),
    inAll: Math.min(tagNos.length, COUNTED),
    counted: tagNos.length > COUNTED ? 'not-all' : 'all',
  };
}

/** Tag numbers of units whose text holds every word of a search; undefined where there is no word. */
const hitsOf = (text: string): SQL | undefined => {
  const words = text.split(/[\s"]+/).filter((w) => /[\p{L}\p{N}]/u.test(w));
  const [long, short] = [words.filter((w) => [...w].length >= 3), words.filter((w) => [...w].length < 3)];
  const grams = long.map((w) => `"${w}"`).join(' ');
  const starts = short.map((w) => `"${w}"*`).join(' ');
  if (words.length === 0) return undefined;
  if (long.length === 0) return newest(sql`unit_words where unit_words match ${starts} order by rowid desc limit ${COUNTED + 1}`);
  if (short.length === 0) return newest(sql`unit_grams where unit_grams match ${grams} order by rowid desc limit ${COUNTED + 1}`);
  return newest(
    sql`unit_grams where unit_grams match ${grams} and rowid in (select rowid from unit_words where unit_words match ${starts}) order by rowid desc limit ${COUNTED + 1}`,
  );
};
const newest = (from: SQL): SQL => sql`select * from (select rowid from ${from})`;

const Complaints = z.array(z.enum(COMPLAINT_NAMES));

const tags = async (db: Reader, where: SQL | undefined, order: readonly SQL[], limit: number): Promise<readonly TrayTag[]> => {
  const rows = await db
    .select({
      id: units.id,
      tagNo: units.tagNo,
      family: units.family,
      variantLabel: familyVariants.label,
      station: units.station,
      outcome: units.outcome,
      targetDiaMm: units.targetDiaMm,
      dueAt: units.dueAt,
      exit: units.exit,
      exitAt: units.exitAt,
      position: units.position,
      machine: jobs.machine,
      complaints: jobs.complaints,
      complaintText: jobs.complaintText,
      customer: customers.name,
    })
    .from(units)
    .innerJoin(jobs, eq(units.jobId, jobs.id))
    .innerJoin(customers, eq(jobs.customerId, customers.id))
    .leftJoin(familyVariants, eq(units.variantId, familyVariants.id))
    .where(where)
    .orderBy(...order)
    .limit(limit);
  return rows.map(({ complaints, complaintText, variantLabel, ...row }) => ({
    ...row,
    familyLabel: variantLabel ?? FAMILIES[row.family].label,
    complaint: sayComplaint(Complaints.parse(complaints), complaintText),
  }));
};
