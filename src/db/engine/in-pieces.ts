/** As many rows as are gone through before others are let in: a page takes dozens of turns, and waits for a piece at each. */
const PIECE = 50;

/** What is made of each of many rows, with a breath between pieces so that pages are answered meanwhile. */
export async function mapInPieces<T, U>(all: readonly T[], make: (one: T, at: number) => U): Promise<readonly U[]> {
  const made: U[] = [];
  for (let at = 0; at < all.length; at += PIECE) {
    for (const [i, one] of all.slice(at, at + PIECE).entries()) made.push(make(one, at + i));
    await new Promise((next) => setImmediate(next));
  }
  return made;
}
