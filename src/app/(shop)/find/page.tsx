import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { scannedTag } from '@/core/unit/scanned-tag';
import { tagOf } from '@/core/unit/unit-record';
import { findCustomers } from '@/db/customer/customers';
import { theDb } from '@/db/engine/connection';
import { findUnits } from '@/db/rack/rack';
import { CustomerList } from '@/ui/customer/customer-list';
import { UnitList } from '@/ui/rack/unit-list';
import { LabelCamera } from '@/ui/shell/label-camera';

export const metadata: Metadata = { title: 'Find' };

const NOBODY = { found: [], inAll: 0 };

export default async function FindPage({ searchParams }: { readonly searchParams: Promise<{ q?: string }> }) {
  const text = String((await searchParams).q ?? '').trim();
  const db = await theDb();
  const tag = scannedTag(text);
  const [{ units, inAll, counted }, customers] = await Promise.all([
    findUnits(db, tag ?? text),
    text === '' ? NOBODY : findCustomers(db, text),
  ]);
  // A whole tag, or an address that names one, is one unit: that is what was looked for.
  if (units.some((u) => tagOf(u) === tag)) redirect(`/units/${tag}`);
  return (
    <div className="px-4 py-4">
      <h1 className="mb-3 text-xl font-bold">
        {text === '' ? 'Find' : `${counted === 'all' ? inAll : `More than ${inAll}`} found for “${text}”`}
      </h1>
      <LabelCamera />
      {inAll > units.length && <p className="mb-3 text-ink2">The newest {units.length} are shown: one more word finds fewer.</p>}
      {customers.inAll > 0 && (
        <section className="mb-4 max-w-5xl" aria-label="Customers">
          <h2 className="head mb-1">CUSTOMERS ({customers.inAll})</h2>
          {customers.inAll > customers.found.length && <p className="text-ink2">{customers.found.length} of them are shown.</p>}
          <CustomerList customers={customers.found} empty="" />
        </section>
      )}
      <UnitList units={units} now={Date.now()} empty="Units turn up by tag, machine, customer, or the marks on their casting." />
    </div>
  );
}
