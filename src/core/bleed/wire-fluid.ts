import type { FluidName } from '../fluid/fluid';
import type { WireFluid } from './bleed-wire';

/** The shop's name of each fluid that the wire names. */
export const FLUID_OF: { readonly [W in WireFluid]: FluidName } = {
  dot3: 'dot-3',
  dot4: 'dot-4',
  'dot5.1': 'dot-5.1',
  dot5: 'dot-5',
  mineral: 'mineral',
};
