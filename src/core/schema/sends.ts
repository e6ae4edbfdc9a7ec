import type { z } from 'zod';

/** A value of which anything may still be blank: a form is sent as it stands, and the schema says what is missing. */
type Blank<T> = T extends readonly unknown[]
  ? { readonly [I in keyof T]: Blank<T[I]> }
  : T extends object
    ? { readonly [K in keyof T]: Blank<T[K]> | null | undefined }
    : T;

/** What a page sends to a schema. */
export type Sends<S extends z.ZodType> = Blank<z.input<S>>;

/** What is asked without anything beside it. */
export type Nothing = Readonly<Record<string, never>>;
