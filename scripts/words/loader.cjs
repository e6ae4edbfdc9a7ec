// For the builder of pages: every source in the language of EDDRIN_LANGUAGE.
module.exports = function words(source) {
  const done = this.async();
  Promise.all([import('./apply.mjs'), import('./language.mjs')])
    .then(([{ applyWords }, { wordsOf }]) => applyWords(source, this.resourcePath, wordsOf(this.getOptions().language)))
    .then((code) => done(null, code), done);
};
