const YEAR_S = 31_536_000;
/** Keeps a choice of this bench in a cookie, so that the server draws the next page right at once. */
export const keep = (name: 'units' | 'theme' | 'head', value: string): void => {
  // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser of a shop's tablets
  document.cookie = `${name}=${value}; path=/; max-age=${YEAR_S}; samesite=lax`;
};
