import { asc } from 'drizzle-orm';
import type { CustomerRow } from '@/core/store/store-rows';
import type { Reader } from '../engine/connection';
import { customers } from '../tables';

/** Everybody who has brought something, or was taken in from a file. */
export const everyCustomer = (db: Reader): Promise<readonly CustomerRow[]> =>
  db.select({ name: customers.name, phone: customers.phone }).from(customers).orderBy(asc(customers.name), asc(customers.phone));
