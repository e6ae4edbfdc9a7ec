import { z } from 'zod';
import { DimsSchema } from '../family/dims-schema';
import { RuleOverridesSchema } from '../rules/rule-schema';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';

const Id = text().min(1).max(100);
const Kind = text().min(1).max(60);
const Qty = z.number().int().min(1).max(1000);
const Price = z.number().min(0).max(1e7);
const Stock = z.number().int().min(0).max(1e6).nullish();
const LeadDays = z.number().min(0).max(3650).nullish();

export const KitItemSchema = z.strictObject({ kind: Kind, qty: Qty, dims: DimsSchema });

export const KitMatchRequest = z
  .object({
    needs: uniqueIds(
      z
        .array(z.strictObject({ id: Id, kind: Kind, qty: Qty, dims: DimsSchema, policy: z.enum(['replace', 'prefer', 'reuse-ok']) }))
        .max(200),
    ),
    kits: uniqueIds(
      z.array(z.strictObject({ id: Id, price: Price, stock: Stock, leadDays: LeadDays, items: z.array(KitItemSchema).max(200) })).max(5000),
    ),
    sundries: uniqueIds(
      z.array(z.strictObject({ id: Id, kind: Kind, dims: DimsSchema, price: Price, stock: Stock, leadDays: LeadDays })).max(5000),
    ).nullish(),
    promiseDays: z.number().min(0).max(3650).nullish(),
    allowUnverified: z.boolean().nullish(),
    rules: RuleOverridesSchema,
  })
  .meta({ id: 'KitMatchRequest' });
