/** What the bore's surface is made of. */
export const MATERIALS = ['cast-iron', 'alloy', 'alloy-anodised', 'sleeve-stainless', 'sleeve-brass', 'sleeve-steel'] as const;
export type Material = (typeof MATERIALS)[number];

/** Linear expansion per K. @source design, chapter 1 */
export const EXPANSION_PER_K: { readonly [M in Material]: number } = {
  'cast-iron': 10.8e-6,
  alloy: 23e-6,
  'alloy-anodised': 23e-6,
  'sleeve-stainless': 16.5e-6,
  'sleeve-brass': 19e-6,
  'sleeve-steel': 11.7e-6,
};

/** Steel gauge and its setting ring, per K. */
export const GAUGE_EXPANSION_PER_K = 11.5e-6;

export const MATERIAL_WORDS: { readonly [M in Material]: string } = {
  'cast-iron': 'cast iron',
  alloy: 'light alloy, bare',
  'alloy-anodised': 'light alloy, anodised',
  'sleeve-stainless': 'stainless sleeve',
  'sleeve-brass': 'brass sleeve',
  'sleeve-steel': 'steel sleeve',
};
