/** Dashes for the first lines of a chart, told apart at a glance. */
export const DASHES = ['', '8 4', '2 3', '10 3 2 3', '4 2 1 2 1 2', '14 6'] as const;
