import { and, asc, count, desc, eq, inArray, isNotNull, isNull, lt, lte, or, type SQL, sql } from 'drizzle-orm';
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
    behind === null ? undefined : and(lte(units.exitAt, behind.exitAt), or(lt(units.exitAt, behind.exitAt), lt(units.tagNo, behind.tagNo)));
  const page = await tags(db, and(isNotNull(units.exitAt), older), [desc(units.exitAt), desc(units.tagNo)], most);
  return { units: page, inAll: (await tallyOf(db, LEFT)).get('') ?? 0 };
}

/** Letters of a search that are read. */
const LONGEST = 200;
/** Units that a search shows, and those past which they are not counted. */
const [FOUND, COUNTED] = [60, 1000];

/** Units by tag, machine, customer, or marks on the casting, in the shop or not, the newest first. Every word must be there. */
export async function findUnits(db: Reader, text: string): Promise<Listed & { readonly counted: 'all' | 'not-all' }> {
  const [number, hits] = [tagNumber(text), hitsOf(text.slice(0, LONGEST))];
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

/**
 * Tag numbers of units whose text holds every word of a search, the newest first; undefined where there is no word. A word of three letters or
 * more may stand anywhere in it; with shorter ones among them, which no index of threes knows, each must begin a word.
 */
const hitsOf = (text: string): SQL | undefined => {
  const words = text.split(/[\s"]+/).filter((w) => /[\p{L}\p{N}]/u.test(w));
  if (words.length === 0) return undefined;
  const newest = sql`order by rowid desc limit ${COUNTED + 1}`;
  return words.every((w) => [...w].length >= 3)
    ? sql`select * from (select rowid from unit_grams where unit_grams match ${words.map((w) => `"${w}"`).join(' ')} ${newest})`
    : sql`select * from (select rowid from unit_words where unit_words match ${words.map((w) => `"${w}"*`).join(' ')} ${newest})`;
};

// What one row of before holds must not take the list with it.
const Complaints = z.array(z.enum(COMPLAINT_NAMES)).catch([]);

const tags = async (db: Reader, where: SQL | undefined, order: readonly SQL[], limit: number): Promise<readonly TrayTag[]> => {
  // The units are chosen before anything is joined to them: else all customers may be gone through to find them.
  const u = db
    .select()
    .from(units)
    .where(where)
    .orderBy(...order)
    .limit(limit)
    .as('u');
  const rows = await db
    .select({
      id: u.id,
      tagNo: u.tagNo,
      family: u.family,
      variantLabel: familyVariants.label,
      station: u.station,
      outcome: u.outcome,
      targetDiaMm: u.targetDiaMm,
      dueAt: u.dueAt,
      exit: u.exit,
      exitAt: u.exitAt,
      position: u.position,
      machine: jobs.machine,
      complaints: jobs.complaints,
      complaintText: jobs.complaintText,
      customer: customers.name,
    })
    .from(u)
    .crossJoin(jobs)
    .crossJoin(customers)
    .leftJoin(familyVariants, eq(u.variantId, familyVariants.id))
    .where(and(eq(u.jobId, jobs.id), eq(jobs.customerId, customers.id)));
  return rows.map(({ complaints, complaintText, variantLabel, ...row }) => ({
    ...row,
    familyLabel: variantLabel ?? FAMILIES[row.family].label,
    complaint: sayComplaint(Complaints.parse(complaints), complaintText),
  }));
};
