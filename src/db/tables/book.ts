import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { UNIT_KINDS } from '@/core/family/family-name';
import { MATERIALS } from '@/core/family/material';
import { EXITS } from '@/core/station';
import { WAYS } from '@/core/way';
import { id, time } from './columns';
import { people } from './people';
import { ofUnit } from './units';

/**
 * What the Book goes by, a narrow row for each unit that has left. Nothing writes it but the triggers of migration 0026, from the view
 * `book_now`: the rows of the unit stay what is true.
 */
export const bookUnits = sqliteTable(
  'book_units',
  {
    unitId: ofUnit().primaryKey(),
    tagNo: integer().notNull(),
    exit: text({ enum: EXITS }).notNull(),
    exitAt: time().notNull(),
    family: text({ enum: UNIT_KINDS }).notNull(),
    material: text({ enum: MATERIALS }).notNull(),
    way: text({ enum: WAYS }).notNull(),
    /** When it was here again first; null: not yet. */
    backAt: time(),
    /** Of its last judgement; null where its bore was not judged. */
    school: text(),
    marginMm: real(),
    confidence: real(),
    rulesVersion: integer(),
    /** Version of the proof programme of its last run, and whether any run failed. */
    programme: integer(),
    rig: text({ enum: ['failed', 'passed'] }),
  },
  (t) => [
    // Whole filters are answered from this index alone.
    index('book_units_when').on(t.exitAt, t.tagNo, t.family, t.material, t.exit, t.way, t.backAt, t.unitId),
    index('book_units_tag').on(t.tagNo),
    index('book_units_exit').on(t.exit, t.exitAt, t.unitId, t.rulesVersion),
  ],
);

/** A life that a unit had in another shop, as its file tells it. It counts in nothing of this shop’s. */
export const foreignLives = sqliteTable(
  'foreign_lives',
  {
    id: id(),
    /** The tag that it has there. */
    tag: text().notNull(),
    shop: text().notNull(),
    at: time().notNull(),
    byId: text()
      .notNull()
      .references(() => people.id),
    file: text({ mode: 'json' }).notNull(),
  },
  (t) => [index('foreign_lives_at').on(t.at)],
);

/** A photo of such a life, by the id that it had there; its bytes lie where the shop's own do. */
export const foreignPhotos = sqliteTable(
  'foreign_photos',
  {
    id: id(),
    foreignId: text()
      .notNull()
      .references(() => foreignLives.id),
    photoId: text().notNull(),
    hash: text().notNull(),
  },
  (t) => [index('foreign_photos_life').on(t.foreignId)],
);
