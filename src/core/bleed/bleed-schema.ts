import { z } from 'zod';
import { RuleOverridesSchema } from '../rules/rule-schema';
import { crossCheck, entriesOf, fieldOf } from '../schema/cross-check';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';
import { ORDERS, WIRE_FLUIDS } from './bleed-wire';
import { treeOf } from './tree';

const Name = text().min(1).max(100);
const Volume = z.number().min(0).max(100_000);

export const MasterSchema = z.strictObject({
  boreMm: z.number().positive().max(500),
  /** Of one circuit. */
  strokeMm: z.number().positive().max(1000),
  reservoirMl: z.number().positive().max(100_000),
  /** What must stay in it. */
  reservoirMinMl: Volume,
});
export const LineSchema = z.strictObject({
  id: Name,
  from: Name,
  to: Name,
  lengthMm: z.number().positive().max(1_000_000),
  innerMm: z.number().positive().max(200),
});
/** What the arithmetic takes of an end: a bleed screw, the node it sits at, and the cylinder that it empties. */
export const END_FIELDS = {
  id: Name,
  at: Name,
  volumeMl: Volume,
  /** Below the fluid in the reservoir; negative above it. */
  dropMm: z.number().min(-100_000).max(100_000).nullish(),
  screwOnTop: z.boolean().nullish(),
};

const SYSTEM_FIELDS = {
  master: MasterSchema,
  lines: uniqueIds(z.array(LineSchema).max(200)),
  ends: uniqueIds(z.array(z.strictObject(END_FIELDS)).min(1).max(200)),
  order: z.enum(ORDERS).nullish(),
  given: z.array(Name).max(200).nullish(),
  renewReservoir: z.boolean().nullish(),
  fluidIn: z.enum(WIRE_FLUIDS).nullish(),
  fluidFresh: z.enum(WIRE_FLUIDS).nullish(),
};

/** What holds across the fields of a system: lines that hang together, ends that sit on them, an order that names each end once. */
export const soundSystem = <S extends z.ZodType>(schema: S): S =>
  crossCheck(schema, (value, report) => {
    const lines = entriesOf(fieldOf(value, 'lines'));
    const ends = entriesOf(fieldOf(value, 'ends'));
    const tree = treeOf(lines.map((l) => ({ from: String(l.from), to: String(l.to) })));
    const into = new Set<unknown>();
    for (const [i, { from, to }] of lines.entries()) {
      if (typeof to === 'string' && into.has(to)) report(['lines', i, 'to'], `a line comes into "${to}" already`);
      into.add(to);
      if (typeof from !== 'string') continue;
      if (from === to) report(['lines', i, 'from'], 'goes from a place to itself');
      else if (!tree.reached.has(from)) report(['lines', i, 'from'], `nothing from the master reaches "${from}"`);
    }
    for (const [i, { at }] of ends.entries())
      if (typeof at === 'string' && lines.length > 0 && !tree.nodes.has(at)) report(['ends', i, 'at'], `there is no place "${at}"`);
    checkGiven(value, ends, report);
    const master = fieldOf(value, 'master');
    const [holds, least] = [fieldOf(master, 'reservoirMl'), fieldOf(master, 'reservoirMinMl')];
    if (typeof holds === 'number' && typeof least === 'number' && least >= holds)
      report(['master', 'reservoirMinMl'], `must be below what the reservoir holds, ${holds}`);
  });

const checkGiven = (
  value: unknown,
  ends: readonly Record<string, unknown>[],
  report: (path: readonly PropertyKey[], message: string) => void,
): void => {
  const given = fieldOf(value, 'given');
  if (fieldOf(value, 'order') !== 'given') {
    if (given != null) report(['given'], 'belongs to order "given" only');
    return;
  }
  if (!Array.isArray(given)) return report(['given'], 'names every end once, in its order');
  const ids = new Set(ends.map((e) => e.id));
  const named = new Set<unknown>();
  for (const [i, id] of given.entries()) {
    if (!ids.has(id)) report(['given', i], 'there is no such end');
    else if (named.has(id)) report(['given', i], 'comes twice');
    named.add(id);
  }
  const missing = [...ids].filter((id) => !named.has(id));
  if (missing.length > 0) report(['given'], `lacks ${missing.join(', ')}`);
};

/** What chapter 11 is asked. */
export const BleedRequest = soundSystem(z.object({ ...SYSTEM_FIELDS, rules: RuleOverridesSchema }).meta({ id: 'BleedRequest' }));
export type BleedRequest = z.output<typeof BleedRequest>;
export type BleedQuestion = Omit<BleedRequest, 'rules'>;
