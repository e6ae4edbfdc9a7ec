import type { Family } from '../../family/family';
import { roleOf } from '../../family/family-name';
import type { Step } from './step';

/** Pressures that a bench proves at, bar: low, where a lip is not pressed yet; as it works. A maker's manual goes before. */
const LOW_BAR = 5;
const WORKING_BAR = 80;
const CLUTCH_BAR = 50;

const LIMIT = { limitMlPerMin: null } as const;

/**
 * The programme that a family starts with: the most telling step first, the most dangerous last, then a night on paper.
 * @source design, issue “Prove and release”
 */
export const usualSteps = (family: Family): readonly Step[] => {
  if (family.proof !== 'rig') return [];
  const master = isMaster(family);
  const working = workingChambers(family);
  const workingBar = family.brake ? WORKING_BAR : CLUTCH_BAR;
  const alone = working.length > 1 ? working : [null];
  const strokes = family.bore !== 'none';
  return [
    ...(strokes
      ? [
          {
            id: 'dry-stroke',
            kind: 'dry-stroke',
            need: 'must',
            chamber: null,
            why: 'What sticks dry sticks wet; it costs nothing to know.',
            means: 'A swollen or turned cup, a burr, a tired spring, a piston at odds with its bore.',
          } as const,
        ]
      : []),
    ...(master
      ? [
          {
            id: 'bench-fill',
            kind: 'bench-fill',
            need: 'may',
            chamber: null,
            why: 'Air feels like a leak at the pedal and hides one on the rig.',
            means: 'Bubbles that never stop are drawn in from outside, past a cup or a thread.',
          } as const,
        ]
      : []),
    {
      id: 'air-hold',
      kind: 'air-hold',
      need: 'may',
      chamber: null,
      targetBar: 0.5,
      holdS: 30,
      dropBar: 0.05,
      why: 'Air finds a way that fluid would take hours for, and leaves the unit dry to open again.',
      means: 'Where the bubbles rise is where it leaks.',
    },
    ...(strokes
      ? [
          {
            id: 'low-hold',
            kind: 'hold',
            need: 'must',
            chamber: null,
            targetBar: LOW_BAR,
            rampS: 6,
            holdS: 60,
            ...LIMIT,
            why: 'Lips leak most while pressure does not yet press them to the bore.',
            means: 'A lip that is cut, turned, hardened or dirty; more pressure would hide it.',
          } as const,
        ]
      : []),
    ...(master
      ? alone.map(
          (chamber, i): Step => ({
            // The first has the name that it had when all ports were asked for together.
            id: i === 0 ? 'port' : `port-${chamber}`,
            kind: 'port',
            need: 'must',
            chamber,
            targetBar: 10,
            rampS: 4,
            withinS: 1,
            why: 'A shut port keeps the brakes on, more with every degree that the fluid warms. Each circuit has one of its own.',
            means: 'The port is blocked, or the cup still covers it at rest: rod too long, spring tired, cup swollen.',
          }),
        )
      : []),
    ...(family.slots.some((s) => s.kind === 'residual-valve')
      ? [
          {
            id: 'residual',
            kind: 'residual',
            need: 'must',
            chamber: null,
            targetBar: 10,
            rampS: 4,
            holdS: 60,
            keepsMinBar: 0.4,
            keepsMaxBar: 1.5,
            why: 'The valve keeps the cups of drum brakes pressed out, and the pedal high.',
            means: 'Lost pressure is dirt or a nick on the valve’s seat; too much of it makes the brakes drag.',
          } as const,
        ]
      : []),
    ...(master
      ? [
          {
            id: 'sink',
            kind: 'sink',
            need: 'may',
            chamber: null,
            targetBar: 10,
            holdS: 60,
            travelMm: 0.5,
            why: 'A foot resting on the pedal at a stop is a slow light push; a fast one seals the cup by itself.',
            means: 'Fluid passes a primary cup inside the bore: nothing drips.',
          } as const,
        ]
      : []),
    ...alone.map(
      (chamber): Step => ({
        id: chamber === null ? 'hold' : `hold-${chamber}`,
        kind: 'hold',
        need: 'must',
        chamber,
        targetBar: workingBar,
        rampS: 9,
        holdS: 120,
        ...LIMIT,
        why:
          chamber === null
            ? 'It has to hold what the pedal asks of it. Two minutes: slow creep of rubber looks like a leak in one.'
            : 'Alone, with the other open: fluid that passes from one circuit to the other shows only so.',
        means:
          chamber === null
            ? 'A pit or score where a cup runs, a nicked cup, a screw or washer that is not tight.'
            : 'Pressure falls and nothing drips: fluid passes inside, by a cup or a mark under it.',
      }),
    ),
    ...(strokes
      ? [
          {
            id: 'cycles',
            kind: 'cycles',
            need: 'may',
            chamber: null,
            targetBar: workingBar,
            rampS: 9,
            strokes: 50,
            holdS: 60,
            ...LIMIT,
            why: 'A lip that is about to turn does so in the first strokes, and better here.',
            means: 'It held before and not now: a lip has turned or been cut by the bore or a port’s edge.',
          } as const,
        ]
      : []),
    {
      id: 'weep',
      kind: 'weep',
      need: 'may',
      chamber: null,
      hours: 14,
      why: 'A weep of a drop a day passes every rig.',
      means: 'The paper shows where: under the mouth, a screw, a plug or a grommet.',
    },
  ];
};

export const isMaster = (family: Pick<Family, 'name'>): boolean => roleOf(family) === 'master';

/** Chambers of a family that are pressed to work. */
export const workingChambers = (family: Pick<Family, 'chambers'>): readonly string[] =>
  family.chambers.filter((c) => c.pressure === 'working').map((c) => c.id);
