/** What may be seen on a bore. @source design, domain, "Marks on a bore" */
export const MARK_KINDS = [
  'deposit',
  'stain',
  'corrosion',
  'pit',
  'score',
  'gouge',
  'chatter',
  'ridge',
  'lost-anodising',
  'port-burr',
  'crack',
] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

/** A mark on the bore: where it lies, and its depth once it has been cleaned and measured. Depths in µm, uncertainty expanded. */
export type Mark = {
  readonly id: string;
  readonly kind: MarkKind;
  readonly x0Mm: number;
  readonly x1Mm: number;
  readonly clock0Deg: number;
  readonly clock1Deg: number;
  readonly depthUm?: number | null | undefined;
  readonly depthUncertaintyUm?: number | null | undefined;
  readonly widthUm?: number | null | undefined;
  readonly cleaned: boolean;
  /** Measured in metal that has been cut since: what should be left of it is known, whether it is nobody has looked. */
  readonly beforeCut?: BeforeCut | null | undefined;
};
/** What should be left of a mark's depth after a cut, µm; null where it cannot be said. */
export type BeforeCut = { readonly expectedUm: number | null };

export const MARK_WORDS: { readonly [K in MarkKind]: string } = {
  deposit: 'deposit',
  stain: 'stain',
  corrosion: 'corrosion',
  pit: 'pit',
  score: 'score',
  gouge: 'gouge',
  chatter: 'chatter',
  ridge: 'ridge',
  'lost-anodising': 'lost anodising',
  'port-burr': 'port burr',
  crack: 'crack',
};
