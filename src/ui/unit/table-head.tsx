/** The head of a table: a name a column; one that needs none is left empty. */
export const TableHead = ({ names }: { readonly names: readonly string[] }) => (
  <thead>
    <tr>
      {names.map((name, i) => (
        <th key={i} scope="col" className="th">
          {name}
        </th>
      ))}
    </tr>
  </thead>
);
