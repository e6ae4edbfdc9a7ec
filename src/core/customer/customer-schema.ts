import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Id } from '../schema/target';
import { text } from '../schema/text';

export const Mail = text()
  .trim()
  .max(200)
  .refine((m) => m === '' || z.email().safeParse(m).success, 'is no mail address, as name@example.org');

const ENTERED = {
  name: text().trim().min(1, 'what are they called?').max(120),
  phone: text().trim().max(40),
  mail: Mail,
  address: text().trim().max(300),
};

/** @property seen when it was last changed, as the page showed it */
export const EditCustomer = z.object({ id: Id, seen: z.number().int().nullable(), ...ENTERED });
export type EditCustomer = Sends<typeof EditCustomer>;
export const MergeCustomers = z
  .object({ from: Id, into: Id })
  .refine((m) => m.from !== m.into, { path: ['into'], message: 'is the same one' });
export type MergeCustomers = Sends<typeof MergeCustomers>;
/** The name is typed again, so that nobody is erased by a slip. */
export const EraseCustomer = z.object({ id: Id, name: text().trim().min(1, 'type their name').max(120) });
export type EraseCustomer = Sends<typeof EraseCustomer>;
