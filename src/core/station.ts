/** Stations of the work, in order; the one place that knows it. @source design, product, "The route of a unit" */
export const STATIONS = [
  'book-in',
  'strip',
  'clean',
  'gauge',
  'judge',
  'hone',
  'sleeve',
  'kit',
  'close-up',
  'set',
  'prove',
  'release',
] as const;
export type Station = (typeof STATIONS)[number];

export const STATION_WORDS: { readonly [S in Station]: string } = {
  'book-in': 'Book in',
  strip: 'Strip',
  clean: 'Clean',
  gauge: 'Gauge',
  judge: 'Judge',
  hone: 'Hone',
  sleeve: 'Sleeve',
  kit: 'Kit',
  'close-up': 'Close up',
  set: 'Set',
  prove: 'Prove',
  release: 'Release',
};

/** Bench time that a unit usually takes at a station, h; for the shelf's sum. */
export const BENCH_HOURS: { readonly [S in Station]: number } = {
  'book-in': 0.2,
  strip: 0.4,
  clean: 0.2,
  gauge: 0.2,
  judge: 0.1,
  hone: 0.5,
  sleeve: 0.3,
  kit: 0.1,
  'close-up': 0.4,
  set: 0.2,
  prove: 0.3,
  release: 0.1,
};

/** Shelves of the rack: stations done at one stand share one. */
export const SHELVES: readonly { readonly label: string; readonly stations: readonly Station[] }[] = [
  { label: 'Booked in, strip', stations: ['book-in', 'strip'] },
  { label: 'Clean', stations: ['clean'] },
  { label: 'Gauge, judge', stations: ['gauge', 'judge'] },
  { label: 'Hone, sleeve', stations: ['hone', 'sleeve'] },
  { label: 'Kit', stations: ['kit'] },
  { label: 'Close up, set', stations: ['close-up', 'set'] },
  { label: 'Prove', stations: ['prove'] },
  { label: 'Release', stations: ['release'] },
];

/** How a unit leaves the shop. */
export const EXITS = ['released', 'scrapped', 'returned'] as const;
export type Exit = (typeof EXITS)[number];
export const EXIT_WORDS: { readonly [E in Exit]: string } = { released: 'released', scrapped: 'scrapped', returned: 'returned' };
