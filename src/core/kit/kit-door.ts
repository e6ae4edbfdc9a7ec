import { z } from 'zod';
import { DimsDoor } from '../family/dims-door';
import { RuleOverridesDoor } from '../rules/rule-door';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';

const Id = text().min(1).max(100);
const Kind = text().min(1).max(60);
const Qty = z.number().int().min(1).max(1000);
const Price = z.number().min(0).max(1e7);
const Stock = z.number().int().min(0).max(1e6).nullish();
const LeadDays = z.number().min(0).max(3650).nullish();

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
    ).nullish(),
    promiseDays: z.number().min(0).max(3650).nullish(),
    allowUnverified: z.boolean().nullish(),
    rules: RuleOverridesDoor,
  })
  .meta({ id: 'KitMatchRequest' });
