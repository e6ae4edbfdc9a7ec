import { index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { UNIT_KINDS } from '@/core/family/family-name';
import { ROLES } from '@/core/people/role';
import { id, time } from './columns';
import { ofUnit, units } from './units';

/** A run of one step of a programme, stored whole: the step as it was, the samples, and what they say. */
export const runs = sqliteTable(
  'runs',
  {
    id: id(),
    unitId: ofUnit(),
    rig: text().notNull(),
    /** How finely it was read, where a person or a logger read it: half a division of the dial, bar; ml. */
    readToBar: real(),
    readToMl: real(),
    personId: text().notNull(),
    startedAt: time().notNull(),
    endedAt: time(),
    state: text({ enum: ['running', 'finished', 'aborted', 'broken', 'interrupted'] }).notNull(),
    way: text({ enum: ['rig', 'by-hand', 'logger'] }).notNull(),
    programme: integer().notNull(),
    stepId: text().notNull(),
    step: text({ mode: 'json' }).notNull(),
    because: text().notNull(),
    outcome: text({ enum: ['pass', 'fail', 'hold-longer'] }),
    sentence: text().notNull(),
    samples: text({ mode: 'json' }).notNull(),
    analysis: text({ mode: 'json' }),
  },
  (t) => [index('runs_unit').on(t.unitId, t.startedAt), index('runs_state').on(t.state), index('runs_started').on(t.startedAt)],
);

/** What a run that goes on has measured so far, piece by piece: all that is left of it when the server stops. */
export const runPieces = sqliteTable(
  'run_pieces',
  { id: id(), runId: text().notNull(), fromT: real().notNull(), samples: text({ mode: 'json' }).notNull() },
  (t) => [index('run_pieces_run').on(t.runId, t.fromT)],
);

/** Units that wait for the rig; the first in time is next. */
export const rigQueue = sqliteTable('rig_queue', {
  unitId: text()
    .primaryKey()
    .references(() => units.id),
  personId: text().notNull(),
  at: time().notNull(),
});

/** How the shop proves a family; every version is kept, the newest is in force. What no shop changed is as delivered. */
export const programmes = sqliteTable(
  'programmes',
  {
    id: id(),
    family: text({ enum: UNIT_KINDS }).notNull(),
    version: integer().notNull(),
    steps: text({ mode: 'json' }).notNull(),
    at: time().notNull(),
    personId: text().notNull(),
    note: text().notNull(),
  },
  (t) => [uniqueIndex('programmes_family').on(t.family, t.version)],
);

export const signatures = sqliteTable(
  'signatures',
  {
    id: id(),
    unitId: ofUnit(),
    personId: text().notNull(),
    name: text().notNull(),
    role: text({ enum: ROLES }).notNull(),
    at: time().notNull(),
  },
  (t) => [index('signatures_unit').on(t.unitId)],
);

/** What was stated at release; numbered, each with the hash of itself and of the one before. Never edited: superseded. */
export const certificates = sqliteTable(
  'certificates',
  {
    id: id(),
    number: integer().notNull().unique(),
    unitId: ofUnit(),
    at: time().notNull(),
    statement: text({ mode: 'json' }).notNull(),
    hash: text().notNull(),
    previousHash: text().notNull(),
    supersedes: integer(),
    /** Fingerprint of the key that signed it; null where it was issued before there were keys. */
    key: text(),
    signature: text(),
  },
  (t) => [index('certificates_unit').on(t.unitId)],
);

/** Public keys that the shop's certificates are signed with, by fingerprint; each good from one time to another. */
export const shopKeys = sqliteTable('shop_keys', {
  id: id(),
  publicKey: text().notNull(),
  fromAt: time().notNull(),
  untilAt: time(),
  endedBy: text(),
});
