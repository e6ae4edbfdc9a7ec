import { isPiston } from '../family/carrier';
import type { Dims } from '../family/dims';
import type { Family } from '../family/family';
import { roleOf } from '../family/family-name';
import type { PartKind } from '../family/part-kind';
import type { GuideTick } from './guide-tick';
import { AIR, type GuideDim, removalOf } from './removal';
import { type Group, heldBy, removalOrder } from './removal-order';
import type { TrayPart } from './tray-schema';

/** One step of taking a unit apart, in the order of doing. What does not apply is null. */
export type GuideStep = {
  readonly id: string;
  readonly todo: string;
  readonly tool: string | null;
  /** What can jump, squirt or fall. */
  readonly flies: string | null;
  readonly photo: string | null;
  /** What to measure before it moves. */
  readonly measure: readonly GuideDim[];
  /** What must not be lost. */
  readonly keep: string | null;
  /** Tray places that come out with this step. */
  readonly slots: readonly string[];
};

const step = (id: string, todo: string, more: Partial<Omit<GuideStep, 'id' | 'todo'>> = {}): GuideStep => ({
  id,
  todo,
  tool: null,
  flies: null,
  photo: null,
  measure: [],
  keep: null,
  slots: [],
  ...more,
});

/**
 * How to take a unit apart: for its family, and for what holds it together as the tray has it.
 * Every tray place of the family comes out with exactly one step; a stop screw before the piston that it holds, boots of a through bore before its pistons.
 * @param ticks what was done and measured so far: the pistons of several pots come out in the order that lets the last one move
 * @source design, domain, "Families and their anatomy", "Cautions"
 */
export const guideFor = (
  family: Family,
  tray: readonly TrayPart[],
  ticks: readonly Pick<GuideTick, 'stepId' | 'dims'>[],
): readonly GuideStep[] => {
  const groups = removalOrder(family, tray);
  const pistons = pistonsTogether(family, groups);
  const steps = (some: readonly Group[]): readonly GuideStep[] => some.map((group) => removalStep(family, group, groups));
  const first = groups.findIndex((g) => pistons.includes(g));
  return [
    ...before(family),
    ...(pistons.length === 0
      ? steps(groups)
      : [
          ...steps(groups.slice(0, first)),
          pumpOut(pistons),
          ...steps(lastToMoveFirst(pistons, ticks.find((t) => t.stepId === PUMP_OUT)?.dims ?? {})),
          ...steps(groups.slice(first + pistons.length)),
        ]),
    ...after(family, tray),
  ];
};

/** Pistons of several pots: one pressure moves them all, so they come out together. Empty where there is one. */
const pistonsTogether = (family: Family, groups: readonly Group[]): readonly Group[] =>
  groups.filter(([p]) => p !== undefined && isPiston(p) && family.slots.find((s) => s.id === p.slotId)?.pot !== undefined);

const PUMP_OUT = 'pump-out';
const standsOut = (i: number): string => `standsOut${i + 1}Mm`;

/** Once one piston is out there is no pressure for the others: those that move are held, until the last one stands out as far. */
const pumpOut = (pistons: readonly Group[]): GuideStep =>
  step(
    PUMP_OUT,
    'Pump all pistons out together, with fluid or with low air, a board across their mouths. Hold back with a clamp what moves first, and pump until the last one moves; take none out before all stand out. Once one is out, nothing pushes the others any more.',
    {
      tool: 'board, clamps, hand pump or low air',
      flies: AIR,
      photo: 'the pistons as they stand, before the first one leaves',
      measure: pistons.map(([p], i) => ({ dim: standsOut(i), label: `${p?.name} stands out` })),
    },
  );

/** The order of taking pistons out that were measured as they stood: the one that stands out least first, while the others still close their pots. */
const lastToMoveFirst = (pistons: readonly Group[], stood: Dims): readonly Group[] => {
  // One that nobody measured did not stand out.
  const measured = pistons.map((group, i) => ({ group, outMm: Number(stood[standsOut(i)] ?? 0) }));
  return measured.sort((a, b) => a.outMm - b.outMm).map((m) => m.group);
};

const isMaster = (family: Family): boolean => roleOf(family) === 'master';
const isWheel = (family: Family): boolean => roleOf(family) === 'wheel';

const before = (family: Family): readonly GuideStep[] => {
  const has = (kind: PartKind): boolean => family.slots.some((s) => s.kind === kind);
  return [
    step('as-it-came', 'Look at it all round before anything moves: casting marks, paint, wet places.', {
      photo: 'the whole unit from the mouth, from the top, and each side',
    }),
    ...(family.bore === 'none' || isWheel(family)
      ? []
      : [
          step('lines', 'Note which port goes to which line, and which way up it was mounted.', {
            photo: 'each port with its union or plug still in',
            keep: 'sealing washers under banjos and plugs',
          }),
        ]),
    ...(has('pushrod')
      ? [
          step('rod', 'Measure how far the rod stands out, and how much thread shows at its nut, before the boot moves.', {
            tool: 'caliper',
            measure: [
              { dim: 'rodLengthMm', label: 'flange to the hole’s middle' },
              { dim: 'threadMm', label: 'thread showing' },
            ],
            photo: 'the rod end with the caliper on it',
          }),
        ]
      : []),
    ...(isWheel(family)
      ? [
          step(
            'shoe-side',
            'Note which way the slots in the pistons lie, and how far each stood out: a shoe that is worn lets it go further.',
            {
              measure: [{ dim: 'standsOutMm', label: 'stands out, furthest' }],
              photo: 'each open end with its slot',
              keep: 'adjusters and links that sit in the slots',
            },
          ),
        ]
      : []),
    ...(roleOf(family) === 'caliper'
      ? [
          step('halves', 'Part the halves only where the manual allows it; wipe the mating face and look for the cross-over drilling.', {
            photo: 'the mating face with its drilling',
            keep: 'the cross-over seal: it sticks in either half',
          }),
        ]
      : []),
    ...(family.bore === 'none'
      ? []
      : [
          step(
            'drain',
            `Drain it into the tray for old fluid${isMaster(family) ? ': cap off, over the ports, and a slow push' : ': bleed screw and inlet open'}.`,
            {
              flies: 'Brake fluid strips paint and burns eyes: gloves, glasses, water and soap at hand.',
            },
          ),
        ]),
  ];
};

const after = (family: Family, tray: readonly TrayPart[]): readonly GuideStep[] => {
  const small = tray.filter(
    (p) =>
      p.found !== 'absent' &&
      ['wave-washer', 'spacer', 'check-valve', 'residual-valve', 'protector-washer', 'sealing-washer'].includes(p.kind),
  );
  return [
    ...(family.bore === 'none'
      ? []
      : [
          step('empty', 'Look down the bore and into every port with a light: nothing is left in it.', {
            tool: 'lamp, hook of soft wire',
            keep: small.length === 0 ? null : `seen on the tray: ${small.map((p) => p.name).join(', ')}`,
          }),
        ]),
    step(
      'count',
      'Lay everything out in its order and count it against the tray; add what is not on the list, mark what was never there.',
      {
        photo: 'all parts laid out in their order',
      },
    ),
  ];
};

const removalStep = (family: Family, group: Group, all: readonly Group[]): GuideStep => {
  const [part, ...riders] = group as readonly [TrayPart, ...TrayPart[]];
  const how = removalOf(part, family, heldBy(family, part, all)?.name ?? 'piston');
  const rides =
    riders.length === 0 ? '' : ` The ${riders.map((r) => r.name).join(' and the ')} ${riders.length === 1 ? 'comes' : 'come'} out on it.`;
  return step(`part-${part.slotId}`, `${how.todo}${rides}`, {
    tool: how.tool ?? null,
    flies: how.flies ?? null,
    photo:
      riders.length > 0 || part.kind === 'cup' || part.kind === 'plunger-seal'
        ? 'the lips, before they leave what they sit on'
        : (how.photo ?? null),
    keep: how.keep ?? null,
    measure: how.measure ?? [],
    slots: group.map((p) => p.slotId),
  });
};
