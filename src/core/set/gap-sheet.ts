import { numbersIn, queryOf } from '../schema/sheet';
import type { SetupInput } from './setup';

/** What is entered on the pushrod worksheet, mm unless its name says otherwise; the same names stand in its address. */
export const GAP_FIELDS = [
  'standOff',
  'socket',
  'edge',
  'reading',
  'spacer',
  'uMaster',
  'uBooster',
  'pitch',
  'ratio',
  'slack',
  'oldStandOff',
  'oldSocket',
  'rodLength',
  'rodAlpha',
  'bodyAlpha',
  'rodOld',
  'rodNew',
  'pitch1',
  'pitch2',
  'target',
  'play',
  'step',
  'standOff2',
  'socket2',
  'edge2',
  'reading2',
  'play2',
] as const;
export type GapField = (typeof GAP_FIELDS)[number];
export type GapSheet = { readonly [F in GapField]?: number | undefined } & { readonly oneLeftHanded?: boolean | undefined };

/** Depths that are read twice, each with its second reading. */
export const DEPTH_PAIRS = [
  ['standOff', 'standOff2', 'uMaster'],
  ['socket', 'socket2', 'uMaster'],
  ['edge', 'edge2', 'uBooster'],
  ['reading', 'reading2', 'uBooster'],
] as const satisfies readonly (readonly [GapField, GapField, GapField])[];
export const PLAY_PAIR = [['play', 'play2', 'uMaster']] as const satisfies readonly (readonly [GapField, GapField, GapField])[];

/** Standard uncertainty of a depth read once with a depth gauge, mm, where nobody said. */
export const USUAL_U_MM = 0.02;
/** What a depth gauge reads to where nobody said, mm. */
export const USUAL_STEP_MM = 0.05;
/** What depth gauges read to, mm. */
export const STEPS_MM = [0.01, 0.05, 0.1] as const;

export type ReadTwice = readonly (readonly [GapField, GapField, GapField])[];

/** A depth as it counts: the middle of its two readings, or the one there is. */
export const middleOf = (s: GapSheet, first: GapField, second: GapField): number | undefined => {
  const [a, b] = [s[first], s[second]];
  return a === undefined || b === undefined ? a : (a + b) / 2;
};

/** The question that a sheet asks; undefined until the four depths are there. A depth read twice counts as the middle of both. Expansion is in millionths a kelvin on the sheet. */
export const gapQuestion = (s: GapSheet): SetupInput | undefined => {
  const [standOff, socket, edge, reading] = DEPTH_PAIRS.map(([first, second]) => middleOf(s, first, second));
  if (standOff === undefined || socket === undefined || edge === undefined || reading === undefined) return undefined;
  const stepMm = s.step ?? USUAL_STEP_MM;
  return {
    master: { rimStandOffMm: standOff, socketDepthMm: socket, uMm: s.uMaster ?? USUAL_U_MM, stepMm },
    booster: { straightEdgeMm: edge, readingMm: reading, uMm: s.uBooster ?? USUAL_U_MM, stepMm },
    spacerMm: s.spacer ?? 0,
    targetMm: s.target,
    rodPitchMm: s.pitch,
    pedalRatio: s.ratio,
    linkageSlackMm: s.slack,
    previous:
      s.oldStandOff === undefined || s.oldSocket === undefined ? null : { rimStandOffMm: s.oldStandOff, socketDepthMm: s.oldSocket },
    thermal:
      s.rodLength === undefined || s.rodAlpha === undefined || s.bodyAlpha === undefined
        ? null
        : { rodLengthMm: s.rodLength, rodAlphaPerK: s.rodAlpha / 1e6, bodyAlphaPerK: s.bodyAlpha / 1e6 },
    rodOldMm: s.rodOld,
    rodNewMm: s.rodNew,
    turnbuckle:
      s.pitch1 === undefined || s.pitch2 === undefined
        ? null
        : { pitch1Mm: s.pitch1, pitch2Mm: s.pitch2, leftHanded: s.oneLeftHanded ?? false },
  };
};

/** Readings that cannot be, each with why and what to do; empty where all can. */
export const impossibleReadings = ({ standOff, socket, edge, reading, spacer = 0 }: GapSheet): readonly string[] => {
  const said: string[] = [];
  // A rod that stands proud of the flange reads less than the edge is thick; past the edge's outer side nothing can be read.
  if (reading !== undefined && reading <= 0)
    said.push('The rod would stand out past the straight edge: lay the edge on two blocks of one height, and count them to its thickness.');
  if (edge !== undefined && edge <= 0) said.push('A straight edge has a thickness: measure it, with its blocks where it lies on some.');
  if (standOff !== undefined && socket !== undefined && socket < standOff)
    said.push(
      'The socket is shallower than the rim stands off: it would end before the flange. Was it measured from the rim, to its bottom?',
    );
  if (standOff === undefined || socket === undefined || edge === undefined || reading === undefined) return said;
  const gap = socket - standOff + spacer + reading - edge;
  if (gap < -socket)
    said.push('The tip would lie beyond the bottom of the socket by more than its depth: one of the depths was read from another face.');
  return said;
};

/** The sheet as an address carries it. */
export const gapQuery = ({ oneLeftHanded, ...figures }: GapSheet): string =>
  queryOf({ ...figures, ...(oneLeftHanded === true ? { oneLeftHanded: 1 } : {}) }, [...GAP_FIELDS, 'oneLeftHanded']);

export const gapSheetOf = (query: Readonly<Record<string, string | undefined>>): GapSheet => ({
  ...numbersIn(query, GAP_FIELDS),
  ...(query.oneLeftHanded === '1' ? { oneLeftHanded: true } : {}),
});
