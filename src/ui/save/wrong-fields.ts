/** Fields on the page that show a number as wrong, by their elements' ids, with their labels. */
const wrong = new Map<string, string>();

/** A field shows something wrong. @returns what ends that */
export const standsWrong = (id: string, label: string): (() => void) => {
  wrong.set(id, label);
  return () => void wrong.delete(id);
};

/** Nothing is saved while a wrong number stands, least of all the one that was there before: the field gets the focus, and this says so. */
export const refusedByField = (): string | undefined => {
  const [first] = wrong;
  if (first === undefined) return undefined;
  document.getElementById(first[0])?.focus();
  return `“${first[1]}” is not right yet. Correct it or empty it, then save again; nothing was saved.`;
};
