/** A place of the bore from one depth to another and, clockwise, from one clock position to another. */
export type Patch = { readonly x0Mm: number; readonly x1Mm: number; readonly clock0Deg: number; readonly clock1Deg: number };

/** What two places of the map span. It never goes over the top, where the map is cut. */
export const patchOf = (a: readonly [mm: number, deg: number], b: readonly [mm: number, deg: number]): Patch => ({
  x0Mm: Math.min(a[0], b[0]),
  x1Mm: Math.max(a[0], b[0]),
  clock0Deg: Math.min(a[1], b[1]),
  clock1Deg: Math.max(a[1], b[1]),
});

/** What two places of the wall span the short way round, over the top too. */
export const patchAround = (a: readonly [mm: number, deg: number], b: readonly [mm: number, deg: number]): Patch => {
  const patch = patchOf(a, b);
  return patch.clock1Deg - patch.clock0Deg <= 180 ? patch : { ...patch, clock0Deg: patch.clock1Deg, clock1Deg: patch.clock0Deg };
};

/** A patch across the top is cut in two on the map. */
export const piecesOf = <P extends Patch>(m: P): readonly P[] => {
  const [from, to] = [((m.clock0Deg % 360) + 360) % 360, ((m.clock1Deg % 360) + 360) % 360];
  return to >= from
    ? [{ ...m, clock0Deg: from, clock1Deg: to }]
    : [
        { ...m, clock0Deg: from, clock1Deg: 360 },
        { ...m, clock0Deg: 0, clock1Deg: to },
      ];
};
