/** What a fluid is made from; only like mixes with like. */
export type Base = 'glycol' | 'silicone' | 'mineral';

type Fluid = {
  readonly label: string;
  readonly base: Base;
  /** Least boiling point fresh from the tin, and with the water that a year or two brings in, °C; null where no standard sets one. */
  readonly dryC: number | null;
  readonly wetC: number | null;
  readonly note: string;
};

/** Fluids of brakes and clutches. @source design, domain, "Fluids and what touches rubber"; boiling points: the least that ISO 4925 and FMVSS 116 let a fluid of the name have */
export const FLUIDS = {
  'dot-3': { label: 'DOT 3', base: 'glycol', dryC: 205, wetC: 140, note: 'Takes up water; strips paint.' },
  'dot-4': { label: 'DOT 4', base: 'glycol', dryC: 230, wetC: 155, note: 'Takes up water; strips paint.' },
  'dot-5.1': { label: 'DOT 5.1', base: 'glycol', dryC: 260, wetC: 180, note: 'Takes up water; strips paint.' },
  'dot-5': {
    label: 'DOT 5',
    base: 'silicone',
    dryC: 260,
    wetC: 180,
    note: 'Takes up no water, which then pools; holds air. Not for most anti-lock units.',
  },
  mineral: {
    label: 'mineral brake fluid',
    base: 'mineral',
    dryC: null,
    wetC: null,
    note: 'Only for systems built for it, with rubber of their own; the maker states its boiling point.',
  },
} as const satisfies { readonly [name: string]: Fluid };

export type FluidName = keyof typeof FLUIDS;
export const FLUID_NAMES = Object.keys(FLUIDS) as [FluidName, ...FluidName[]];

/** Boiling points of a fluid as a bench reads them. */
export const sayBoiling = (name: FluidName): string => {
  const { dryC, wetC } = FLUIDS[name];
  return dryC === null ? 'boils as its maker states' : `boils at ${dryC} °C dry and ${wetC} °C wet, at the least`;
};

/** What becomes of a system that held one fluid and is filled with another. */
export type Mixing = 'same' | 'lower-boiling' | 'flush';

/** Like mixes with like, and boils as the lower of the two; anything else is flushed out first. */
export const mixingOf = (was: FluidName, now: FluidName): Mixing =>
  was === now ? 'same' : FLUIDS[was].base === FLUIDS[now].base ? 'lower-boiling' : 'flush';

/** The one of two that boils first when both are wet: what a mixture is taken for. */
export const lowerBoiling = (a: FluidName, b: FluidName): FluidName => ((FLUIDS[a].wetC ?? 0) <= (FLUIDS[b].wetC ?? 0) ? a : b);
