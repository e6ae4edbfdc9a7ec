/** Whose page it is, for those who do not work here; nothing where the shop has set nothing. */
export function Letterhead({ lines: [shop, ...rest] }: { readonly lines: readonly string[] }) {
  return shop === undefined ? null : (
    <header className="border-b border-line pb-2">
      <p className="text-lg font-bold">{shop}</p>
      <p className="text-ink2">{rest.join(' · ')}</p>
    </header>
  );
}
