/** Whoever asks waits for all before it. @returns asks for a turn; what that gives ends it */
export const newTurns = (): (() => Promise<() => void>) => {
  let last: Promise<void> = Promise.resolve();
  return async () => {
    const before = last;
    let end: () => void = () => {};
    last = new Promise((resolve) => {
      end = resolve;
    });
    await before;
    return end;
  };
};
