import type { Price } from '@/core/cost/price';
import type { UnitKind } from '@/core/family/family-name';

const instead = (
  what: 'exchange' | 'new',
  number: string,
  family: UnitKind,
  boreMm: number | null,
  euro: number,
  from: { readonly supplier: string; readonly stock: number; readonly days: number },
): Price => ({ what, number, family, boreMm, fitment: null, ...from, cents: euro * 100 });
const SHELF = (stock: number) => ({ supplier: '', stock, days: 0 });
const FROM = (supplier: string, days: number) => ({ supplier, stock: 0, days });

/** What the demo's shop takes; all of it made up. */
export const PRICES: readonly Price[] = [
  { what: 'work', family: null, way: null, station: 'book-in', cents: 0 },
  { what: 'work', family: null, way: null, station: 'prove', cents: 2200 },
  { what: 'work', family: 'booster', way: null, station: null, cents: 19_500 },
  { what: 'sleeve', family: null, uptoMm: 32, supplier: 'Quayside Boring', days: 8, cents: 7400 },
  { what: 'sleeve', family: null, uptoMm: 60, supplier: 'Quayside Boring', days: 8, cents: 9800 },
  { what: 'sleeve', family: null, uptoMm: 40, supplier: 'Tollgate Sleeves', days: 4, cents: 9200 },
  instead('exchange', 'X-2201', 'wheel-double', 22.225, 58, SHELF(3)),
  instead('exchange', 'X-2202', 'master-single', 19.05, 96, SHELF(1)),
  instead('exchange', 'X-2203', 'master-tandem', 22.225, 148, FROM('Lockgate Exchange', 5)),
  instead('exchange', 'X-2204', 'slave', 22.225, 61, SHELF(2)),
  instead('new', 'N-7710', 'wheel-double', 22.225, 89, FROM('Harbour Spares', 2)),
  instead('new', 'N-7711', 'wheel-single', 19.05, 82, FROM('Harbour Spares', 2)),
  instead('new', 'N-7720', 'master-tandem', 22.225, 264, FROM('Harbour Spares', 6)),
  instead('new', 'N-7760', 'booster', null, 189, FROM('Harbour Spares', 3)),
  instead('new', 'N-7725', 'slave', 22.225, 97, FROM('Harbour Spares', 2)),
  { what: 'tax', name: 'VAT', on: null, pct: 20 },
  { what: 'rounding', cents: 5 },
];
