import type { Material } from '../family/material';

/** Ways to save a bore that practitioners hold to. */
export const SCHOOLS = ['hone-to-limit', 'keep-the-skin', 'sleeve-first'] as const;
export type School = (typeof SCHOOLS)[number];

export const SCHOOL_WORDS: { readonly [S in School]: string } = {
  'hone-to-limit': 'hone to the limit',
  'keep-the-skin': 'keep the skin',
  'sleeve-first': 'sleeve first',
};
export const SCHOOL_WHY: { readonly [S in School]: string } = {
  'hone-to-limit': 'marks in a lane are cut out while the bore stays inside its limit.',
  'keep-the-skin': 'an anodised or cast skin is only polished; what a polish does not take is sleeved.',
  'sleeve-first': 'nothing is cut: what cannot be left goes out for a sleeve at standard size.',
};

/** @source design, chapter 2 */
export const usualSchool = (material: Material): School => (material === 'alloy-anodised' ? 'keep-the-skin' : 'hone-to-limit');
