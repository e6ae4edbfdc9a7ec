'use client';

import { createContext, type ReactNode, useContext } from 'react';
import type { Role } from '@/core/people/role';
import type { Rules } from '@/core/rules/rule-set';
import type { Schools } from '@/core/rules/schools';
import type { UnitTarget } from './unit-actions';

/** What all the work on a unit needs: which unit, by which rules, who looks at it when, and whether this person may work here now. */
export type AtUnit = {
  readonly target: UnitTarget;
  readonly tag: string;
  readonly rules: Rules;
  readonly schools: Schools;
  readonly role: Role;
  /** Which of its bores the page is about, from 1. */
  readonly pot: number;
  /** When the page was made, ms since 1970. */
  readonly now: number;
  /** It is the turn of what the page shows, and this person may do it. */
  readonly open: boolean;
  /** It has not left. */
  readonly inShop: boolean;
};

const StationContext = createContext<AtUnit | undefined>(undefined);

export const StationProvider = ({ at, children }: { readonly at: AtUnit; readonly children: ReactNode }) => (
  <StationContext value={at}>{children}</StationContext>
);

export const useStation = (): AtUnit => {
  const at = useContext(StationContext);
  if (at === undefined) throw new Error('useStation: outside of the page of a unit');
  return at;
};
