import type { Mark } from './mark';

/** A mark as the shop keeps it: the judged mark, its tag on the map, and a note. */
export type MarkRecord = Mark & { readonly name: string; readonly note: string };
