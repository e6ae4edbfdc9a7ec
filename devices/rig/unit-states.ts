import type { Truth } from './chamber';

/** What a unit may be like, as the stand-in rig finds it: what differs from a sound one. */
export const UNIT_STATES = {
  sound: { words: 'sound', truth: {} },
  groove: { words: 'leaks past a groove', truth: { leakMlPerMinAt80: 0.19 } },
  lip: { words: 'leaks while a lip is not pressed', truth: { leakMlPerMinAt80: 0.3, law: 'lip' } },
  bypass: { words: 'passes from the rear circuit into the front', truth: { chambers: { rear: { leakMlPerMinAt80: 0.22 } } } },
  slow: { words: 'rubber that settles slowly', truth: { leakMlPerMinAt80: 0.018, settleBar: 4.5, settleTauS: 75 } },
  twice: { words: 'rubber that settles fast and then slowly', truth: { settleBar: 3, settleTauS: 12, settles: 'twice' } },
  stretched: { words: 'rubber whose settling drags on', truth: { settleBar: 3, settleTauS: 20, settles: 'stretched' } },
  creeping: { words: 'rubber that never quite settles', truth: { settleBar: 1.5, settleTauS: 6, settles: 'logarithmic' } },
  late: { words: 'gives way after a minute and a half', truth: { leakMlPerMinAt80: 0.4, leaksFromS: 90 } },
  falls: { words: 'loses its pressure', truth: { leakMlPerMinAt80: 6 } },
  warming: { words: 'warms up while it is held', truth: { warmsKPerMin: 0.25, volumeMl: 30 } },
  cooling: { words: 'cools down while it is held', truth: { warmsKPerMin: -0.25, volumeMl: 30 } },
  air: { words: 'not bled', truth: { airMl: 1.5 } },
  'shut-port': { words: 'compensating port shut', truth: { portBlocked: true } },
  valve: { words: 'residual valve in order', truth: { residualBar: 0.9 } },
  'lost-valve': { words: 'residual valve keeps nothing', truth: { residualBar: 0 } },
  'hard-valve': { words: 'residual valve keeps too much', truth: { residualBar: 2.4 } },
} as const satisfies Record<string, { readonly words: string; readonly truth: Partial<Truth> }>;
export type UnitState = keyof typeof UNIT_STATES;
export const isUnitState = (name: string): name is UnitState => Object.hasOwn(UNIT_STATES, name);
