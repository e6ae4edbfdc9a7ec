import { existsSync } from 'node:fs';
import { sayCode } from '../src/core/people/one-time-code';
import { databaseUrl, openDb } from '../src/db/engine/connection';
import { everyone } from '../src/db/people/people';
import { giveCode, sayStaffError } from '../src/db/people/staff';

// node --import tsx scripts/give-code.ts NAME: a one-time code for a person of the shop in EDDRIN_DATA. Whoever may write to the shop's files may do this.

const name = process.argv[2] ?? '';

/** @returns what is said; @throws with words where no code can be given */
const give = async (): Promise<string> => {
  const url = databaseUrl();
  if (url.startsWith('file:') && !existsSync(url.slice('file:'.length))) throw new Error(`There is no shop in ${process.env.EDDRIN_DATA}.`);
  const db = await openDb(url);
  const person = (await everyone(db)).find((p) => p.name.toLowerCase() === name.toLowerCase() || p.id === name);
  if (person === undefined) throw new Error(`Nobody of this shop is called ${name}.`);
  const given = await giveCode(db, { personId: '', at: Date.now() }, person.id);
  if (!given.ok) throw new Error(sayStaffError(given.error));
  return `${person.name} comes in by this code, once, within a week: ${sayCode(given.value.code)}`;
};

const OTHER_TABLES = /no such (column|table)/;
give().then(console.log, (error: Error) => {
  const old = OTHER_TABLES.test(`${error.message} ${String(error.cause)}`);
  console.error(old ? 'Its tables are of another version of this program: start that once, then ask again.' : error.message);
  process.exit(1);
});
