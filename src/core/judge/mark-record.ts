import type { BeforeCut, Mark } from './mark';

/** A mark as the shop keeps it: the judged mark, its tag on the map, a note, and when somebody last looked at it, ms; null: just now, on this page. */
export type MarkRecord = Omit<Mark, 'beforeCut'> & { readonly name: string; readonly note: string; readonly seenAt: number | null };

/** A mark with the bore of its unit that it is in, from 1. */
export type MarkInPot = MarkRecord & { readonly pot: number };

/** A mark on record as it is judged. @param unseen what is said of it where nobody has looked at it since a cut */
export const askedMark = ({ name, note: _, id: __, seenAt, ...mark }: MarkRecord, unseen: BeforeCut | undefined): Mark => ({
  ...mark,
  id: name,
  ...(seenAt === null || unseen === undefined ? {} : { beforeCut: unseen }),
});
