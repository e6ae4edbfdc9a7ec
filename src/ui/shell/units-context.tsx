'use client';

import { createContext, type ReactNode, useContext } from 'react';
import type { Units } from '@/core/quantity/units';

const UnitsContext = createContext<Units | undefined>(undefined);

export const UnitsProvider = ({ units, children }: { readonly units: Units; readonly children: ReactNode }) => (
  <UnitsContext value={units}>{children}</UnitsContext>
);

/** The units that this person reads in. Only on pages of the shop: what is drawn for paper is given its units. */
export const useUnits = (): Units => {
  const units = useContext(UnitsContext);
  if (units === undefined) throw new Error('useUnits: outside of the pages of the shop');
  return units;
};
