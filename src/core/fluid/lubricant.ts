import type { Base } from './fluid';

type Lubricant = {
  readonly label: string;
  /** Null: petroleum, which no seal of a fluid path is ever wetted with. `own`: whatever the system holds. */
  readonly base: Base | 'own' | null;
};

/** What rubber is wetted with to go in. @source design, domain, "Fluids and what touches rubber" and the school on assembly lubricant */
export const LUBRICANTS = {
  'fresh-fluid': { label: 'fresh fluid of this system', base: 'own' },
  'glycol-grease': { label: 'rubber-safe grease, glycol base', base: 'glycol' },
  'silicone-grease': { label: 'silicone grease', base: 'silicone' },
  'mineral-grease': { label: 'assembly grease for mineral systems', base: 'mineral' },
  'petroleum-grease': { label: 'petroleum grease or oil', base: null },
} as const satisfies { readonly [name: string]: Lubricant };

export type LubricantName = keyof typeof LUBRICANTS;
export const LUBRICANT_NAMES = Object.keys(LUBRICANTS) as [LubricantName, ...LubricantName[]];
