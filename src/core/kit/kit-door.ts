import { z } from 'zod';
import { RuleOverridesDoor } from '../rules/rule-door';
import { crossCheck } from '../schema/cross-check';
import { uniqueIds } from '../schema/unique';

const Id = z.string().min(1).max(100);
const Kind = z.string().min(1).max(60);
const Qty = z.number().int().min(1).max(1000);
const Price = z.number().min(0).max(1e7);
const Stock = z.number().int().min(0).max(1e6).nullish();
const LeadDays = z.number().min(0).max(3650).nullish();

/** Dimensions: a number in mm where the name ends in Mm, text for a thread, else either. */
export const DimsDoor = crossCheck(
  z.record(
    z.string().min(1).max(40),
    z.union([z.number().min(-1e6).max(1e6), z.string().min(1).max(100)], 'must be a number or text').nullable(),
  ),
  (value, report) => {
    for (const [name, dim] of Object.entries(typeof value === 'object' && value !== null ? value : {})) {
      if (name.endsWith('Mm') && typeof dim === 'string') report([name], 'must be a number of mm');
      if (name.endsWith('Mm') && typeof dim === 'number' && !(dim > 0 && dim <= 10_000))
        report([name], 'must be above 0 and at most 10000 mm');
      if (name === 'thread' && typeof dim === 'number') report([name], 'must be text, as M10x1');
    }
  },
);

export const KitItemDoor = z.strictObject({ kind: Kind, qty: Qty, dims: DimsDoor });

export const KitMatchRequest = z
  .object({
    needs: uniqueIds(
      z.array(z.strictObject({ id: Id, kind: Kind, qty: Qty, dims: DimsDoor, policy: z.enum(['replace', 'prefer', 'reuse-ok']) })).max(200),
    ),
    kits: uniqueIds(
      z.array(z.strictObject({ id: Id, price: Price, stock: Stock, leadDays: LeadDays, items: z.array(KitItemDoor).max(200) })).max(5000),
    ),
    sundries: uniqueIds(
      z.array(z.strictObject({ id: Id, kind: Kind, dims: DimsDoor, price: Price, stock: Stock, leadDays: LeadDays })).max(5000),
    ),
    promiseDays: z.number().min(0).max(3650).nullish(),
    allowUnverified: z.boolean().nullish(),
    rules: RuleOverridesDoor,
  })
  .meta({ id: 'KitMatchRequest' });
