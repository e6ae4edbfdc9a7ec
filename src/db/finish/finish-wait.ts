/** The wait that rings when a finish has had its time. */
export const finishWaitId = (finishId: string): string => `${finishId}-wait`;
