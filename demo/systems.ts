import type { BleedDeed, BleedEvent } from '@/core/bleed/bleed-event';
import { bleedPlan } from '@/core/bleed/bleed-plan';
import { SHAPES } from '@/core/bleed/shapes';
import type { System } from '@/core/bleed/system';
import { questionOf } from '@/core/bleed/system-question';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { saveBleed } from '@/db/bleed/bleeds';
import { keepSystem } from '@/db/bleed/systems';
import type { Db } from '@/db/engine/connection';
import { identifyUnit } from '@/db/identify/identity';
import { must } from '../devices/hand/must';
import type { Work } from '../devices/hand/work';
import type { Story } from './scenario';

const tug = SHAPES['front-rear']();
const tractor = SHAPES['one-two']();
const trailer = SHAPES.trailer();
const clutch = SHAPES.clutch();

/** Systems that somebody drew on four machines, each at a fitment. */
const SYSTEMS: readonly (readonly [fitmentId: string, system: System])[] = [
  [
    'fit-ct9-1',
    {
      ...tug,
      name: 'Airport tug T9, service brake',
      fluidIn: 'dot4',
      pedal: {
        forceN: 320,
        ratio: 5.2,
        boost: 3,
        freePlayMm: 6,
        hoseMlPerMPa: 0.12,
        cylinders: [
          { id: 'front', diaMm: 42.86, count: 2, travelMm: 0.25 },
          { id: 'rear', diaMm: 22.225, count: 2, travelMm: 1.4 },
        ],
      },
    },
  ],
  [
    'fit-hb40-2',
    {
      ...tractor,
      name: 'Orchard tractor 40, rear brakes',
      fluidIn: 'dot3',
      ends: tractor.ends.map((e, i) => (i === 0 ? { ...e, screwOnTop: null } : e)),
    },
  ],
  [
    'fit-os2-2',
    { ...trailer, name: 'Horsebox, overrun brake', ends: trailer.ends.map((e) => ({ ...e, dropMm: 180, kind: 'drum-expander' })) },
  ],
  [
    'fit-od4-4',
    { ...clutch, name: 'Straddle truck S4, clutch', ends: clutch.ends.map((e) => ({ ...e, dropMm: -60, odd: ['above-line'] })) },
  ],
];

export const keepSystems = async (db: Db, at: number): Promise<void> => {
  for (const [i, [fitmentId, system]] of SYSTEMS.entries())
    await must(keepSystem(db, { personId: 'maren-oreland', at: at + i }, { id: `system-${i + 1}`, fitmentId, system }));
};

const MINUTE_MS = 60_000;
/** A bleed by the pedal that went as it was planned, a stroke every five seconds. */
const asPlanned = (system: System, startedAt: number, travelMm: number): readonly BleedEvent[] => {
  const plan = bleedPlan({ ...questionOf(system), rules: null }, STANDARD_RULES);
  const every = plan.topUpEvery ?? 1;
  const done = plan.order.flatMap(({ endId, strokes }): readonly BleedDeed[] => [
    ...Array.from({ length: strokes }, (_, n) => [
      ...(n % every === 0 ? [{ kind: 'filled' as const }] : []),
      { kind: 'stroke' as const, endId },
    ]).flat(),
    { kind: 'clear' as const, endId },
  ]);
  return [...done, { kind: 'outlet' as const }, { kind: 'firm' as const, travelMm }].map(
    (e, i) => ({ ...e, at: startedAt + i * 5000 }) as BleedEvent,
  );
};

/** What was bled last week: a tug to a firm pedal. */
export const bledBefore = async (db: Db, now: number): Promise<void> => {
  const [, system] = SYSTEMS[0] as (typeof SYSTEMS)[number];
  const startedAt = now - 5 * 24 * 60 * MINUTE_MS;
  const events = [...asPlanned(system, startedAt, 67)];
  await must(
    saveBleed(
      db,
      { personId: 'pell-wickert', at: startedAt + 20 * MINUTE_MS },
      { id: 'bleed-1', startedAt, method: 'pump', system, events, changes: events.length },
    ),
  );
};

/** Units that the counter knew at once. */
const KNOWN: readonly (readonly [machine: string, position: string, fitmentId: string])[] = [
  ['Airport tug, Corvane T9', 'service brake', 'fit-ct9-1'],
  ['Orchard tractor, Hallam-Brook 40', 'rear left', 'fit-hb40-2'],
];

export const identifyKnown = async (db: Db, work: Work, story: Story): Promise<void> => {
  const known = KNOWN.find(([machine, position]) => machine === story.machine && position === story.position);
  if (known !== undefined) await must(identifyUnit(db, work.next('identified', `as ${known[2]}`), { fitmentId: known[2], measured: {} }));
};
