import { RateLimiterMemory } from 'rate-limiter-flexible';

declare global {
  var eddrinStrangers: RateLimiterMemory | undefined;
}

/** What a place may ask of the pages that need no sign-in, a minute; a wrong key costs as much as ten. Next loads a module once for each kind of caller: one count for all. */
const strangers = (): RateLimiterMemory => {
  globalThis.eddrinStrangers ??= new RateLimiterMemory({ points: 60, duration: 60 });
  return globalThis.eddrinStrangers;
};
const WRONG_COSTS = 10;

/** Whether a place may ask on; each time counts. @param sent the request's headers, which name where it came from */
export const mayAsk = (sent: Pick<Headers, 'get'>): Promise<boolean> =>
  strangers()
    .consume(placeOf(sent))
    .then(
      () => true,
      () => false,
    );

/** Counts a key that opens nothing. */
export const countWrong = async (sent: Pick<Headers, 'get'>): Promise<void> => {
  await strangers().penalty(placeOf(sent), WRONG_COSTS);
};

const placeOf = (sent: Pick<Headers, 'get'>): string => sent.get('x-address') ?? 'unknown';
