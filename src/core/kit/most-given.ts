import type { Giving } from './cover';

/**
 * The most pieces that can be handed out, each to one of the needs it serves.
 * @param wanted pieces that each need can take
 * @source maximum flow by augmenting paths, shortest first (Edmonds and Karp 1972)
 */
export const mostGiven = (wanted: readonly number[], pieces: readonly Giving[]): number => {
  const room = [...wanted];
  const spare = pieces.map((p) => p.qty);
  const given = pieces.map((p) => new Map(p.serves.map((n) => [n, 0])));
  let total = 0;
  for (;;) {
    const path = shortest(room, spare, given);
    if (path === undefined) return total;
    const last = path.at(-1) as Hop;
    const qty = Math.min(
      room[last.need] as number,
      spare[(path[0] as Hop).piece] as number,
      // Between two hops a piece of the first need's is taken back from it.
      ...path.slice(1).map((hop, i) => given[hop.piece]?.get((path[i] as Hop).need) as number),
    );
    for (const [i, { piece, need }] of path.entries()) {
      const from = given[piece] as Map<number, number>;
      from.set(need, (from.get(need) ?? 0) + qty);
      const before = path[i - 1];
      if (before !== undefined) from.set(before.need, (from.get(before.need) ?? 0) - qty);
    }
    room[last.need] = (room[last.need] as number) - qty;
    spare[(path[0] as Hop).piece] = (spare[(path[0] as Hop).piece] as number) - qty;
    total += qty;
  }
};

/** A piece given to a need; on a path, taken from the need of the hop before. */
type Hop = { readonly piece: number; readonly need: number };

const shortest = (
  room: readonly number[],
  spare: readonly number[],
  given: readonly ReadonlyMap<number, number>[],
): readonly Hop[] | undefined => {
  let paths: readonly (readonly Hop[])[] = spare.flatMap((qty, piece) =>
    qty > 0 ? [...(given[piece]?.keys() ?? [])].map((need) => [{ piece, need }]) : [],
  );
  const seen = new Set<number>();
  while (paths.length > 0) {
    const next: (readonly Hop[])[] = [];
    for (const path of paths) {
      const { need } = path.at(-1) as Hop;
      if ((room[need] as number) > 0) return path;
      if (seen.has(need)) continue;
      seen.add(need);
      for (const [piece, to] of given.entries())
        if ((to.get(need) ?? 0) > 0) for (const other of to.keys()) if (!seen.has(other)) next.push([...path, { piece, need: other }]);
    }
    paths = next;
  }
  return undefined;
};
