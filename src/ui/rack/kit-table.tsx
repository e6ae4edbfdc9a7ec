import type { StoredKit } from '@/core/kit/stored-kit';
import { sayLength, sayNominal } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';

/** The store: every kit with what is in its bag, and how many are on the shelf. */
export function KitTable({ kits, units }: { readonly kits: readonly StoredKit[]; readonly units: Units }) {
  return (
    <div className="px-4 py-4">
      <h1 className="mb-3 text-xl font-bold">Kit store</h1>
      {kits.length === 0 && (
        <p className="text-ink2">The store holds every kit with its contents, part by part. None has been entered yet.</p>
      )}
      <div className="overflow-x-auto">
        <table className="w-full border-collapse bg-sheet">
          <thead>
            <tr>
              {['Kit', 'For', 'In the bag', 'Price', 'On the shelf', 'To be had in'].map((h) => (
                <th key={h} scope="col" className="th">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {kits.map((kit) => (
              <tr key={kit.id} className="align-top">
                <th scope="row" className="cell font-bold text-brass">
                  {kit.number}
                </th>
                <td className="cell">
                  {kit.name}
                  {kit.note !== '' && <p className="text-[13px] text-amber">{kit.note}</p>}
                </td>
                <td className="cell text-[13px]">
                  {kit.items.map((i) => `${i.name}${i.qty > 1 ? ` × ${i.qty}` : ''}${dimsOf(i.dims, units)}`).join(' · ')}
                </td>
                <td className="cell text-right">{kit.price.toFixed(2)}</td>
                <td className={`cell text-right font-bold ${kit.stock === 0 ? 'text-amber' : ''}`}>{kit.stock}</td>
                <td className="cell whitespace-nowrap">{kit.leadDays === null ? 'not known' : `${kit.leadDays} days`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}

const dimsOf = (dims: StoredKit['items'][number]['dims'], units: Units): string => {
  const texts = Object.entries(dims).flatMap(([name, value]) =>
    value == null ? [] : [typeof value === 'number' ? (name === 'boreMm' ? sayNominal(value) : sayLength(value, units)) : value],
  );
  return texts.length === 0 ? '' : ` (${texts.join(', ')})`;
};
