/** Ways to look at the plan. */
export const DAY_VIEWS = { benches: 'Benches', units: 'Units', 'what-if': 'What if …' } as const;
export type DayView = keyof typeof DAY_VIEWS;
export const isDayView = (view: string | undefined): view is DayView => view !== undefined && view in DAY_VIEWS;
