import type { Db } from './connection';

/** Can the database be written now? A transaction for writing is opened and let go again: nothing changes. */
export const isWritable = async (db: Db): Promise<boolean> => {
  const undone = new Error('only tried');
  try {
    await db.transaction(
      async () => {
        throw undone;
      },
      { behavior: 'immediate' },
    );
    return true;
  } catch (error) {
    return error === undone;
  }
};
