import { eq, isNull, notInArray, or, type SQL } from 'drizzle-orm';
import type { Branch } from '@/core/shop/branch';
import type { instruments, units } from '../tables';

/** One of a shop's branches, among all of them. */
export type AtBranch = { readonly id: string; readonly among: readonly Branch[] };

/** Is it at a branch? What says no branch, or one that is no more, is at the first. */
export const isAt = (
  column: typeof units.branch | typeof instruments.branch,
  { id, among: [first, ...others] }: AtBranch,
): SQL | undefined => {
  const elsewhere = others.map((b) => b.id);
  return id === first?.id ? or(isNull(column), notInArray(column, elsewhere)) : eq(column, id);
};

/** For a shop of one place: all of it. @param branch undefined: in no particular one */
export const among = (branch: Branch | undefined, all: readonly Branch[]): AtBranch | undefined =>
  branch === undefined ? undefined : { id: branch.id, among: all };
