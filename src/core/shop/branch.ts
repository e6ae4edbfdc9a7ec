/** One of several places of a shop. A shop with none on its list is in one place, and nothing asks for it. */
export type Branch = { readonly id: string; readonly name: string };
export const MOST_BRANCHES = 30;

/** The branch that something belongs to: the first, where it was never said or that one is no more; undefined in a shop of one place. */
export const branchOf = (branches: readonly Branch[], id: string | null): Branch | undefined =>
  branches.find((b) => b.id === id) ?? branches[0];

/** Where a unit is, as people say it; undefined in a shop of one place. */
export const sayWhere = (
  branches: readonly Branch[],
  unit: { readonly branch: string | null; readonly goesTo: string | null },
): string | undefined => {
  const at = branchOf(branches, unit.branch);
  if (at === undefined) return undefined;
  return unit.goesTo === null ? at.name : `on its way to ${branchOf(branches, unit.goesTo)?.name}`;
};
