import { and, asc, isNull } from 'drizzle-orm';
import type { CustomerRow } from '@/core/store/store-rows';
import type { Reader } from '../engine/connection';
import { customers } from '../tables';

/** Everybody who has brought something, or was taken in from a file; nobody twice, and nobody who was erased. */
export const everyCustomer = (db: Reader): Promise<readonly CustomerRow[]> =>
  db
    .select({ name: customers.name, phone: customers.phone, mail: customers.mail, address: customers.address })
    .from(customers)
    .where(and(isNull(customers.mergedInto), isNull(customers.erasedAt)))
    .orderBy(asc(customers.name), asc(customers.phone));
