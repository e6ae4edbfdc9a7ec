/** Something wrong with a file, where a person finds it. Lines count from 1, the header's; 0: the file as a whole. */
export type FileProblem = { readonly line: number; readonly column: string; readonly message: string };

/** What is wrong with a file: as much as a person goes through before sending it again, and how much there is in all. */
export type FileFaults = { readonly problems: readonly FileProblem[]; readonly inAll: number };
const MOST = 500;
export const faultsOf = (all: readonly FileProblem[]): FileFaults => ({ problems: all.slice(0, MOST), inAll: all.length });
