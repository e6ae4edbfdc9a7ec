import { asc, eq } from 'drizzle-orm';
import { sayComplaint } from '@/core/book-in/complaint';
import type { Charges } from '@/core/cost/charge';
import { forCustomer, type Offered } from '@/core/quote/quote';
import { tagOf } from '@/core/unit/unit-record';
import { billsOfCustomer } from '../bill/bills';
import type { Reader } from '../engine/connection';
import { toQuote } from '../records/quote';
import { toUnit } from '../records/work';
import { approvals, certificates, customerEvents, jobs, outbox, quotes, units } from '../tables';
import { customerOf } from './customers';

const iso = (at: number | null): string | null => (at === null ? null : new Date(at).toISOString());

/** What the shop itself pays is nobody's but its own. */
const asOffered = (o: Offered): Offered => ({ ...o, charges: asBilled(o.charges) });
const asBilled = (c: Charges): Charges => ({ ...c, lines: c.lines.map(({ costCents: _, ...line }) => line) });

/** All that is kept of a customer, to be given to them; undefined where there is none. Times as ISO 8601. */
export async function customerFile(db: Reader, id: string, now: number) {
  const customer = await customerOf(db, id);
  if (customer === undefined) return undefined;
  const ofThem = eq(jobs.customerId, customer.id);
  const billed = await billsOfCustomer(db, customer.id);
  const [theirs, asked, offered, told, stated, changed] = await Promise.all([
    db.select({ unit: units, job: jobs }).from(units).innerJoin(jobs, eq(units.jobId, jobs.id)).where(ofThem).orderBy(asc(units.tagNo)),
    db
      .select({ a: approvals })
      .from(approvals)
      .innerJoin(units, eq(approvals.unitId, units.id))
      .innerJoin(jobs, eq(units.jobId, jobs.id))
      .where(ofThem),
    db
      .select({ q: quotes })
      .from(quotes)
      .innerJoin(units, eq(quotes.unitId, units.id))
      .innerJoin(jobs, eq(units.jobId, jobs.id))
      .where(ofThem),
    db
      .select({ m: outbox })
      .from(outbox)
      .innerJoin(units, eq(outbox.unitId, units.id))
      .innerJoin(jobs, eq(units.jobId, jobs.id))
      .where(ofThem),
    db
      .select({ unitId: certificates.unitId, number: certificates.number })
      .from(certificates)
      .innerJoin(units, eq(certificates.unitId, units.id))
      .innerJoin(jobs, eq(units.jobId, jobs.id))
      .where(ofThem),
    db.select().from(customerEvents).where(eq(customerEvents.customerId, customer.id)).orderBy(asc(customerEvents.at)),
  ]);
  const { name, phone, mail, address } = customer;
  return {
    eddrin: 'customer',
    version: 1,
    at: iso(now),
    customer: { name, phone, mail, address },
    units: theirs.map(({ unit: row, job }) => {
      const unit = toUnit(row);
      const own = <T extends { readonly unitId: string }>(rows: readonly T[]): readonly T[] => rows.filter((r) => r.unitId === unit.id);
      return {
        tag: tagOf(unit),
        family: unit.family,
        position: unit.position,
        machine: job.machine,
        marks: unit.identityMarks,
        complaint: sayComplaint(unit.complaints, unit.complaintText),
        cameIn: iso(unit.createdAt),
        promised: iso(unit.dueAt),
        left: iso(unit.exitAt),
        how: unit.exit,
        certificates: own(stated).map((c) => c.number),
        questions: own(asked.map(({ a }) => a)).map((a) => ({
          at: iso(a.at),
          text: a.text,
          answer: a.answer,
          answered: iso(a.answeredAt),
        })),
        quotes: own(offered.map(({ q }) => q)).map((row) => {
          const { at, validUntil, words, options, questions, answer } = forCustomer(toQuote(row));
          return { at: iso(at), validUntil: iso(validUntil), words, options: options.map(asOffered), questions, answer };
        }),
        bills: own(billed).map(({ number, kind, at, charges }) => ({ number, kind, at: iso(at), charges: asBilled(charges) })),
        messages: own(told.map(({ m }) => m)).map((m) => ({ at: iso(m.at), to: m.to, mail: m.mail, text: m.text, state: m.state })),
      };
    }),
    changed: changed.map(({ at, what }) => ({ at: iso(at), what })),
  };
}
