import type { NewKit } from '@/db/shop-setup';

type Item = NewKit['items'][number];
const inch = (sixteenths: number): number => (sixteenths * 25.4) / 16;
const cups = (boreMm: number, qty: number, lengthMm = 7): Item => ({ kind: 'cup', name: 'cup', qty, dims: { boreMm, lengthMm } });
const boot = (idMm: number, odMm: number, qty = 1): Item => ({ kind: 'boot', name: 'boot', qty, dims: { idMm, odMm } });
const clip = (thickMm: number): Item => ({ kind: 'circlip', name: 'circlip', qty: 1, dims: { thickMm } });
const grommets: Item = { kind: 'grommet', name: 'grommet', qty: 2, dims: { idMm: 9, odMm: 18 } };

/** Twelve kits of made-up makers. Some share a bore and differ in a boot or a clip, as kits do. */
export const KITS: readonly NewKit[] = [
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
    note: 'Last lot: the boot is too small for the mouth.',
    items: [cups(inch(15), 4), boot(10, 27), grommets],
  },
  {
    number: 'K-131',
    name: 'Wheel cylinder 7/8 in, pair',
    price: 14.2,
    leadDays: 2,
    stock: 8,
    note: '',
    items: [cups(inch(14), 2, 6), boot(14, 26, 2), { kind: 'spring', name: 'expander spring', qty: 1, dims: { lengthMm: 12 } }],
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
];
