import { z } from 'zod';
import { UNIT_KINDS } from '../family/family-name';
import { Id } from '../schema/target';
import { text } from '../schema/text';
import { Version } from '../schema/when';
import { STATIONS } from '../station';
import { WAYS } from '../way';
import { CHARGES, type Price } from './price';

/** More than anything here costs, in the smallest coin of any money. */
const Cents = z.number('what does it cost?').int('has no smaller coin').min(0, 'is at least nothing').max(1e10);
const Family = z.enum(UNIT_KINDS);
const Mm = z.number().min(1).max(300);
const Days = z.number('how many days?').int().min(0).max(3650);
const Supplier = text().trim().max(80);
const instead = <K extends 'exchange' | 'new'>(what: K) =>
  z.object({
    what: z.literal(what),
    number: text().trim().min(1, 'what is its number?').max(60),
    family: Family,
    boreMm: Mm.nullable(),
    fitment: Id.nullable(),
    supplier: Supplier,
    stock: z.number().int().min(0).max(100_000),
    days: Days,
    cents: Cents,
  });

/** A line of the price list, as it is entered and as it lies in the database. */
export const PriceSchema = z.discriminatedUnion('what', [
  z.object({
    what: z.literal('work'),
    family: Family.nullable(),
    way: z.enum(WAYS).nullable(),
    station: z.enum(STATIONS).nullable(),
    cents: Cents,
  }),
  z.object({
    what: z.literal('sleeve'),
    family: Family.nullable(),
    uptoMm: Mm.nullable(),
    supplier: Supplier.min(1, 'who sleeves it?'),
    days: Days,
    cents: Cents,
  }),
  instead('exchange'),
  instead('new'),
  z.object({
    what: z.literal('tax'),
    name: text().trim().min(1, 'what is it called?').max(40),
    on: z.enum(CHARGES).nullable(),
    pct: z.number('how many per cent?').min(0).max(100),
  }),
  z.object({ what: z.literal('rounding'), cents: Cents.min(1, 'is at least one') }),
]) satisfies z.ZodType<Price>;

export const SavePrice = z.object({ id: Id, as: z.enum(['new', 'known']), price: PriceSchema });
export const DropPrice = z.object({ id: Id, key: text().min(1).max(300), after: Version });
