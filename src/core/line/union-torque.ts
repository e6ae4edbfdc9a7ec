/** A sealing washer of a banjo bolt or a union: by the thread that goes through it, mm. @source common sizes to DIN 7603, form A */
export const WASHERS: readonly { readonly bolt: string; readonly innerMm: number; readonly outerMm: number; readonly thickMm: number }[] = [
  { bolt: 'M8', innerMm: 8, outerMm: 12, thickMm: 1 },
  { bolt: 'M10, 3/8', innerMm: 10, outerMm: 14, thickMm: 1 },
  { bolt: 'M11, 7/16', innerMm: 11, outerMm: 16, thickMm: 1 },
  { bolt: 'M12', innerMm: 12, outerMm: 16, thickMm: 1.5 },
  { bolt: 'M14', innerMm: 14, outerMm: 18, thickMm: 1.5 },
];

/** How tight, and why not tighter; figures are for dry steel nuts on steel tube, and a manual goes before them. @source bench practice */
export const TIGHT: readonly { readonly what: string; readonly nm: string }[] = [
  { what: 'flare nut M10, 3/8 on 4.75 mm tube', nm: '12 to 16 Nm' },
  { what: 'flare nut M12, 7/16 on 6 mm tube', nm: '16 to 22 Nm' },
  { what: 'banjo bolt M10, copper washers', nm: '18 to 25 Nm' },
  { what: 'bleed screw M7 to M10', nm: '5 to 10 Nm' },
];
export const WHY_NOT_TIGHTER =
  'A flare seals by a narrow ring that is pressed once. Tightened until it stops it thins, splits and takes the seat with it, and leaks more. If it weeps at its torque, open it and look.';
