'use client';

import { uuidv7 } from 'uuidv7';
import { savePriceAction } from '@/app/actions/prices';
import { CHARGE_WORDS, CHARGES, PRICE_KINDS, PRICE_WORDS, type Price, type PriceKind } from '@/core/cost/price';
import { FAMILIES } from '@/core/family/families';
import { UNIT_KINDS, type UnitKind } from '@/core/family/family-name';
import { amountOf, centsOf } from '@/core/quantity/cents';
import { STATION_WORDS, STATIONS, type Station } from '@/core/station';
import { WAY_WORDS, WAYS, type Way } from '@/core/way';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';

/** A line as it is typed: all that any kind of it has, `cents` in the shop's money. */
type Typed = {
  readonly what: PriceKind;
  readonly family: UnitKind | null;
  readonly way: Way | null;
  readonly station: Station | null;
  readonly uptoMm: number | null;
  readonly number: string;
  readonly boreMm: number | null;
  readonly fitment: string | null;
  readonly supplier: string;
  readonly stock: number | null;
  readonly days: number | null;
  readonly cents: number | null;
  readonly name: string;
  readonly on: (typeof CHARGES)[number] | null;
  readonly pct: number | null;
};
type Values = { readonly price: Typed };
const BLANK: Typed = {
  what: 'work',
  family: null,
  way: null,
  station: null,
  uptoMm: null,
  number: '',
  boreMm: null,
  fitment: null,
  supplier: '',
  stock: 0,
  days: null,
  cents: null,
  name: '',
  on: null,
  pct: null,
};
const typed = (p: Price | undefined): Typed =>
  p === undefined ? BLANK : { ...BLANK, ...p, ...('cents' in p ? { cents: amountOf(p.cents) } : {}) };
const { Amount, Length, Select, Text } = fieldsOf<Values>();
const FAMILY_OPTIONS = UNIT_KINDS.map((k) => ({ value: k, text: FAMILIES[k].label }));

/** One line of the price list, new or changed; which line it is stays. */
export function PriceForm({ price, onDone }: { readonly price: Price | undefined; readonly onDone: () => void }) {
  const known = price !== undefined;
  const saving = useAskForm(
    savePriceAction,
    { price: typed(price) } as Values,
    ({ price: p }) => ({
      id: uuidv7(),
      as: known ? ('known' as const) : ('new' as const),
      // A supplier's absence is the own shelf, where it is there at once.
      price: {
        ...p,
        cents: p.cents === null ? null : centsOf(p.cents),
        days: isInstead(p.what) && p.supplier.trim() === '' ? 0 : p.days,
      } as Price,
    }),
    onDone,
  );
  const what = saving.form.watch('price.what');
  return (
    <ActionFormFrame of={saving} submit={known ? 'Save the change' : 'Put it on the list'} className="grid gap-3">
      <div className="flex flex-wrap items-start gap-3">
        <Select
          name="price.what"
          label="What it is"
          className="w-52"
          options={PRICE_KINDS}
          say={PRICE_WORDS}
          disabled={known}
          autoFocus={!known}
        />
        <FieldsOf what={what} known={known} />
      </div>
    </ActionFormFrame>
  );
}
const isInstead = (what: PriceKind): boolean => what === 'exchange' || what === 'new';

function FieldsOf({ what, known }: { readonly what: PriceKind; readonly known: boolean }) {
  const price = <Amount name="price.cents" label="Price, without tax" className="w-32" above={-1} autoFocus={known} />;
  const days = <Amount name="price.days" label="Days" className="w-24" above={-1} />;
  switch (what) {
    case 'work':
      return (
        <>
          <Select
            name="price.station"
            label="Work at"
            className="w-40"
            none="the whole job"
            options={STATIONS}
            say={STATION_WORDS}
            disabled={known}
          />
          <Select name="price.family" label="Kind of unit" className="w-52" none="any" options={FAMILY_OPTIONS} disabled={known} />
          <Select name="price.way" label="Its way" className="w-36" none="any" options={WAYS} say={WAY_WORDS} disabled={known} />
          {price}
        </>
      );
    case 'sleeve':
      return (
        <>
          <Text name="price.supplier" label="Who sleeves it" className="w-52" maxLength={80} disabled={known} />
          <Select name="price.family" label="Kind of unit" className="w-52" none="any" options={FAMILY_OPTIONS} disabled={known} />
          <Length name="price.uptoMm" label="Bore up to" className="w-32" disabled={known} />
          {days}
          {price}
        </>
      );
    case 'exchange':
    case 'new':
      return (
        <>
          <Text name="price.number" label="Number" className="w-36" maxLength={60} disabled={known} />
          <Text name="price.supplier" label="Supplier; empty: own shelf" className="w-52" maxLength={80} disabled={known} />
          <Select name="price.family" label="Kind of unit" className="w-52" options={FAMILY_OPTIONS} none="which?" />
          <Length name="price.boreMm" label="Bore" className="w-28" />
          <Amount name="price.stock" label="On the shelf" className="w-28" above={-1} />
          {days}
          {price}
        </>
      );
    case 'tax':
      return (
        <>
          <Text name="price.name" label="Called" className="w-36" maxLength={40} autoFocus={known} />
          <Select name="price.on" label="On" className="w-44" none="all else" options={CHARGES} say={CHARGE_WORDS} disabled={known} />
          <Amount name="price.pct" label="Per cent" className="w-28" above={-1} />
        </>
      );
    case 'rounding':
      return <Amount name="price.cents" label="To the nearest" className="w-32" autoFocus={known} />;
  }
}
