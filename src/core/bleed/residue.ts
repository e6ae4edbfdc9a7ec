/**
 * Of the fluid that stood in a line, what is still in it after so many times its volume has gone through: as if it were stirred all the while, e^−n.
 * A slug that pushes the old fluid before it would leave less, a dead corner leaves more.
 * @param turnover volumes that went through, 0 or more
 * @returns share, 0 … 1
 * @source continuously stirred tank
 */
export const residueShare = (turnover: number): number => Math.exp(-turnover);
