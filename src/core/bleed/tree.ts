type Joint = { readonly from: string; readonly to: string };

/** Lines as a tree from the master outward. */
export type Tree = {
  readonly nodes: ReadonlySet<string>;
  /** Nodes into which no line comes. */
  readonly roots: readonly string[];
  /** Nodes that a root reaches, roots among them. */
  readonly reached: ReadonlySet<string>;
};

/** @param lines in any order, sound or not: a circle is reached from nowhere */
export const treeOf = (lines: readonly Joint[]): Tree => {
  const nodes = new Set(lines.flatMap((l) => [l.from, l.to]));
  const into = new Set(lines.map((l) => l.to));
  const roots = [...nodes].filter((n) => !into.has(n));
  const outOf = new Map<string, string[]>();
  for (const { from, to } of lines) {
    const known = outOf.get(from);
    if (known === undefined) outOf.set(from, [to]);
    else known.push(to);
  }
  const reached = new Set(roots);
  // A set goes on to what is added to it; what a caller sends is gone through once, however much it is.
  for (const node of reached) for (const to of outOf.get(node) ?? []) reached.add(to);
  return { nodes, roots, reached };
};

/** The lines from the root to a node, the root's first; none for a root. Asks for sound lines. */
export const pathTo = <L extends Joint>(lines: readonly L[], node: string): readonly L[] => {
  const into = lines.find((l) => l.to === node);
  return into === undefined ? [] : [...pathTo(lines, into.from), into];
};
