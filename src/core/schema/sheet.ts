/** What an address may carry, as a page is given it. */
export type Query = Readonly<Record<string, string | undefined>>;

/** Past this a figure on a sheet is mistyped. */
const LARGEST = 100_000;

/** The figures of a sheet that an address carries; what is no number, or none that can be, is left out. */
export const numbersIn = <F extends string>(query: Query, fields: readonly F[]): { readonly [K in F]?: number } =>
  Object.fromEntries(
    fields.flatMap((f) => {
      const value = Number(query[f]);
      return query[f] === undefined || query[f] === '' || !Number.isFinite(value) || Math.abs(value) > LARGEST ? [] : [[f, value]];
    }),
  ) as { readonly [K in F]?: number };

/** A figure as an address carries it: to a millionth, without what binary fractions leave behind it. */
export const plainFigure = (value: number): string => String(Number(value.toFixed(6)));

/** A sheet as an address carries it: its fields in their order, those that are filled in. */
export const queryOf = (values: Readonly<Record<string, number | string | null | undefined>>, fields: readonly string[]): string =>
  new URLSearchParams(
    fields.flatMap((f) => {
      const value = values[f];
      return value == null || value === '' ? [] : [[f, typeof value === 'number' ? plainFigure(value) : value] as [string, string]];
    }),
  ).toString();
