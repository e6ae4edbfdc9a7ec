/** What the process that makes, verifies or restores a backup says, a line of JSON each; `end` is the last. Times in ms since 1970. */
export type Line =
  | { readonly kind: 'progress'; readonly part: number; readonly doing: string }
  | { readonly kind: 'made'; readonly bytes: number; readonly files: number; readonly rows: number }
  | { readonly kind: 'restored'; readonly madeAt: number; readonly kept: string | null }
  | { readonly kind: 'end'; readonly faults: readonly string[] };
