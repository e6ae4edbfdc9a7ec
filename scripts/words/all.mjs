// Every message of the program with the files that it stands in.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../steps.mjs';
import { wordsIn } from './find.mjs';

const SOURCES = ['src/core', 'src/csv', 'src/db', 'src/ports', 'src/pool', 'src/papers', 'src/ui', 'src/app'];

/** @returns {ReadonlyMap<string, readonly string[]>} by message, sorted */
export function allWords() {
  const files = SOURCES.flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
      .filter((name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name))
      .map((name) => `${folder}/${name}`.replaceAll('\\', '/')),
  ).sort();
  const found = new Map();
  for (const file of files)
    for (const { message } of wordsIn(readFileSync(join(ROOT, file), 'utf8'), file)) {
      const stands = found.get(message) ?? [];
      if (!stands.includes(file)) found.set(message, [...stands, file]);
    }
  return new Map([...found].sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)));
}
