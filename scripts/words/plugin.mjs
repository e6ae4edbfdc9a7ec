// For esbuild: our sources in a language, or by words that are given.
import { readFileSync } from 'node:fs';
import { applyWords } from './apply.mjs';
import { wordsOf } from './language.mjs';

export const inLanguage = (language) => byWords(wordsOf(language));

/** @param {Readonly<Record<string, string>>} words by message */
export const byWords = (words) => ({
  name: 'words',
  setup: (build) =>
    build.onLoad({ filter: /[\\/]src[\\/].*\.tsx?$/ }, ({ path }) => ({
      contents: applyWords(readFileSync(path, 'utf8'), path, words),
      loader: path.endsWith('.tsx') ? 'tsx' : 'ts',
    })),
});
