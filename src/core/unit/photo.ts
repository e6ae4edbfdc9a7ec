/** A picture, on the unit as a whole or on one part, guide step or mark of it; as it came out or as it went in. */
export type Photo = {
  readonly id: string;
  readonly caption: string;
  readonly at: number;
  readonly onKind: PhotoSubject['kind'];
  readonly onId: string;
  readonly phase: 'out' | 'in';
};
/** What a picture is of: the unit, a part of it, a step of its strip guide, a mark, or a step of its proving. */
export const PHOTO_KINDS = ['unit', 'part', 'step', 'mark', 'proof'] as const;
export type PhotoSubject = { readonly kind: (typeof PHOTO_KINDS)[number]; readonly id: string };
