import type { Dims } from '../family/dims';
import { PART_KINDS, type PartKind } from '../family/part-kind';
import type { Article, BagItem, Stocked } from '../store/article';
import type { BagFinding, Taken } from '../store/bag-finding';
import { fitOf } from './fit';
import type { Need } from './need';

/** What the bag holds, once it is looked into: what is missing left out, what is wrong with the dimensions it has, what is extra added. */
export const reallyIn = (items: readonly BagItem[], findings: readonly BagFinding[]): readonly BagItem[] => [
  ...items.flatMap((item, i) => {
    const gone = findings.reduce((sum, f) => sum + (f.what === 'missing' && f.item === i ? f.qty : 0), 0);
    return item.qty > gone ? [{ ...asFound(item, i, findings), qty: item.qty - gone }] : [];
  }),
  ...findings.flatMap((f) => (f.what === 'extra' ? [{ kind: f.kind, name: f.name, qty: f.qty, dims: f.dims }] : [])),
];

/** The piece of a place with the dimensions it really has. */
export const asFound = (item: BagItem, place: number, findings: readonly BagFinding[]): BagItem => {
  const wrong = findings.find((f) => f.what === 'wrong' && f.item === place);
  return wrong?.what === 'wrong' ? { ...item, dims: { ...item.dims, ...wrong.dims } } : item;
};

/** Pieces of one place that a bag still has: without what was missing, kept for the store, or spoilt. */
export const leftIn = (
  bag: {
    readonly items: readonly BagItem[];
    readonly qty: number;
    readonly findings: readonly BagFinding[];
    readonly kept: readonly Taken[];
    readonly spoilt: readonly Taken[];
  },
  place: number,
): number => {
  const gone = [...bag.findings.filter((f) => f.what === 'missing'), ...bag.kept, ...bag.spoilt];
  return (bag.items[place]?.qty ?? 0) * bag.qty - gone.reduce((sum, g) => sum + (g.item === place ? g.qty : 0), 0);
};

/** The one place that words what was found in a bag. */
export const sayFinding = (items: readonly BagItem[], f: BagFinding, sayDims: (dims: Dims) => string): string => {
  switch (f.what) {
    case 'missing':
      return `${f.qty > 1 ? `${f.qty} × ` : ''}${items[f.item]?.name ?? 'a part'} missing`;
    case 'wrong':
      return `wrong ${items[f.item]?.name ?? 'part'}${sayDims(f.dims)}${f.note === '' ? '' : `: ${f.note}`}`;
    case 'extra':
      return `${f.qty > 1 ? `${f.qty} × ` : 'an '}extra ${f.name}${sayDims(f.dims)}`;
  }
};

/** What can be done about a part that nothing set aside covers: take a sundry, or let the old part go back. */
export type Fix =
  | {
      readonly kind: 'sundry';
      readonly articleId: string;
      readonly number: string;
      readonly name: string;
      readonly price: number;
      readonly qty: number;
    }
  | { readonly kind: 'reuse-old' };

/**
 * Ways to make up for a part: sundries on the shelf that fit for sure, the cheapest first, and the old part where its kind may go back at all.
 * @param old the part as it came out; undefined where the unit came without
 */
export const fixesFor = (
  wanted: Pick<Need, 'kind' | 'dims' | 'qty'>,
  store: readonly Stocked[],
  old: { readonly kind: PartKind } | undefined,
): readonly Fix[] => [
  ...store
    .filter((s) => s.type === 'sundry' && s.stock >= wanted.qty && s.items.some((i) => fitOf(wanted, i)?.kind === 'verified'))
    .sort((a, b) => a.price - b.price)
    .slice(0, 3)
    .map(({ id, number, name, price }): Fix => ({ kind: 'sundry', articleId: id, number, name, price, qty: wanted.qty })),
  ...(old !== undefined && PART_KINDS[old.kind].policy !== 'never' ? [{ kind: 'reuse-old' as const }] : []),
];

/** Kinds of part whose rubber ages in the bag. */
export const ages = (article: Pick<Article, 'items'>): boolean =>
  article.items.some((i) => i.kind in PART_KINDS && PART_KINDS[i.kind as PartKind].stuff === 'rubber');
