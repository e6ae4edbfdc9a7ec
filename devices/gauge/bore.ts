/** What a bore is like beneath its marks, as the stand-in gauge finds it. Lengths in mm. */
export type TrueBore = { readonly nominalMm: number; readonly lengthMm: number; readonly addMm: number; readonly ovalMm: number };

/** What a gauge reads in it, with its noise, to 0.001 mm: worn, a little oval, a little wider at the mouth until it is honed. @param noise of a standard normal law */
export const measured = (b: TrueBore, xMm: number, clockDeg: number, noise: number): number => {
  const oval = b.ovalMm * Math.cos((2 * (clockDeg - 80) * Math.PI) / 180);
  const mouth = b.addMm > 0 ? 0 : 0.004 * Math.exp(-xMm / 12);
  return Math.round((b.nominalMm + 0.012 + b.addMm + oval + mouth + 0.0012 * noise) * 1000) / 1000;
};
