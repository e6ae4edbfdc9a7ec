import type { BagItem } from '@/core/store/article';
import type { NewArticle, NewLot } from './shop-setup';

/** A kit as the demo tells it, with what is on the shelf in days from today. */
export type DemoKit = Pick<NewArticle, 'number' | 'name' | 'price' | 'leadDays' | 'note'> & {
  readonly stock: number;
  readonly supersededBy?: string;
  readonly fault?: string;
  /** Days until its date; kits keep five years. */
  readonly expiresIn?: number;
  readonly items: readonly BagItem[];
};

const inch = (sixteenths: number): number => (sixteenths * 25.4) / 16;
const cups = (boreMm: number, qty: number, lengthMm = 7): BagItem => ({
  kind: 'cup',
  name: 'cup',
  qty,
  dims: { boreMm, lengthMm, rubber: 'EPDM' },
});
const boot = (idMm: number, odMm: number, qty = 1): BagItem => ({ kind: 'boot', name: 'boot', qty, dims: { idMm, odMm } });
const clip = (thickMm: number): BagItem => ({ kind: 'circlip', name: 'circlip', qty: 1, dims: { thickMm } });
const grommets: BagItem = { kind: 'grommet', name: 'grommet', qty: 2, dims: { idMm: 9, odMm: 18 } };

/** Kits of made-up makers. Some share a bore and differ in a boot or a clip, as kits do. */
export const KITS: readonly DemoKit[] = [
  {
    number: 'K-104',
    name: 'Single master 3/4 in',
    price: 18.4,
    leadDays: 3,
    stock: 4,
    note: '',
    items: [cups(inch(12), 2), boot(10, 26), clip(1.2)],
  },
  {
    number: 'K-106',
    name: 'Single master 13/16 in',
    price: 19.9,
    leadDays: 3,
    stock: 5,
    note: '',
    items: [cups(inch(13), 2), boot(10, 28), clip(1.2)],
  },
  {
    number: 'K-107',
    name: 'Single master 13/16 in, wide boot',
    price: 19.9,
    leadDays: 4,
    stock: 2,
    note: '',
    items: [cups(inch(13), 2), boot(12, 30), clip(1.2)],
  },
  {
    number: 'K-108',
    name: 'Single master 7/8 in',
    price: 21.5,
    leadDays: 3,
    stock: 3,
    note: '',
    items: [cups(inch(14), 2), boot(10, 28), clip(1.2)],
  },
  {
    number: 'K-118',
    name: 'Tandem master 7/8 in',
    price: 38.0,
    leadDays: 5,
    stock: 6,
    note: '',
    items: [cups(inch(14), 4), boot(10, 28), grommets, clip(1.2)],
  },
  { number: 'K-119', name: 'Tandem master 7/8 in, seals only', price: 26.5, leadDays: 2, stock: 3, note: '', items: [cups(inch(14), 4)] },
  {
    number: 'K-121',
    name: 'Tandem master 15/16 in',
    price: 39.5,
    leadDays: 5,
    stock: 4,
    note: '',
    items: [cups(inch(15), 4), boot(10, 30), grommets, clip(1.2)],
  },
  {
    number: 'K-122',
    name: 'Tandem master 15/16 in, small boot',
    price: 37.0,
    leadDays: 5,
    stock: 1,
    note: '',
    fault: 'the boot is too small for the mouth',
    items: [cups(inch(15), 4), boot(10, 27), grommets],
  },
  {
    number: 'K-131',
    name: 'Wheel cylinder 7/8 in, pair',
    price: 14.2,
    leadDays: 2,
    stock: 14,
    note: '',
    items: [cups(inch(14), 2, 6), boot(14, 26, 2), { kind: 'spring', name: 'expander spring', qty: 1, dims: { lengthMm: 12 } }],
  },
  {
    number: 'K-190',
    name: 'Vacuum booster, soft parts',
    price: 27.0,
    leadDays: 6,
    stock: 3,
    note: '',
    items: [
      boot(10, 28),
      { ...grommets, qty: 1 },
      { kind: 'diaphragm', name: 'diaphragm', qty: 1, dims: {} },
      { kind: 'end-seal', name: 'front seal', qty: 1, dims: {} },
    ],
  },
  { number: 'K-132', name: 'Wheel cylinder 19 mm', price: 13.8, leadDays: 2, stock: 5, note: '', items: [cups(19, 2, 6), boot(12, 23, 2)] },
  {
    number: 'K-133',
    name: 'Wheel cylinder 7/8 in, one end',
    price: 8.1,
    leadDays: 6,
    stock: 0,
    note: '',
    items: [cups(inch(14), 1, 6), boot(14, 26)],
  },
  {
    number: 'K-140',
    name: 'Wheel cylinder 15/16 in',
    price: 15.1,
    leadDays: null,
    stock: 2,
    note: 'No more to be had.',
    items: [cups(inch(15), 2, 6), boot(14, 28, 2)],
  },
  {
    number: 'K-151',
    name: 'Clutch slave 7/8 in',
    price: 9.4,
    leadDays: 2,
    stock: 6,
    note: '',
    items: [cups(inch(14), 1), boot(10, 28), { kind: 'wire-ring', name: 'boot clip', qty: 1, dims: {} }, clip(1.2)],
  },
  {
    number: 'K-160',
    name: 'Valve master 3/4 in',
    price: 16.2,
    leadDays: 4,
    stock: 3,
    note: '',
    items: [
      { kind: 'plunger-seal', name: 'plunger seal', qty: 1, dims: { boreMm: inch(12), lengthMm: 7 } },
      { kind: 'end-seal', name: 'end seal', qty: 1, dims: {} },
      boot(10, 26),
    ],
  },
  {
    number: 'K-161',
    name: 'Wheel cylinder, single, 3/4 in',
    price: 6.8,
    leadDays: 2,
    stock: 6,
    note: '',
    items: [cups(inch(12), 1, 6), boot(12, 26)],
  },
  {
    number: 'K-170',
    name: 'Caliper pot 1 11/16 in',
    price: 8.9,
    leadDays: 3,
    stock: 8,
    note: 'One pot; two for a two-pot half.',
    items: [
      { kind: 'square-seal', name: 'pressure seal', qty: 1, dims: { boreMm: inch(27), csMm: 3.6 } },
      { kind: 'dust-seal', name: 'dust seal', qty: 1, dims: { odMm: 49 } },
    ],
  },
  {
    number: 'K-180',
    name: 'Lever master 5/8 in',
    price: 11.3,
    leadDays: 5,
    stock: 2,
    note: '',
    items: [cups(inch(10), 2), boot(10, 26), clip(1.2)],
  },
  {
    number: 'K-109',
    name: 'Single master 13/16 in, wire ring',
    price: 18.9,
    leadDays: 4,
    stock: 3,
    note: '',
    items: [cups(inch(13), 2), boot(10, 28), { kind: 'wire-ring', name: 'wire ring', qty: 1, dims: {} }],
  },
  {
    number: 'K-105',
    name: 'Single master 13/16 in, before K-106',
    price: 17.2,
    leadDays: null,
    stock: 1,
    note: '',
    supersededBy: 'K-106',
    items: [cups(inch(13), 2), boot(10, 28)],
  },
  {
    number: 'K-110',
    name: 'Single master 1 in',
    price: 23.5,
    leadDays: 4,
    stock: 2,
    note: '',
    items: [cups(inch(16), 2), boot(12, 30), clip(1.2)],
  },
  {
    number: 'K-112',
    name: 'Single master 19 mm',
    price: 18.1,
    leadDays: 6,
    stock: 0,
    note: '',
    items: [cups(19, 2), boot(10, 26), clip(1.2)],
  },
  {
    number: 'K-115',
    name: 'Single master 7/8 in, all in',
    price: 33.8,
    leadDays: 5,
    stock: 1,
    note: '',
    items: [cups(inch(14), 2), boot(10, 28), clip(1.2), { kind: 'spring', name: 'return spring', qty: 1, dims: { lengthMm: 48 } }],
  },
  {
    number: 'K-123',
    name: 'Tandem master 1 in',
    price: 41.0,
    leadDays: 5,
    stock: 2,
    note: '',
    items: [cups(inch(16), 4), boot(12, 30), grommets, clip(1.2)],
  },
  {
    number: 'K-124',
    name: 'Tandem master 15/16 in, seals only',
    price: 27.0,
    leadDays: 2,
    stock: 2,
    note: '',
    expiresIn: -40,
    items: [cups(inch(15), 4)],
  },
  {
    number: 'K-134',
    name: 'Wheel cylinder 3/4 in, pair',
    price: 13.2,
    leadDays: 2,
    stock: 6,
    note: '',
    items: [cups(inch(12), 2, 6), boot(12, 26, 2)],
  },
  {
    number: 'K-135',
    name: 'Wheel cylinder 13/16 in, pair',
    price: 13.6,
    leadDays: 2,
    stock: 4,
    note: '',
    items: [cups(inch(13), 2, 6), boot(14, 26, 2)],
  },
  {
    number: 'K-141',
    name: 'Wheel cylinder 1 in, pair',
    price: 15.9,
    leadDays: 3,
    stock: 3,
    note: '',
    items: [cups(inch(16), 2, 6), boot(14, 30, 2)],
  },
  {
    number: 'K-152',
    name: 'Clutch slave 3/4 in',
    price: 8.8,
    leadDays: 2,
    stock: 4,
    note: '',
    items: [cups(inch(12), 1), boot(10, 26), clip(1.2)],
  },
  {
    number: 'K-171',
    name: 'Caliper pot 1 3/4 in',
    price: 9.2,
    leadDays: 3,
    stock: 4,
    note: 'One pot; two for a two-pot half.',
    items: [
      { kind: 'square-seal', name: 'pressure seal', qty: 1, dims: { boreMm: inch(28), csMm: 3.6 } },
      { kind: 'dust-seal', name: 'dust seal', qty: 1, dims: { odMm: 51 } },
    ],
  },
];

const DAY_MS = 86_400_000;
/** The kit as an article, and its lots: what is there came in one, but what is left of a larger shelf in two. */
export const asArticle = (
  { stock, fault, expiresIn = 1500, supersededBy, ...kit }: DemoKit,
  now: number,
): readonly [NewArticle, readonly NewLot[]] => {
  const code = `L${kit.number.slice(2)}`;
  const lot = { code: `${code}-B`, qty: stock, at: now - 60 * DAY_MS, expiresAt: now + expiresIn * DAY_MS, fault: fault ?? '' };
  const older = { ...lot, code: `${code}-A`, at: now - 300 * DAY_MS, expiresAt: now + (expiresIn - 600) * DAY_MS, fault: '' };
  const half = Math.floor(stock / 2);
  const split = [
    { ...older, qty: half },
    { ...lot, qty: stock - half },
  ];
  return [{ ...kit, type: 'kit', supersededBy: supersededBy ?? null, reorderAt: null }, stock === 0 ? [] : stock < 4 ? [lot] : split];
};
