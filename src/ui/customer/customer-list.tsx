import type { Customer } from '@/core/customer/customer';
import { Go } from '../shell/go';
import { Scroll } from '../unit/scroll';

/** Customers, a line each. */
export function CustomerList({ customers, empty }: { readonly customers: readonly Customer[]; readonly empty: string }) {
  if (customers.length === 0) return <p className="text-ink2">{empty}</p>;
  return (
    <Scroll label="Customers">
      <table className="w-full border-collapse bg-sheet">
        <thead>
          <tr>
            <th className="th">Name</th>
            <th className="th">Telephone</th>
            <th className="th">Mail</th>
            <th className="th">Address</th>
          </tr>
        </thead>
        <tbody>
          {customers.map((c) => (
            <tr key={c.id}>
              <th scope="row" className="cell text-left">
                <Go href={`/customers/${c.id}`} className="inline-flex min-h-9 items-center font-bold text-act">
                  {c.name}
                </Go>
              </th>
              <td className="cell">{c.phone || '–'}</td>
              <td className="cell">{c.mail || '–'}</td>
              <td className="cell">{c.address || '–'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scroll>
  );
}
