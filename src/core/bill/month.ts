import { CHARGES, type Charge } from '../cost/price';
import type { Bill, BillWay } from './bill';

/** A month of the shop. Money in whole cents without tax, but for what is owed; hours of work. */
export type Month = {
  /** Its first moment on the shop's clock, ms since 1970. */
  readonly from: number;
  readonly cameIn: number;
  readonly left: number;
  readonly byWay: readonly { readonly way: BillWay; readonly bills: number; readonly cents: number }[];
  readonly byCharge: Readonly<Record<Charge, number>>;
  readonly net: number;
  /** Hours that were charged by their time, and hours that those who work at the benches were there. */
  readonly soldH: number;
  readonly workedH: number;
  /** Parts that were charged and of which it is known what they cost the shop. */
  readonly parts: { readonly cents: number; readonly costCents: number };
  /** With tax, at its end. */
  readonly owedCents: number;
};

export type MonthFacts = Pick<Month, 'from' | 'cameIn' | 'left' | 'workedH' | 'owedCents'> & {
  /** What was given out in it; credit notes take away from it. */
  readonly bills: readonly Bill[];
};

export const monthOf = ({ bills, ...facts }: MonthFacts): Month => {
  const lines = bills.flatMap((b) => b.charges.lines);
  const sum = (of: readonly { readonly cents: number }[]): number => of.reduce((s, l) => s + l.cents, 0);
  const ways = [...new Set(bills.map((b) => b.way))];
  const known = lines.filter((l) => l.charge === 'parts' && l.costCents !== undefined);
  return {
    ...facts,
    byWay: ways
      .map((way) => {
        const of = bills.filter((b) => b.way === way);
        return {
          way,
          bills: of.reduce((n, b) => n + (b.kind === 'bill' ? 1 : -1), 0),
          cents: of.reduce((s, b) => s + b.charges.net, 0),
        };
      })
      .toSorted((a, b) => b.cents - a.cents),
    byCharge: Object.fromEntries(CHARGES.map((c) => [c, sum(lines.filter((l) => l.charge === c))])) as Record<Charge, number>,
    net: bills.reduce((s, b) => s + b.charges.net, 0),
    soldH: lines.reduce((s, l) => s + (l.minutes ?? 0), 0) / 60,
    parts: { cents: sum(known), costCents: known.reduce((s, l) => s + (l.costCents ?? 0), 0) },
  };
};
