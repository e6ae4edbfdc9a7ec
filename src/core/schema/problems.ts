import type { z } from 'zod';

/** One thing wrong with a request: where (`readings[0].diaMm`, empty for the whole body) and what. */
export type Problem = { readonly path: string; readonly message: string };

/** As many faults as somebody mends before the request is sent again. */
const MOST = 500;

/** What a Zod schema found wrong, each unknown field at its own path: the first 500, and how many more there are. */
export const problemsOf = (error: z.ZodError): readonly Problem[] => {
  const all = allProblems(error);
  return all.length <= MOST ? all : [...all.slice(0, MOST), { path: '', message: `and ${all.length - MOST} more faults` }];
};

const allProblems = (error: z.ZodError): readonly Problem[] =>
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

/** A fault in plain words, where the schema has none of its own: a validator's words never reach a person. Give it to `safeParse` as its `error`. */
export const sayFault = (issue: z.core.$ZodRawIssue): string => {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input == null || Number.isNaN(issue.input)
        ? 'is missing'
        : issue.expected === 'int'
          ? 'is a whole number'
          : 'cannot be read';
    case 'too_small':
      if (issue.origin === 'string' || issue.origin === 'array') return 'is missing';
      return issue.inclusive === false ? `is above ${issue.minimum}` : `is ${issue.minimum} or more`;
    case 'too_big':
      return issue.origin === 'string'
        ? `is longer than ${issue.maximum} letters`
        : issue.origin === 'array'
          ? `are more than ${issue.maximum}`
          : `is ${issue.maximum} or less`;
    case 'invalid_value':
      return 'is to be chosen';
    default:
      return 'cannot be read';
  }
};
