// npm run words -- LANGUAGE: brings words/LANGUAGE.json up to date with the sources: what was translated stays, what is new is empty, what is gone goes.
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { install, needNode, say, stop } from './steps.mjs';

const language = process.argv[2] ?? '';
if (!/^[a-z]{2,3}(-[A-Z]{2})?$/.test(language)) stop('npm run words -- LANGUAGE   with the language’s letters, such as de or pt-BR');
needNode();
await install();
const { allWords } = await import('./words/all.mjs');
const { fileOf, wordsOf } = await import('./words/language.mjs');

const file = fileOf(language);
const before = existsSync(file) ? wordsOf(language) : {};
const words = Object.fromEntries([...allWords().keys()].map((message) => [message, before[message] ?? '']));
mkdirSync(dirname(file), { recursive: true });
writeFileSync(file, `${JSON.stringify(words, null, 1)}\n`);
const [all, done] = [Object.keys(words).length, Object.values(words).filter((w) => w !== '').length];
say(`${file}: ${done} of ${all} messages are translated, ${Object.keys(before).filter((m) => !(m in words)).length} are gone`);
say(`EDDRIN_LANGUAGE=${language} npm start builds and serves the shop in it`);
