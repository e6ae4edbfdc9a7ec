import { and, asc, count, desc, eq, gt, gte, inArray, isNull, lt, lte, or, type SQL, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { BookLine } from '@/core/book/book-columns';
import { type BookFilter, isFiltered } from '@/core/book/book-filter';
import { COMPLAINT_NAMES, sayComplaint } from '@/core/book-in/complaint';
import { FAMILIES } from '@/core/family/families';
import type { Sort } from '@/core/schema/sort';
import { LEFT } from '@/core/unit/teaches';
import type { TrayTag } from '@/core/unit/tray-tag';
import { tagNumber } from '@/core/unit/unit-record';
import { bookWhere } from '../book/book-where';
import type { Reader } from '../engine/connection';
import { tallyOf } from '../engine/tally';
import { bookUnits, customers, familyVariants, jobs, units } from '../tables';
import { type AtBranch, isAt } from './at-branch';

/** A part of a list, and how many are in all of it. */
export type Listed = { readonly units: readonly TrayTag[]; readonly inAll: number };

/** Trays that a rack shows; a shop with more in it is told so. */
const ON_THE_RACK = 1000;

/** Units in the shop, by due date. @param at those at a branch, or on their way to it; all where it is not said */
export async function onTheRack(db: Reader, at?: AtBranch): Promise<Listed> {
  const where = and(isNull(units.exit), at && or(isAt(units.branch, at), eq(units.goesTo, at.id)));
  const [[row], listed] = await Promise.all([
    db.select({ n: count() }).from(units).where(where),
    tags(db, where, [asc(units.dueAt)], ON_THE_RACK),
  ]);
  return { units: listed, inAll: row?.n ?? 0 };
}

/** Where a page of the book begins: behind the unit that left then. */
export type BookPlace = { readonly exitAt: number; readonly tagNo: number };
/** What the book is sorted by; the newest first where nobody asked. */
export const BOOK_SORTS = ['when', 'tag'] as const;

/** Of a filtered book, units past which they are not counted. */
export const BOOK_COUNTED = 5000;

/** A page of the units that have left. @param behind null: from the first on @param asked those of a filter; all where it is not said */
export async function leftUnits(
  db: Reader,
  behind: BookPlace | null,
  most: number,
  sort: Sort = { by: 'when', way: 'down' },
  asked: BookFilter = {},
): Promise<{ readonly units: readonly BookLine[]; readonly inAll: number }> {
  const [further, atLeast, inOrder] = sort.way === 'down' ? [lt, lte, desc] : [gt, gte, asc];
  const byWhen = sort.by === 'when';
  const after =
    behind === null
      ? undefined
      : byWhen
        ? and(
            atLeast(bookUnits.exitAt, behind.exitAt),
            or(further(bookUnits.exitAt, behind.exitAt), further(bookUnits.tagNo, behind.tagNo)),
          )
        : further(bookUnits.tagNo, behind.tagNo);
  const chosen = db
    .select({ id: bookUnits.unitId })
    .from(bookUnits)
    .where(and(bookWhere(asked), after))
    .orderBy(...(byWhen ? [inOrder(bookUnits.exitAt), inOrder(bookUnits.tagNo)] : [inOrder(bookUnits.tagNo)]))
    .limit(most);
  const page = await tags(
    db,
    inArray(units.id, chosen),
    byWhen ? [inOrder(units.exitAt), inOrder(units.tagNo)] : [inOrder(units.tagNo)],
    most,
  );
  const known = new Map(
    (
      await db
        .select(KNOWN)
        .from(bookUnits)
        .where(
          inArray(
            bookUnits.unitId,
            page.map((u) => u.id),
          ),
        )
    ).map(({ id, ...row }) => [id, row]),
  );
  const lines = page.flatMap((u) => {
    const row = known.get(u.id);
    return row === undefined ? [] : [{ ...u, ...row }];
  });
  return { units: lines, inAll: isFiltered(asked) ? await countOf(db, asked) : ((await tallyOf(db, LEFT)).get('') ?? 0) };
}

const KNOWN = {
  id: bookUnits.unitId,
  material: bookUnits.material,
  way: bookUnits.way,
  backAt: bookUnits.backAt,
  school: bookUnits.school,
  marginMm: bookUnits.marginMm,
  confidence: bookUnits.confidence,
  rulesVersion: bookUnits.rulesVersion,
  programme: bookUnits.programme,
  rig: bookUnits.rig,
};

const countOf = async (db: Reader, asked: BookFilter): Promise<number> => {
  const some = db
    .select({ one: sql<number>`1`.as('one') })
    .from(bookUnits)
    .where(bookWhere(asked))
    .limit(BOOK_COUNTED + 1)
    .as('some');
  const [row] = await db.select({ n: count() }).from(some);
  return row?.n ?? 0;
};

/** Units of one customer that are shown. */
const OF_ONE = 200;

/** Units of a customer, in the shop or not, the newest first. */
export async function unitsOfCustomer(db: Reader, customerId: string): Promise<Listed> {
  const theirs = db.select({ id: jobs.id }).from(jobs).where(eq(jobs.customerId, customerId));
  const where = inArray(units.jobId, theirs);
  const [[row], listed] = await Promise.all([
    db.select({ n: count() }).from(units).where(where),
    tags(db, where, [desc(units.tagNo)], OF_ONE),
  ]);
  return { units: listed, inAll: row?.n ?? 0 };
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
      complaints: u.complaints,
      complaintText: u.complaintText,
      branch: u.branch,
      goesTo: u.goesTo,
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

/** What is suggested at once. */
const SUGGESTED = 8;

/** Customers and machines of the shop's units in whose names each word of what was typed begins a word or stands, those of the newest units first; at most eight of each. */
export async function knownAtCounter(db: Reader, customer: string, machine: string) {
  const jobsWith = async (text: string) => {
    const hits = hitsOf(text.slice(0, LONGEST));
    if (hits === undefined) return [];
    return db
      .select({ name: customers.name, phone: customers.phone, machine: jobs.machine })
      .from(units)
      .innerJoin(jobs, eq(units.jobId, jobs.id))
      .innerJoin(customers, eq(jobs.customerId, customers.id))
      .where(sql`${units.tagNo} in (${hits})`)
      .orderBy(desc(units.tagNo))
      .limit(COUNTED);
  };
  const has = (name: string, text: string): boolean =>
    text
      .toLowerCase()
      .split(/\s+/)
      .every((word) => name.toLowerCase().includes(word));
  const [byCustomer, byMachine] = [await jobsWith(customer), await jobsWith(machine)];
  const people = new Map(
    byCustomer.filter((j) => has(j.name, customer)).map((j) => [`${j.name}\n${j.phone}`, { name: j.name, phone: j.phone }]),
  );
  const own = byCustomer.filter((j) => j.name === customer && has(j.machine, machine)).map((j) => j.machine);
  const all = byMachine.filter((j) => has(j.machine, machine)).map((j) => j.machine);
  return { customers: [...people.values()].slice(0, SUGGESTED), machines: [...new Set([...own, ...all])].slice(0, SUGGESTED) };
}
