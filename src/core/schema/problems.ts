import type { z } from 'zod';

/** One thing wrong with a request: where (`readings[0].diaMm`, empty for the whole body) and what. */
export type Problem = { readonly path: string; readonly message: string };

/** Everything that a Zod schema found wrong, each unknown field at its own path. */
export const problemsOf = (error: z.ZodError): readonly Problem[] =>
  error.issues.flatMap((issue) =>
    issue.code === 'unrecognized_keys'
      ? issue.keys.map((key) => ({ path: pathOf([...issue.path, key]), message: 'is not a known field' }))
      : [{ path: pathOf(issue.path), message: issue.message }],
  );

export const pathOf = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, part) => (typeof part === 'number' ? `${text}[${part}]` : text === '' ? String(part) : `${text}.${String(part)}`),
    '',
  );
