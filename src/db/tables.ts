// The tables of the shop, by the station that fills them.
export * from './tables/bench';
export * from './tables/book';
export * from './tables/bore';
export * from './tables/cost';
export * from './tables/customer';
export * from './tables/kit';
export * from './tables/machine';
export * from './tables/people';
export * from './tables/plan';
export * from './tables/practice';
export * from './tables/prove';
export * from './tables/shop';
export * from './tables/strip';
export * from './tables/tallies';
export * from './tables/units';
