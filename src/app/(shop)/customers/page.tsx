import type { Metadata } from 'next';
import { findCustomers } from '@/db/customer/customers';
import { openMessages } from '@/db/customer/outbox';
import { theDb } from '@/db/engine/connection';
import { CustomerList } from '@/ui/customer/customer-list';
import { Go } from '@/ui/shell/go';
import { mailGoes } from '../../_server/mail-goes';

export const metadata: Metadata = { title: 'Customers' };

/** Everybody who brings units, by name, telephone or mail. */
export default async function CustomersPage({ searchParams }: { readonly searchParams: Promise<{ readonly q?: string }> }) {
  const text = String((await searchParams).q ?? '').trim();
  const db = await theDb();
  const [{ found, inAll }, messages] = await Promise.all([findCustomers(db, text), openMessages(db, mailGoes())]);
  return (
    <div className="max-w-5xl px-4 py-4">
      <h1 className="mb-2 text-xl font-bold">{text === '' ? `${inAll} customers` : `${inAll} customers with “${text}”`}</h1>
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <search>
          <form className="flex items-end gap-2">
            <div>
              <label className="label" htmlFor="customer-q">
                Name, telephone or mail
              </label>
              <input id="customer-q" name="q" defaultValue={text} maxLength={200} className="field w-72" />
            </div>
            <button type="submit" className="btn-quiet">
              Find
            </button>
          </form>
        </search>
        <Go href="/outbox" className="inline-flex min-h-11 items-center font-bold text-act">
          Messages to customers{messages > 0 ? ` (${messages} to look after)` : ''}
        </Go>
      </div>
      {inAll > found.length && (
        <p className="mb-2 text-ink2">
          {text === ''
            ? `The ${found.length} newest are shown: find the others by name.`
            : `${found.length} are shown: one more word finds fewer.`}
        </p>
      )}
      <CustomerList
        customers={found}
        empty="Nobody yet: a customer is made when a unit is booked in, or comes from a file of the kit store."
      />
    </div>
  );
}
