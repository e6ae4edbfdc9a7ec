import type { Family } from '../family/family';
import type { PartKind } from '../family/part-kind';
import { isRadial } from '../family/shape/part-shape';
import { removalOf } from './removal';
import type { TrayPart } from './tray-door';

export type GuideDim = { readonly dim: string; readonly label: string };

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
 * @source design, domain, "Families and their anatomy", "Cautions"
 */
export const guideFor = (family: Family, tray: readonly TrayPart[]): readonly GuideStep[] => [
  ...before(family),
  ...removalOrder(family, tray).map((group, _, all) => removalStep(family, group, all)),
  ...after(family, tray),
];

const isMaster = (family: Family): boolean => family.name.startsWith('master');
const isWheel = (family: Family): boolean => family.name.startsWith('wheel');

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
    ...(family.name === 'caliper-half'
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

type Group = readonly TrayPart[];

/** Parts in the order of taking them out; those that come out in one piece together. */
const removalOrder = (family: Family, tray: readonly TrayPart[]): readonly Group[] => {
  const known = tray.filter((p) => family.slots.some((s) => s.id === p.slotId));
  const outside = ['roll-pin', 'reservoir-cap', 'cap-seal', 'screen', 'reservoir', 'grommet', 'banjo-bolt', 'sealing-washer', 'switch'];
  const late = ['check-valve', 'bleed-cap', 'bleed-screw', 'cross-over-seal'];
  const first = outside.flatMap((kind) => known.filter((p) => p.kind === kind && family.bore !== 'none'));
  const last = late.flatMap((kind) => known.filter((p) => p.kind === kind && isRadial(p.kind) && family.bore !== 'none'));
  const stops = known.filter((p) => family.bore !== 'none' && (p.kind === 'set-screw' || p.kind === 'stop-pin'));
  const axial = known.filter((p) => !first.includes(p) && !last.includes(p) && !stops.includes(p));
  const boots = family.bore === 'through' ? axial.filter((p) => p.kind === 'boot') : [];
  const inline = innerFirst(axial.filter((p) => !boots.includes(p)));
  const groups = [...[...first, ...boots].map((p) => [p]), ...together(family, inline)];
  const stopped = stops.reduce<readonly Group[]>((done, stop) => insertStop(family, done, stop), groups);
  return [...stopped, ...last.map((p) => [p])];
};

/** What holds another comes off before it, though it lies further in: the ring round a boot's neck, the stem that a spring is hooked on by. */
const innerFirst = (parts: readonly TrayPart[]): readonly TrayPart[] => {
  const ahead = (list: readonly TrayPart[], mover: TrayPart | undefined, of: TrayPart | undefined): readonly TrayPart[] =>
    mover === undefined || of === undefined ? list : list.filter((p) => p !== mover).flatMap((p) => (p === of ? [mover, p] : [p]));
  const find = (test: (p: TrayPart) => boolean): TrayPart | undefined => parts.find(test);
  const clipped = ahead(
    parts,
    find((p) => p.slotId === 'boot-clip'),
    find((p) => p.kind === 'boot'),
  );
  return ahead(
    clipped,
    find((p) => p.kind === 'valve-stem'),
    find((p) => p.kind === 'spring'),
  );
};

/** Seals that sit on a piston come out on it. */
const together = (family: Family, parts: readonly TrayPart[]): readonly Group[] => {
  const spanOf = (p: TrayPart) => family.drawing?.spans[p.slotId];
  const carrier = (p: TrayPart): TrayPart | undefined => {
    const mine = spanOf(p);
    if (mine === undefined || !['cup', 'plunger-seal', 'o-ring'].includes(p.kind)) return undefined;
    return parts.find((q) => {
      const span = spanOf(q);
      const carries = q.kind === 'piston' || q.kind === 'plunger' || q.kind === 'shuttle';
      return carries && span !== undefined && (span.x0Mm + span.x1Mm) / 2 > 0 && mine.x0Mm < span.x1Mm - 1 && mine.x1Mm > span.x0Mm + 1;
    });
  };
  return parts.filter((p) => carrier(p) === undefined).map((p) => [p, ...parts.filter((q) => carrier(q) === p)]);
};

/** A stop comes out just before the piston that it holds. */
const insertStop = (family: Family, groups: readonly Group[], stop: TrayPart): readonly Group[] => {
  const held = heldBy(family, stop, groups);
  const place = Math.max(
    0,
    groups.findIndex((g) => g[0] === held),
  );
  return [...groups.slice(0, place), [stop], ...groups.slice(place)];
};

/** The piston that a stop stands in the way of: the one at whose place in the bore it sits. */
const heldBy = (family: Family, stop: TrayPart, groups: readonly Group[]): TrayPart | undefined => {
  const spans = family.drawing?.spans ?? {};
  const x = spans[stop.slotId];
  return groups
    .map((g) => g[0])
    .find((p) => {
      const held = spans[p?.slotId ?? ''];
      const runs = p?.kind === 'piston' || p?.kind === 'plunger';
      return runs && x !== undefined && held !== undefined && held.x0Mm < x.x1Mm && held.x1Mm > x.x0Mm;
    });
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
