'use client';

import type { ReactNode } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { BEFORE, BEFORE_NAMES, type Before } from '@/core/book-in/before';
import { COMPLAINT_NAMES, COMPLAINTS, type Complaint } from '@/core/book-in/complaint';
import { FAMILIES } from '@/core/family/families';
import { ADJACENT_NAMES, FAMILY_NAMES, type UnitKind } from '@/core/family/family-name';
import { MATERIAL_WORDS, MATERIALS, type Material } from '@/core/family/material';
import { hasPots, MOST_POTS } from '@/core/family/pots';
import { familyOf, type Variant } from '@/core/family/variant-schema';
import { NOMINAL_SIZES } from '@/core/gauge/nominal';
import { Silhouette } from '../drawing/silhouette';
import { fieldsOf } from '../form/fields';
import { useRead } from '../shell/reads';
import { useOddPromise } from '../shell/shop-context';

/** What is entered at the counter. */
export type Booking = {
  readonly customer: string;
  readonly phone: string;
  readonly machine: string;
  readonly position: string;
  readonly identityMarks: string;
  readonly promisedAt: number | null;
  /** A family, or one of the shop's variants by its id. */
  readonly choice: string;
  readonly nominalMm: number | null;
  /** How many bores, where it is a caliper half; those after the first are as the first where nothing is said. */
  readonly pots: number | null;
  readonly morePotsMm: readonly (number | null)[];
  readonly material: Material;
  readonly complaints: readonly Complaint[];
  readonly complaintText: string;
  readonly before: readonly Before[];
};
/** A form of the shop's own of a family. */
export type ShopVariant = { readonly id: string; readonly variant: Variant };

export const chosenFamily = (choice: string, variants: readonly ShopVariant[]) => {
  const own = variants.find((v) => v.id === choice) ?? null;
  const kind = own?.variant.base ?? (choice as UnitKind);
  return { kind, variantId: own?.id ?? null, family: familyOf(kind, own?.variant ?? null) };
};

/** What is sent of it. */
export const sentOf = ({ choice, pots, ...entry }: Booking, variants: readonly ShopVariant[]) => {
  const { kind, variantId, family } = chosenFamily(choice, variants);
  const nominalMm = family.bore === 'none' ? null : entry.nominalMm;
  const more = hasPots(family) ? entry.morePotsMm.slice(0, (pots ?? 1) - 1) : [];
  return { ...entry, family: kind, variantId, nominalMm, morePotsMm: more.flatMap((mm) => mm ?? nominalMm ?? []) };
};

const OTHER_POTS = ['morePotsMm.0', 'morePotsMm.1'] as const;
const { Text, Select, Moment, Length, Several, Count } = fieldsOf<Booking>();
const BEFORE_WORDS = Object.fromEntries(BEFORE_NAMES.map((b) => [b, BEFORE[b].label]));
const SIZES = NOMINAL_SIZES.map((s) => s.label);

/** Who, what off, which family, what is wrong, until when. */
export function BookingFields({
  variants,
  beside,
  below,
  promise,
}: {
  readonly variants: readonly ShopVariant[];
  /** More of the left column, and of the right. */
  readonly beside?: ReactNode;
  readonly below?: ReactNode;
  /** What the plan says of the date. */
  readonly promise?: ReactNode;
}) {
  const { setValue } = useFormContext<Booking>();
  const [choice, customer, machine, before, pots] = useWatch<Booking, ['choice', 'customer', 'machine', 'before', 'pots']>({
    name: ['choice', 'customer', 'machine', 'before', 'pots'],
  });
  const { kind, family } = chosenFamily(choice, variants);
  const known = useKnown(customer, machine);
  const odd = useOddPromise();
  return (
    <div className="grid gap-x-8 gap-y-3 md:grid-cols-2">
      <div className="grid content-start gap-3">
        <Text
          name="customer"
          label="Customer"
          autoFocus
          suggested={known.customers.map((c) => c.name)}
          then={(name: string) => {
            const [one, ...more] = known.customers.filter((c) => c.name === name);
            if (one !== undefined && more.length === 0) setValue('phone', one.phone);
          }}
        />
        <Text
          name="phone"
          label="Telephone"
          inputMode="tel"
          suggested={known.customers.filter((c) => c.name === customer).map((c) => c.phone)}
        />
        <Text name="machine" label="Machine" placeholder="What it is off: make, type, year" suggested={known.machines} />
        <Text name="position" label="Where on the machine" placeholder="Front left, clutch, …" />
        <Text name="identityMarks" label="Marks on it" placeholder="Casting marks, numbers, paint" />
        {beside}
        <Moment name="promisedAt" label="Promised for" className="w-full" odd={odd} />
        {promise}
        <details open={before.length > 0}>
          <summary className="min-h-[44px] cursor-pointer py-3 font-bold text-act">What happened before, and what the machine has</summary>
          <Several name="before" label="As many as are known" options={BEFORE_NAMES} say={BEFORE_WORDS} />
        </details>
      </div>
      <div className="grid content-start gap-3">
        <div className="flex items-end gap-4">
          <Select
            name="choice"
            label="Family"
            className="min-w-0 flex-1"
            groups={[
              { label: 'Cylinders', options: FAMILY_NAMES.map(familyOption) },
              ...(variants.length === 0
                ? []
                : [{ label: 'This shop’s own', options: variants.map((v) => ({ value: v.id, text: v.variant.label })) }]),
              { label: 'Beside them, no bore', options: ADJACENT_NAMES.map(familyOption) },
            ]}
          />
          <span className="flex min-h-[44px] items-center">
            <Silhouette family={kind} label={family.label} />
          </span>
        </div>
        {family.bore !== 'none' && (
          <div className="grid grid-cols-2 gap-3">
            <Length name="nominalMm" label="Bore as cast or listed" fine say="typing" hint="7/8 or 22.2 mm" suggested={SIZES} />
            <Select name="material" label="Bore material" options={MATERIALS} say={MATERIAL_WORDS} />
          </div>
        )}
        {hasPots(family) && (
          <div className="grid grid-cols-3 gap-3">
            <Count name="pots" label="Pots" from={1} to={MOST_POTS} />
            {OTHER_POTS.slice(0, (pots ?? 1) - 1).map((name, i) => (
              <Length key={name} name={name} label={`Bore of pot ${i + 2}`} fine say="typing" hint="as the first" suggested={SIZES} />
            ))}
          </div>
        )}
        <Several name="complaints" label="What the customer says" options={COMPLAINT_NAMES} say={COMPLAINTS} />
        <Text name="complaintText" label="In their own words" />
        {below}
      </div>
    </div>
  );
}

const familyOption = (f: UnitKind) => ({ value: f, text: FAMILIES[f].label });

type Known = { readonly customers: readonly { readonly name: string; readonly phone: string }[]; readonly machines: readonly string[] };
const NOBODY: Known = { customers: [], machines: [] };
/** Customers and machines of the shop that begin as it is typed. */
const useKnown = (customer: string, machine: string): Known => {
  const asked = customer.trim().length > 1 || machine.trim().length > 1;
  const { data } = useRead<Known>(
    `/api/v1/known?${new URLSearchParams({ customer: customer.trim(), machine: machine.trim() })}`,
    asked ? undefined : NOBODY,
  );
  return data ?? NOBODY;
};
