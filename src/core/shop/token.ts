/** What a token opens: calculations, an instrument's readings, or the shop's figures to be read. */
export const TOKEN_SCOPES = ['compute', 'device', 'read'] as const;
export type TokenScope = (typeof TOKEN_SCOPES)[number];
export const TOKEN_SCOPE_WORDS: { readonly [S in TokenScope]: string } = {
  compute: 'calculations (/api/v1/compute)',
  device: 'readings of instruments (/api/v1/devices)',
  read: 'reading units, events and figures of the shop (/api/v1/units, events, metrics)',
};

/** A token as its owner sees it again. Times in ms since 1970; `by` null for somebody who is not there any more. */
export type ApiToken = {
  readonly id: string;
  readonly name: string;
  readonly scope: TokenScope;
  readonly at: number;
  readonly by: string | null;
  readonly lastUsedAt: number | null;
  readonly withdrawnAt: number | null;
};
