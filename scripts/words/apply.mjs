// A source in another language: each message that has a translation stands in its place, with what is put into it where the translation has it.
import { wordsIn } from './find.mjs';

/**
 * @param code a source of ours @param file its name
 * @param {Readonly<Record<string, string>>} words by message; one that has none, or an empty one, stays as it is
 */
export function applyWords(code, file, words) {
  const places = wordsIn(code, file);
  /** What stands from one offset to another; what a message takes up is gone through inside it. */
  const render = (from, to) => {
    let [out, at] = ['', from];
    for (const place of places) {
      if (place.start < at || place.end > to || !words[place.message]) continue;
      out += code.slice(at, place.start) + translated(place, words[place.message], render);
      at = place.end;
    }
    return out + code.slice(at, to);
  };
  return render(0, code.length);
}

const HOLE = /\{(\d+)\}/;
/** What is put in, and the words between, in the translation's order. @throws where it names what is not put in */
const piecesOf = (translation, { holes, message }) =>
  translation.split(HOLE).map((piece, i) => {
    if (i % 2 === 0) return { words: piece };
    const hole = holes[Number(piece)];
    if (hole === undefined) throw new Error(`“${translation}” names {${piece}}, which “${message}” has not`);
    return { hole };
  });

const translated = (place, translation, render) => {
  const pieces = piecesOf(translation, place).filter((p) => p.words !== '');
  const source = ({ hole }) => render(...hole);
  switch (place.how) {
    case 'string':
      return JSON.stringify(translation);
    case 'attribute':
      return `{${templateOf(pieces, source)}}`;
    case 'template':
      return templateOf(pieces, source);
    case 'jsx':
      return pieces.map((p) => (p.hole === undefined ? `{${JSON.stringify(p.words)}}` : `{${source(p)}}`)).join('');
  }
};

const templateOf = (pieces, source) =>
  `\`${pieces.map((p) => (p.hole === undefined ? p.words.replace(/[\\`]|\$(?=\{)/g, '\\$&') : `\${${source(p)}}`)).join('')}\``;
