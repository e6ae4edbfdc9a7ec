/** Dimensions by name: numbers in mm where the name ends in Mm, else text such as a thread. Null is unknown. */
export type Dims = { readonly [name: string]: number | string | null | undefined };
