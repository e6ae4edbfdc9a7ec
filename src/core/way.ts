/** Ways through the shop: what was done about the bore; `no-bore` where there is none. */
export const WAY_WORDS = {
  reuse: 'as it is',
  polish: 'polished',
  hone: 'honed',
  sleeve: 'sleeved',
  scrap: 'scrapped',
  'no-bore': 'no bore',
};
export type Way = keyof typeof WAY_WORDS;
export const WAYS = Object.keys(WAY_WORDS) as [Way, ...Way[]];
/** Ways of a unit that has a bore. */
export const BORE_WAYS = ['reuse', 'polish', 'hone', 'sleeve', 'scrap'] as const satisfies readonly Way[];
export type BoreWay = (typeof BORE_WAYS)[number];
