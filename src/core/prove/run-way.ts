/** How a run was made: on the rig, read by eye beside a hand pump, or from what a logger wrote. */
export const RUN_WAYS = { rig: 'on the rig', 'by-hand': 'hand pump, read by eye', logger: 'hand pump, by a logger' } as const;
export type RunWay = keyof typeof RUN_WAYS;
