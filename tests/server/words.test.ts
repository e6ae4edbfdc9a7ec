// biome-ignore-all lint/suspicious/noTemplateCurlyInString: sources that hold templates stand here as texts.
import { build } from 'esbuild';
import { beforeAll, describe, expect, test } from 'vitest';
// @ts-expect-error plain Node, without types
import { allWords } from '../../scripts/words/all.mjs';
// @ts-expect-error plain Node, without types
import { applyWords } from '../../scripts/words/apply.mjs';
// @ts-expect-error plain Node, without types
import { wordsIn } from '../../scripts/words/find.mjs';
// @ts-expect-error plain Node, without types
import { byWords } from '../../scripts/words/plugin.mjs';

const messages = (code: string): readonly string[] => wordsIn(code, 'a.tsx').map((p: { readonly message: string }) => p.message);
const inWords = (code: string, words: Readonly<Record<string, string>>): string => applyWords(code, 'a.tsx', words);

describe('words are found where they are shown', () => {
  test.each<[string, readonly string[]]>([
    ['<p className="flex gap-2">{n} units on the rack</p>', ['{0} units on the rack']],
    ['<p>At <b>{place}</b> since {when}</p>', ['At', 'since {0}']],
    ['<input aria-label="Find a unit" type="search" name="find" />', ['Find a unit']],
    ['<Field label={`Name of branch ${at + 1}`} />', ['Name of branch {0}']],
    ['const STATES = { running: "runs" }; const kinds = ["running", "held"];', ['runs']],
    ['const say = (s) => (s === "It holds" ? `Held ${s} from ${b} bar.` : "It leaks.");', ['Held {0} from {1} bar.', 'It leaks.']],
    ['import x from "./Some file"; throw new Error("Nobody reads this one");', []],
    ['const sum = sql`select count(*) from units where tag = ${n}`;', []],
    ['<h2>{whatIf ? "WHAT IF" : "JUDGEMENT"}</h2>', ['WHAT IF', 'JUDGEMENT']],
    ['<p>{a === "held" && <b>Held</b>}</p>', ['Held']],
    ['<p>{open ? <b>Open here</b> : "Not yet."} or {later}</p>', ['Open here', 'Not yet.', 'or {0}']],
  ])('%s', (code, said) => expect(messages(code)).toEqual(said));

  test('all of the program’s, each with where it stands', () => {
    const all: ReadonlyMap<string, readonly string[]> = allWords();
    expect(all.size).toBeGreaterThan(3000);
    expect(all.get('{0} mm free against {1} mm new: {2} % lost, at most {3} %.')).toEqual(['src/core/strip/inspect.ts']);
    expect(all.get('Book in')).toContain('src/ui/rack/rack.tsx');
    expect(all.get('en-GB')).toEqual(['src/core/locale.ts']);
    // No name of a column, class or address among them.
    for (const message of all.keys()) expect(message).not.toMatch(/^(min-h|px-|flex )|^https?:|^select /);
  });
});

describe('words are put in the place of words', () => {
  test.each([
    ['<p>{n} units on the rack</p>', { '{0} units on the rack': 'Im Regal: {0}' }, '<p>{"Im Regal: "}{n}</p>'],
    ['<a title="Find a unit" />', { 'Find a unit': 'Ein "Teil" finden' }, '<a title={`Ein "Teil" finden`} />'],
    ['const a = `${x} of ${y} parts`;', { '{0} of {1} parts': 'von {1} Teilen {0}' }, 'const a = `von ${y} Teilen ${x}`;'],
    [
      'const a = `It is ${b ? "very old" : "new to us"} now`;',
      { 'It is {0} now': 'Jetzt {0}', 'very old': 'alt' },
      'const a = `Jetzt ${b ? "alt" : "new to us"}`;',
    ],
    ['const a = "It leaks.";', { 'It leaks.': '' }, 'const a = "It leaks.";'],
  ])('%s', (code, words, out) => expect(inWords(code, words)).toBe(out));

  test('what names a place that is not there is refused with both', () => {
    expect(() => inWords('const a = `${x} of it`;', { '{0} of it': '{1}' })).toThrow('“{1}” names {1}, which “{0} of it” has not');
  });
});

describe('the program in another language', () => {
  /** Each message between marks, what is put in the other way round. */
  let spoken: { readonly sayWhyNot: (why: object) => string; readonly sayFullDate: (at: number) => string };
  beforeAll(async () => {
    const words = Object.fromEntries(
      [...(allWords() as ReadonlyMap<string, unknown>).keys()].map((m) => {
        const holes = m.match(/\{\d+\}/g) ?? [];
        return [m, m === 'en-GB' ? 'de-AT' : `⟦${[...holes].reverse().join(' ')} ${m.replace(/\{\d+\}/g, '…')}⟧`];
      }),
    );
    const entry = "export { sayWhyNot } from '@/core/route/why-not'; export { sayFullDate } from '@/core/quantity/say-time';";
    const bundled = await build({
      stdin: { contents: entry, resolveDir: process.cwd(), loader: 'ts' },
      bundle: true,
      write: false,
      format: 'esm',
      platform: 'node',
      alias: { '@': `${process.cwd()}/src` },
      plugins: [byWords(words)],
    });
    spoken = await import(`data:text/javascript;base64,${Buffer.from(bundled.outputFiles[0]?.text ?? '').toString('base64')}`);
  });

  test('says its sentences in it, and its days', () => {
    expect(spoken.sayWhyNot({ code: 'before', station: 'strip' })).toBe('⟦⟦ Strip⟧ First: ….⟧');
    expect(spoken.sayFullDate(Date.UTC(2026, 0, 5, 12))).toMatch(/Jän/);
  });
});
