import type { Fitment } from '@/core/identify/fitment';
import type { Article } from '@/core/store/article';
import { indexArticle, indexFitment, search, termsOf } from '@/core/store/search';
import { FITMENTS } from '../../demo/fitments';
import { asArticle, KITS } from '../../demo/kits';
import { type Line, median, timed } from './line';

/** A frame of a screen, ms. */
const FRAME_MS = 1000 / 60;
const QUERIES = ['7/8 boot 28', 'tractor 1978 rear', '22.2 mm', 'M10x1 service', 'k-11', '0.875in'];

/** Kits and fitments of a large store: the demo's, over and over, under other numbers. */
const largeStore = (): readonly [readonly Article[], readonly Fitment[]] => [
  Array.from({ length: 5000 }, (_, i) => {
    const [article] = asArticle(KITS[i % KITS.length] as (typeof KITS)[number], 0);
    return { ...article, id: `${i}`, number: `${article.number}-${i}` };
  }),
  Array.from({ length: 20_000 }, (_, i) => ({ ...(FITMENTS[i % FITMENTS.length] as Fitment), id: `${i}`, machine: `machine ${i % 900}` })),
];

/** A query over 5,000 kits and 20,000 fitments at once, as the store answers it. */
export async function findLine(): Promise<Line> {
  const [articles, fitments] = largeStore();
  const [a, f] = [articles.map(indexArticle), fitments.map(indexFitment)];
  const ask = (q: string): void => {
    const terms = termsOf(q, 'mm');
    search(a, terms, 100);
    search(f, terms, 100);
  };
  const times: number[] = [];
  for (let round = 0; round < 6; round++) for (const q of QUERIES) times.push(await timed(() => ask(q)));
  const ms = median(times.slice(QUERIES.length));
  return {
    what: 'find: 5,000 kits and 20,000 fitments at once',
    ours: `${ms.toFixed(1)} ms`,
    peer: `a frame, ${FRAME_MS.toFixed(1)} ms`,
    bar: 'under a frame',
    holds: ms <= FRAME_MS,
  };
}
