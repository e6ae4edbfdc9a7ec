'use server';

import { z } from 'zod';
import { fail, ok } from '@/core/result';
import { backupUnderWay, runBackup } from '@/db/backup/run-backup';
import { act } from '../_server/act';

/** Begins a backup; how far it is stands on the page. */
export const startBackupAction = act('shop', z.object({}), async (_, { db, person, now }) => {
  if (backupUnderWay() !== undefined) return fail({ code: 'refused', reasons: ['A backup is being made already.'] });
  void runBackup(db, person.id, now);
  return ok(null);
});
