'use server';

import { z } from 'zod';
import { fail, ok } from '@/core/result';
import { Id } from '@/core/schema/target';
import { handleMessage } from '@/db/customer/outbox';
import { act } from '../_server/act';

/** A message was read out, or is to be sent (again). */
export const handleMessageAction = act(
  'book-in',
  z.object({ id: Id, how: z.enum(['read', 'again']) }),
  async ({ id, how }, { db, person, now }) => {
    const done = await handleMessage(db, { personId: person.id, at: now }, id, how);
    return done.ok ? ok(null) : fail({ code: 'refused', reasons: [done.error] });
  },
);
