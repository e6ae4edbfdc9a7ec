import { z } from 'zod';
import { RuleOverridesSchema } from '../rules/rule-schema';
import { crossCheck, entriesOf, fieldOf } from '../schema/cross-check';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';

const Id = text().min(1).max(100);
const Kind = text().min(1).max(60);

const Fields = z.object({
  chambers: uniqueIds(
    z
      .array(z.strictObject({ id: Id, pressure: z.enum(['none', 'reservoir', 'working']) }))
      .min(1)
      .max(50),
  ),
  seals: uniqueIds(
    z.array(z.strictObject({ id: Id, kind: Kind, between: z.tuple([Id, Id]), faces: z.enum(['open', 'blind']).nullish() })).max(200),
  ),
  slots: z.array(Id).max(500).nullish(),
  removed: uniqueIds(
    z.array(z.strictObject({ id: Id, kind: Kind.nullish(), fate: z.enum(['refitted', 'replaced', 'binned']).nullish() })).max(500),
  ).nullish(),
  fitted: z
    .array(z.strictObject({ id: Id, slot: Id }))
    .max(500)
    .nullish(),
  rules: RuleOverridesSchema,
});

export const StackRequest = crossCheck(Fields, (value, report) => {
  const order = entriesOf(fieldOf(value, 'chambers')).map((c) => c.id);
  for (const [i, { between }] of entriesOf(fieldOf(value, 'seals')).entries()) {
    const [open, blind]: readonly unknown[] = Array.isArray(between) ? between : [];
    if (typeof open !== 'string' || typeof blind !== 'string') continue;
    const message = notNeighbours(order, open, blind);
    if (message !== undefined) report(['seals', i, 'between'], message);
  }
}).meta({ id: 'StackCheckRequest' });

const notNeighbours = (order: readonly unknown[], open: string, blind: string): string | undefined => {
  const unknown = [open, blind].filter((id) => !order.includes(id));
  if (unknown.length > 0) return `no such chamber: ${unknown.join(', ')}`;
  if (order.indexOf(blind) === order.indexOf(open) + 1) return undefined;
  return order.indexOf(blind) === order.indexOf(open) - 1
    ? 'the chamber on the open-end side comes first'
    : `${open} and ${blind} are not neighbours`;
};
