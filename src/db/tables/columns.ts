import { integer, text } from 'drizzle-orm/sqlite-core';

// Times are ms since 1970 UTC, lengths mm, depths µm, pressures bar, volumes ml. JSON columns are parsed by their schemas on the way out.

export const id = () => text().primaryKey();
export const time = () => integer();
export const flag = () => integer({ mode: 'boolean' });
export const dated = () => integer({ mode: 'timestamp_ms' });
