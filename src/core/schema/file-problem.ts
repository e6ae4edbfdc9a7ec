/** Something wrong with a file, where a person finds it. Lines count from 1, the header's; 0: the file as a whole. */
export type FileProblem = { readonly line: number; readonly column: string; readonly message: string };
