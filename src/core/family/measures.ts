import type { PartKind } from './part-kind';

/** Dimensions that decide a match, by kind, with how a bench says them. */
export const MEASURES: { readonly [K in PartKind]?: readonly { readonly dim: string; readonly label: string; readonly fine: boolean }[] } =
  {
    piston: [{ dim: 'diaMm', label: '⌀', fine: true }],
    plunger: [{ dim: 'diaMm', label: '⌀', fine: true }],
    'plunger-seal': [{ dim: 'lengthMm', label: 'height', fine: false }],
    'square-seal': [{ dim: 'csMm', label: 'section', fine: false }],
    'dust-seal': [{ dim: 'odMm', label: '⌀', fine: false }],
    'o-ring': [
      { dim: 'idMm', label: 'bore', fine: false },
      { dim: 'csMm', label: 'section', fine: false },
    ],
    'wire-ring': [{ dim: 'thickMm', label: 'wire', fine: false }],
    pin: [{ dim: 'diaMm', label: '⌀', fine: true }],
    spring: [{ dim: 'lengthMm', label: 'free length', fine: false }],
    boot: [
      { dim: 'idMm', label: 'neck', fine: false },
      { dim: 'odMm', label: 'mouth', fine: false },
    ],
    cup: [{ dim: 'lengthMm', label: 'height', fine: false }],
    circlip: [{ dim: 'thickMm', label: 'thick', fine: false }],
    'stop-washer': [{ dim: 'odMm', label: '⌀', fine: false }],
    'protector-washer': [{ dim: 'odMm', label: '⌀', fine: false }],
    pushrod: [{ dim: 'lengthMm', label: 'length', fine: false }],
    grommet: [
      { dim: 'idMm', label: 'bore', fine: false },
      { dim: 'odMm', label: '⌀', fine: false },
    ],
  };
