/** What stood in the way, a line each. */
export const Told = ({ lines }: { readonly lines: readonly string[] }) =>
  lines.map((line) => (
    <p key={line} role="alert" className="border-l-4 border-red bg-sheet pl-3 text-red">
      {line}
    </p>
  ));
