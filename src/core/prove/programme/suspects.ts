import type { Family, Slot } from '../../family/family';
import { isJoint, PART_KIND_NAMES, type PartKind } from '../../family/part-kind';
import type { Station } from '../../station';
import type { Wet } from './seen';
import type { Step } from './step';

/** What may be behind a failed step: in words, where on the drawing, and the station at which it is put right; null: the step is run again. */
export type Suspect = { readonly what: string; readonly slots: readonly string[]; readonly reopens: Station | null };

/** Up to here a lip holds by its own spring; above, the pressure presses it, bar. */
const LOW_BAR = 15;

/**
 * What may be behind a step that failed, the likeliest first. It follows from the chambers, like the facing of a cup.
 * @param wet where it dripped; null: nobody has said
 * @returns one suspect at least
 */
export const suspectsOf = (family: Family, step: Step, wet: Wet | null): readonly Suspect[] => {
  switch (step.kind) {
    case 'dry-stroke':
      return [
        part('The piston in its bore: burr, swollen or turned cup', family, ['piston', 'plunger', 'cup', 'plunger-seal']),
        part('A tired or wrong spring', family, ['spring']),
      ].filter((s) => s.slots.length > 0);
    case 'bench-fill':
      return [...lips(outward(family)), ...screwed(family)];
    case 'port':
      return [
        {
          what: family.hasGap
            ? 'The rod holds the cup over the port: no gap left'
            : 'The cup covers the port at rest: what is between rod and stop',
          slots: [],
          reopens: family.hasGap ? 'set' : 'close-up',
        },
        part('A tired spring, or a cup that has swollen over the port', family, ['spring', 'cup', 'plunger-seal']),
        { what: 'The compensating port is blocked', slots: [], reopens: 'clean' },
      ];
    case 'residual':
      return [
        part('The residual valve: dirt or a nick on its seat', family, ['residual-valve']),
        { what: 'A port that is shut, or a leak: what their own steps say comes first', slots: [], reopens: null },
      ];
    case 'weep':
      return [...lips(outward(family)), ...screwed(family)];
    case 'air-hold':
    case 'hold':
    case 'cycles':
    case 'sink':
      return leaks(family, step, wet);
  }
};

const leaks = (family: Family, step: Step & { readonly targetBar: number }, wet: Wet | null): readonly Suspect[] => {
  const within = inward(family, step.chamber);
  const out = outward(family);
  const seals = [...within, ...out.filter((s) => !within.includes(s))];
  const passed = wet === 'nowhere' ? within : wet === 'open-end' ? out : seals;
  const bore: readonly Suspect[] =
    passed.length === 0
      ? []
      : [
          {
            what: `The bore under ${passed.map((s) => s.name).join(', ')}: a pit or a score`,
            slots: passed.map((s) => s.id),
            reopens: 'gauge',
          },
        ];
  const byPressure = step.targetBar <= LOW_BAR ? [...lips(passed), ...bore] : [...bore, ...lips(passed)];
  if (wet === 'screws') return screwed(family);
  return [...byPressure, ...(wet === null ? screwed(family) : []), ...(wet === 'open-end' ? [] : [BENCH])];
};

/** What is no fault of the unit. */
const BENCH: Suspect = { what: 'The bench itself: its hose or union, or air that was not bled', slots: [], reopens: null };

const lips = (seals: readonly Slot[]): readonly Suspect[] =>
  seals.map((s) => ({ what: `The ${s.name}: cut, turned, hardened or dirty`, slots: [s.id], reopens: 'close-up' }));

const screwed = (family: Family): readonly Suspect[] => {
  const joints = PART_KIND_NAMES.filter(isJoint);
  const found = part('A screw, plug or washer that is not tight', family, joints);
  return found.slots.length === 0 ? [{ ...found, what: 'A union that is not tight' }] : [found];
};

const part = (what: string, family: Family, kinds: readonly PartKind[]): Suspect => ({
  what,
  slots: family.slots.filter((s) => kinds.includes(s.kind)).map((s) => s.id),
  reopens: 'close-up',
});

const pressureOf = (family: Family, chamber: string): string => family.chambers.find((c) => c.id === chamber)?.pressure ?? 'none';

/** Seals of a chamber under pressure that lead to another place inside; of an open one they lead outside at once. */
const inward = (family: Family, chamber: string | null): readonly Slot[] =>
  family.slots.filter(({ between = [] }) => {
    const pressed = between.some((c) => (chamber === null ? pressureOf(family, c) === 'working' : c === chamber));
    return pressed && between.every((c) => pressureOf(family, c) !== 'none');
  });

/** Seals with the open air on one side. */
const outward = (family: Family): readonly Slot[] =>
  family.slots.filter((s) => s.between?.some((c) => pressureOf(family, c) === 'none') === true);
