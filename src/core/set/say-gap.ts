import { fixed } from '../quantity/figure';
import type { Units } from '../quantity/units';
import { MM_PER_INCH } from '../quantity/units';
import type { GapField } from './gap-sheet';
import { checkedVerdict, type SecondReadings } from './second-readings';
import type { GapVerdict, Setup, SetupInput } from './setup';

export const GAP_WORDS: { readonly [V in GapVerdict]: string } = {
  binding: 'Binding',
  'too-tight': 'Too tight',
  'too-loose': 'Too loose',
  'measure-again': 'Measure again',
  ok: 'Right',
};

/** A small length to 0.01 mm or 0.001 in, without its unit. */
export const sayFine = (mm: number, units: Units): string => (units.length === 'mm' ? fixed(mm, 2) : fixed(mm / MM_PER_INCH, 3));

/** Why a gap is judged so, with its numbers. */
export const sayVerdict = (s: Setup, units: Units): string => {
  const { windowMinMm: low, windowMaxMm: high } = s.rulesUsed;
  const [gap, unit] = [sayFine(s.gapMm, units), units.length];
  const window = `${sayFine(low, units)} to ${sayFine(high, units)} ${unit}`;
  switch (s.verdict) {
    case 'binding':
      return `There is no gap (${gap} ${unit}): the rod holds the port shut, the fluid cannot go anywhere when it warms, and the brakes apply themselves.`;
    case 'too-tight':
      return `${gap} ${unit} is less than the ${window} allowed: the port may stay shut when the unit warms.`;
    case 'too-loose':
      return `${gap} ${unit} is more than the ${window} allowed: the pedal is lost to it.`;
    case 'measure-again':
      return `${gap} ${unit} lies in the window, ${window}, but not by as much as the readings are unsure (± ${sayFine(s.expandedUncertaintyMm, units)}): measure again, or finer.`;
    case 'ok':
      return `${gap} ± ${sayFine(s.expandedUncertaintyMm, units)} ${unit} lies wholly in the window, ${window}.`;
  }
};

const DEPTH_NAMES: { readonly [F in GapField]?: string } = {
  standOff2: 'the rim',
  socket2: 'the socket',
  edge2: 'the straight edge',
  reading2: 'the reading to the tip',
  play2: 'the rod’s play',
};

/** What the second readings still want, a sentence each; empty when every pair agrees. */
export const saySecond = ({ missing, apart }: SecondReadings, units: Units): readonly string[] => [
  ...(missing.length === 0
    ? []
    : [
        `Read a second time before it counts: ${missing.map((f) => DEPTH_NAMES[f]).join(', ')}. A slip in a single reading would not show.`,
      ]),
  ...apart.map(
    (a) =>
      `Two readings of ${DEPTH_NAMES[a.field]} differ by ${sayFine(a.byMm, units)} ${units.length}, more than the ${sayFine(a.mostMm, units)} that a hand makes: read both again.`,
  ),
];

/** What to turn: how far, in turns and flats of a hexagon, and which way as seen from the rod's tip. Undefined when nothing is to be changed. */
export const sayTurns = (s: Setup, units: Units): string | undefined => {
  if (Math.abs(s.rodChangeMm) < 0.005) return undefined;
  const longer = s.rodChangeMm > 0;
  const by = `${longer ? 'Lengthen' : 'Shorten'} the rod by ${sayFine(Math.abs(s.rodChangeMm), units)} ${units.length}`;
  if (s.turns === null) return `${by}.`;
  const flats = s.turns * 6;
  return `${by}: ${fixed(s.turns, 2)} turns (${fixed(flats, 1)} flats) of its end, ${longer ? 'anticlockwise' : 'clockwise'} as seen from the tip, for a right-hand thread.`;
};

/** The whole sheet as text, to be copied: sums in full, verdict, what to do. */
export const gapAsText = (input: SetupInput, s: Setup, second: SecondReadings, units: Units): string => {
  const f = (mm: number): string => sayFine(mm, units);
  const { master, booster, spacerMm } = input;
  return [
    `Pushrod gap, ${units.length}`,
    `(socket ${f(master.socketDepthMm)} − rim ${f(master.rimStandOffMm)}) + spacer ${f(spacerMm ?? 0)} + (reading ${f(booster.readingMm)} − edge ${f(booster.straightEdgeMm)}) = ${f(s.gapMm)}`,
    `uncertainty ± ${f(s.expandedUncertaintyMm)}; window ${f(s.rulesUsed.windowMinMm)} to ${f(s.rulesUsed.windowMaxMm)}, aim ${f(s.rulesUsed.gapTargetMm)}`,
    `${GAP_WORDS[checkedVerdict(s.verdict, second)]}: ${sayVerdict(s, units)}`,
    ...saySecond(second, units),
    ...[sayTurns(s, units)].flatMap((t) => (t === undefined ? [] : [t])),
    ...(s.lostPedalMm === null ? [] : [`lost at the pedal ${f(s.lostPedalMm)}`]),
    ...(s.freePlayMm === null ? [] : [`free play at the pedal ${f(s.freePlayMm)}`]),
    ...(s.seatShiftMm === null
      ? []
      : [`this seat lies ${f(Math.abs(s.seatShiftMm))} ${s.seatShiftMm < 0 ? 'shallower' : 'deeper'} than the old unit's`]),
    ...(s.spacerNeededMm === null ? [] : [`a spacer of ${f(s.spacerNeededMm)} makes up for the other rod`]),
    ...(s.closesAtC === null ? [] : [`the gap closes at ${fixed(s.closesAtC, 0)} °C`]),
    ...(s.lengthPerTurnMm === null ? [] : [`a turn of the turnbuckle is ${f(s.lengthPerTurnMm)}`]),
  ].join('\n');
};
