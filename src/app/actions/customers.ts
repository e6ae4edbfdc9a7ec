'use server';

import { EditCustomer, EraseCustomer, MergeCustomers } from '@/core/customer/customer-schema';
import { fail, ok, type Result } from '@/core/result';
import type { SaveError } from '@/core/unit/save-error';
import { type CustomerError, editCustomer, eraseCustomer, mergeCustomers, sayCustomerError } from '@/db/customer/customers';
import { act } from '../_server/act';

const told = (done: Result<null, CustomerError>): Result<null, SaveError> =>
  done.ok ? ok(null) : fail({ code: 'refused', reasons: [sayCustomerError(done.error)] });

export const editCustomerAction = act('correct', EditCustomer, async ({ id, seen, ...is }, { db, person, now }) =>
  told(await editCustomer(db, { personId: person.id, at: now }, id, seen, is)),
);

export const mergeCustomersAction = act('correct', MergeCustomers, async ({ from, into }, { db, person, now }) =>
  told(await mergeCustomers(db, { personId: person.id, at: now }, from, into)),
);

export const eraseCustomerAction = act('shop', EraseCustomer, async ({ id, name }, { db, person, now }) =>
  told(await eraseCustomer(db, { personId: person.id, at: now }, id, name)),
);
