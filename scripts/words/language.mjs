// The files of languages: words/<language>.json, messages with their translations.
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../steps.mjs';

export const fileOf = (language) => join(ROOT, 'words', `${language}.json`);

/** @returns {Readonly<Record<string, string>>} by message; empty where it was not translated yet @throws where there is no such language */
export function wordsOf(language) {
  if (!existsSync(fileOf(language))) throw new Error(`There is no words/${language}.json: npm run words -- ${language} makes it.`);
  return JSON.parse(readFileSync(fileOf(language), 'utf8'));
}
